import { exampleInLegend, finishedExample, GROUP_TITLES, inGroups, openStoredAssignment, say } from '@ichnograph/core';
import type { Assignment, Requirement } from '@ichnograph/core';
import { Printer } from 'lucide-react';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { Page } from '../common/page';
import { useAssignment, useWork } from '../common/queries';
import { Waiting } from '../common/waiting';
import { CheckedMap, MapPicture, Sentence } from '../map';
import { Balloon } from '../ui/balloon';
import { Button, buttonClass } from '../ui/button';
import { StatusMark } from '../ui/status-mark';
import { Prose } from '../ui/prose';
import { LegendList } from './legend-list';

/** What a student is asked for, to be printed and kept beside the map. */
export function GuideOfWork() {
  const work = useWork(useParams().id!);
  const assignment = useMemo(() => work.data && openStoredAssignment(work.data.assignment), [work.data]);
  if (!work.data || !assignment) return <Waiting of={work} what="Opening the guide …" />;
  return <Guide assignment={assignment} withExample={work.data.showsExample} back={`/works/${work.data.id}`} />;
}

/** The same for the teacher, as the sheet is written now. */
export function GuideOfAssignment() {
  const detail = useAssignment(useParams().id!);
  const assignment = useMemo(() => detail.data && openStoredAssignment(detail.data.file), [detail.data]);
  if (!detail.data || !assignment) return <Waiting of={detail} what="Opening the guide …" />;
  return <Guide assignment={assignment} withExample back={`/assignments/${detail.data.id}/sheet`} />;
}

function Guide({ assignment, withExample, back }: { assignment: Assignment; withExample: boolean; back: string }) {
  const { title, focusQuestion, brief, legend, requirements } = assignment;
  const example = useMemo(() => finishedExample(legend), [legend]);
  return (
    <Page
      title={title}
      lead={focusQuestion}
      actions={
        <div className="no-print flex gap-2">
          <Link className={buttonClass()} to={back}>
            Back
          </Link>
          <Button look="action" onClick={() => window.print()}>
            <Printer aria-hidden size={14} />
            Print
          </Button>
        </div>
      }
    >
      {brief && <Prose text={brief} />}
      <section className="mt-6" aria-labelledby="kinds">
        <h2 id="kinds" className="caption mb-2">
          Kinds of topic
        </h2>
        <div className="[&>ul]:grid-cols-2 md:[&>ul]:grid-cols-3">
          <LegendList legend={legend} />
        </div>
      </section>
      <section className="mt-8" aria-labelledby="asked">
        <h2 id="asked" className="text-xl font-semibold">
          What your map must show
        </h2>
        <p className="mb-2 text-quiet">Beside each, a small map that shows it and one that does not yet.</p>
        {inGroups(requirements).map(({ group, members }) => (
          <div key={group} className="mt-4">
            <h3 className="caption border-b border-ink pb-1">{GROUP_TITLES[group]}</h3>
            {members.map(({ number, ...requirement }) => (
              <Asked key={requirement.id} number={number} requirement={requirement} assignment={assignment} />
            ))}
          </div>
        ))}
      </section>
      {withExample && (
        <section className="mt-8 break-inside-avoid" aria-labelledby="example">
          <h2 id="example" className="text-xl font-semibold">
            A finished map, on another subject
          </h2>
          <p className="mb-2 text-quiet">{example.map.focusQuestion} Yours says something else, as clearly.</p>
          <MapPicture map={example.map} legend={example.legend} title={example.map.title} />
        </section>
      )}
    </Page>
  );
}

const LEVELS: Readonly<Record<string, string>> = { must: 'must', should: 'should', extra: 'for extra points' };

function Asked({
  number,
  requirement,
  assignment,
}: {
  number: number;
  requirement: Requirement;
  assignment: Assignment;
}) {
  const example = useMemo(() => exampleInLegend(requirement, assignment), [requirement, assignment]);
  return (
    <article className="grid break-inside-avoid grid-cols-[minmax(0,1fr)_11rem_11rem] gap-3 border-b border-rule py-2.5">
      <div className="flex gap-3">
        <span className="pt-0.5">
          <Balloon number={number} />
        </span>
        <p className="words min-w-0">
          <Sentence of={requirement.id} assignment={assignment} />
          <span className="block text-sm text-quiet">
            {LEVELS[requirement.level]} · {requirement.points} {requirement.points === 1 ? 'point' : 'points'}
          </span>
          {requirement.hint && <span className="block text-sm text-quiet">{requirement.hint}</span>}
        </p>
      </div>
      {example &&
        [example.met, example.unmet].map(({ map, result }, i) => (
          <figure key={i} className="flex min-w-0 flex-col border border-rule bg-canvas">
            <div className="flex flex-1 items-center justify-center p-1 [&>svg]:max-h-24">
              <CheckedMap
                map={map}
                assignment={example.assignment}
                requirement={example.requirement}
                result={result}
                label={i === 0 ? 'A map that shows it' : 'A map that does not'}
              />
            </div>
            <figcaption className="flex items-start gap-1.5 border-t border-rule bg-paper px-1.5 py-1 text-xs">
              <span className="mt-px">
                <StatusMark status={result.status} />
              </span>
              <span className="words min-w-0">{say(result.type, result)}</span>
            </figcaption>
          </figure>
        ))}
    </article>
  );
}
