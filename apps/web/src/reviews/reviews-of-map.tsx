import type { Assignment } from '@ichnograph/core';
import type { ReviewRow } from '@ichnograph/contract';
import { useHiddenNames } from '../common/hidden-names';
import { useReviewsOf } from '../common/queries';

/** What others said of a map: to those who mark it with names, to its makers without. */
export function ReviewsOfMap({
  submissionId,
  number,
  assignment,
  levelOf,
}: {
  submissionId: string;
  /** which submission this is of its work */
  number: number;
  assignment: Assignment;
  /** the teacher's level of a criterion; null where none is given */
  levelOf: (criterion: string) => number | null;
}) {
  const reviews = useReviewsOf(submissionId).data ?? [];
  const { hidden } = useHiddenNames();
  if (reviews.length === 0) return null;
  return (
    <section aria-label="Reviews" className="mt-4 border-t border-rule px-3.5 pt-3">
      <h2 className="caption">Reviews by others</h2>
      <ul>
        {reviews.map((one, i) => (
          <li key={one.id} className="border-b border-rule py-2 last:border-0">
            <p className="font-semibold">
              {one.by && !hidden ? `${one.by.givenName} ${one.by.familyName}` : `Reviewer ${i + 1}`}
              {one.number !== number && <span className="font-normal text-quiet"> · of no. {one.number}</span>}
            </p>
            {one.words.trim() !== '' && (
              <p className="words whitespace-pre-wrap border-l-2 border-indigo pl-2">{one.words}</p>
            )}
            <dl className="mt-1 text-sm">
              {assignment.criteria
                .filter(({ id }) => one.levels[id] !== undefined)
                .map(({ id, name, levels }) => (
                  <div key={id} className="flex justify-between gap-3">
                    <dt className="words text-quiet">{name}</dt>
                    <dd className="words text-right">
                      {levels[one.levels[id]!]?.name ?? '–'}
                      {besideTeacher(levelOf(id), one.levels[id]!)}
                    </dd>
                  </div>
                ))}
            </dl>
            <Verdicts review={one} />
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Said in words, so that nothing hangs on a colour. */
function besideTeacher(own: number | null, theirs: number): string {
  if (own === null) return '';
  if (own === theirs) return ' · the same';
  const by = Math.abs(own - theirs);
  return ` · ${by === 1 ? 'one level' : `${by} levels`} ${theirs > own ? 'higher' : 'lower'}`;
}

function Verdicts({ review: { verdicts } }: { review: ReviewRow }) {
  const all = Object.values(verdicts);
  if (all.length === 0) return null;
  const count = (verdict: string): number => all.filter((one) => one === verdict).length;
  return (
    <p className="text-sm text-quiet">
      Sentences: {count('sound')} sound, {count('shaky')} shaky, {count('wrong')} wrong
    </p>
  );
}
