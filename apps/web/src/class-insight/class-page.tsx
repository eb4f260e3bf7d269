import type { ClassInsight } from '@ichnograph/contract';
import { lazy, Suspense } from 'react';
import type { ComponentType } from 'react';
import { Link, NavLink, useParams } from 'react-router';
import { NotThere } from '../common/failures';
import { useHiddenNames } from '../common/hidden-names';
import { useTitle } from '../common/page';
import { useClassInsight } from '../common/queries';
import { Waiting } from '../common/waiting';
import { worksWithoutNames } from '../common/without-names';
import { Alike } from './alike';
import { ClassSentences } from './class-sentences';
import { CompositeView } from './composite-view';
import { GrowthView } from './growth-view';
import { RequirementGrid, TermGrid } from './grids';
import { Targets } from './targets';
import { WeightsView } from './weights-view';

/** Charts are heavy, and loaded when they are looked at. */
const Spread = lazy(async () => ({ default: (await import('./spread')).Spread }));

const VIEWS: Record<string, { name: string; View: ComponentType<{ insight: ClassInsight }> }> = {
  sentences: { name: 'Sentences', View: ClassSentences },
  targets: { name: 'Targets', View: Targets },
  requirements: { name: 'Requirements', View: RequirementGrid },
  terms: { name: 'Terms', View: TermGrid },
  spread: { name: 'Spread', View: Spread },
  composite: { name: 'Composite map', View: CompositeView },
  growth: { name: 'First and last', View: GrowthView },
  alike: { name: 'Alike', View: Alike },
  weights: { name: 'Weights', View: WeightsView },
};

/** What the maps of a class say together: to judge it once, and to see what to teach next. */
export function ClassPage() {
  const { id, view = 'sentences' } = useParams();
  const insight = useClassInsight(id!);
  const { hidden } = useHiddenNames();
  if (!Object.hasOwn(VIEWS, view)) return <NotThere />;
  if (insight.data === undefined) return <Waiting of={insight} what="Reading the maps of the class …" />;
  const { works } = insight.data;
  const seen = hidden ? { ...insight.data, works: worksWithoutNames(works) } : insight.data;
  return <Views key={id} insight={seen} view={view} />;
}

function Views({ insight, view }: { insight: ClassInsight; view: string }) {
  const { name, View } = VIEWS[view]!;
  const { publicationId, title, className, works } = insight;
  useTitle(`${name}, ${title}`);
  return (
    <main id="main" tabIndex={-1} className="mx-auto w-full max-w-[90rem] px-4 pb-8 pt-5 outline-none sm:px-6">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h1 className="words text-xl font-semibold">{title}</h1>
        <p className="text-quiet">
          {className}, {works.length === 1 ? 'one map' : `${works.length} maps`} handed in ·{' '}
          <Link className="text-action underline" to={`/piles/${publicationId}`}>
            The pile
          </Link>
        </p>
      </div>
      <nav aria-label="The class" className="mb-4 mt-3 flex flex-wrap gap-x-1 border-b border-ink">
        {Object.entries(VIEWS).map(([path, one]) => (
          <NavLink
            key={path}
            to={`/class/${publicationId}/${path}`}
            className={`inline-flex items-center px-2.5 py-1.5 font-semibold pointer-coarse:min-h-11 ${path === view ? 'bg-ink text-white' : 'text-quiet hover:bg-canvas hover:text-ink'}`}
            aria-current={path === view ? 'page' : undefined}
          >
            {one.name}
          </NavLink>
        ))}
      </nav>
      {works.length === 0 ? (
        <p className="text-quiet">Nobody has handed in a map yet. What the maps say together stands here then.</p>
      ) : (
        <Suspense fallback={<p role="status">Opening {name} …</p>}>
          <View insight={insight} />
        </Suspense>
      )}
    </main>
  );
}
