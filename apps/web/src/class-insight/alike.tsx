import { openStoredAssignment, openStoredMap, readHeld } from '@ichnograph/core';
import type { Assignment, TopicMap } from '@ichnograph/core';
import type { ClassInsight } from '@ichnograph/contract';
import { useMemo, useState } from 'react';
import { useSubmission } from '../common/queries';
import { MapPicture, ReadSentence } from '../map';
import { Button } from '../ui/button';
import { namesByWork, namesOf } from './names';
import { Table } from '../ui/table';

const percent = (share: number): string => `${Math.round(share * 100)} %`;
/** Pairs below both of these are left out of the list: any two maps of one assignment have something in common. */
const WORTH_A_LOOK = { likeness: 0.25, placement: 0.5 };

/** Two maps that are much alike, with both figures, and side by side. It accuses nobody. */
export function Alike({ insight }: { insight: ClassInsight }) {
  const names = namesByWork(insight);
  const [pair, setPair] = useState<{ a: string; b: string } | null>(null);
  const pairs = insight.likeness.filter(
    ({ likeness, placement }) => likeness >= WORTH_A_LOOK.likeness || placement >= WORTH_A_LOOK.placement,
  );
  return (
    <>
      <p className="mb-3 max-w-[70ch] text-quiet">
        What two maps say of their own, rare things weighing more, and how much of what they share lies in the same
        place. Two who learned together, or from one book, may well be alike: the figures accuse nobody, and no student
        sees them.
      </p>
      {pairs.length === 0 && <p>No two maps of this class are much alike.</p>}
      {pairs.length > 0 && (
        <div className="mb-4">
          <Table
            className=""
            columns={[
              { name: 'Maps', className: 'pr-6' },
              { name: 'Say alike', className: 'pr-6 text-right' },
              { name: 'Lie alike', className: 'pr-6 text-right' },
              { name: 'Look', unseen: true },
            ]}
          >
            {pairs.map(({ a, b, likeness, placement }) => (
              <tr
                key={`${a} ${b}`}
                className={`border-b border-rule ${pair?.a === a && pair.b === b ? 'bg-wash' : ''}`}
              >
                <td className="py-1 pr-6">
                  {names.get(a)} and {names.get(b)}
                </td>
                <td className="pr-6 text-right font-mono">{percent(likeness)}</td>
                <td className="pr-6 text-right font-mono">{percent(placement)}</td>
                <td>
                  <Button small onClick={() => setPair({ a, b })}>
                    Side by side
                  </Button>
                </td>
              </tr>
            ))}
          </Table>
        </div>
      )}
      {pair && <SideBySide key={`${pair.a} ${pair.b}`} insight={insight} pair={pair} />}
    </>
  );
}

function SideBySide({ insight, pair }: { insight: ClassInsight; pair: { a: string; b: string } }) {
  const assignment = useMemo(() => openStoredAssignment(insight.assignment), [insight.assignment]);
  const workOf = (id: string) => insight.works.find(({ workId }) => workId === id)!;
  const [one, other] = [workOf(pair.a), workOf(pair.b)];
  const [first, second] = [useSubmission(one.submissionId), useSubmission(other.submissionId)];
  const compared = useMemo(() => {
    if (!first.data || !second.data) return null;
    return sharedBy(openStoredMap(first.data.map), openStoredMap(second.data.map), assignment);
  }, [first.data, second.data, assignment]);
  if (!compared) return <p role="status">Opening both maps …</p>;
  return (
    <section aria-label="Side by side">
      <div className="grid gap-3 lg:grid-cols-2">
        {[
          { work: one, map: compared.maps[0] },
          { work: other, map: compared.maps[1] },
        ].map(({ work, map }) => (
          <figure key={work.workId}>
            <figcaption className="mb-1 font-semibold">{namesOf(work.members)}</figcaption>
            <MapPicture map={map} legend={assignment.legend} title={namesOf(work.members)} />
          </figure>
        ))}
      </div>
      <h2 className="mt-3 font-semibold">
        {compared.sentences.length === 1 ? 'One sentence' : `${compared.sentences.length} sentences`} in both, beside
        what they were given
      </h2>
      <ul className="columns-1 gap-6 lg:columns-2">
        {compared.sentences.map(({ from, phrase, to }) => (
          <li key={`${from} ${phrase} ${to}`}>
            <ReadSentence from={from} phrase={phrase} to={to} />
          </li>
        ))}
      </ul>
    </section>
  );
}

const SHARED = { colour: '#3d4a9a', width: 4 };
const FAINT = { colour: '#c9cdc4', width: 1 };

/** What two maps both say that the starter does not; their links drawn so that it is seen. */
function sharedBy(one: TopicMap, other: TopicMap, assignment: Assignment) {
  const given = assignment.starter ? readHeld(assignment.starter, assignment) : {};
  const [a, b] = [readHeld(one, assignment), readHeld(other, assignment)];
  const keys = Object.keys(a).filter((key) => b[key] && !given[key]);
  const marked = (map: TopicMap, held: Record<string, string[]>): TopicMap => {
    const shared = new Set(keys.flatMap((key) => held[key]!));
    return { ...map, links: map.links.map((link) => ({ ...link, ...(shared.has(link.id) ? SHARED : FAINT) })) };
  };
  const topic = (id: string) => one.topics.find((each) => each.id === id)!.text;
  const sentences = keys.map((key) => {
    const link = one.links.find(({ id }) => id === a[key]![0])!;
    return { from: topic(link.from), phrase: link.phrase, to: topic(link.to) };
  });
  return { maps: [marked(one, a), marked(other, b)] as const, sentences };
}
