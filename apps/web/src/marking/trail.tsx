import type { Assignment, TopicMap } from '@ichnograph/core';
import { propositionOf, requirementSentence } from '@ichnograph/core';
import type { MapProposition, MarkChangeRow, Person } from '@ichnograph/contract';
import { useState } from 'react';
import { showMoment } from '../common/dates';
import { figure } from '../common/figures';
import { useTimeZone, useTrail } from '../common/queries';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Table } from '../ui/table';

/** A sentence as its map has it: its key holds stems, which nobody reads. */
function saidWords(
  key: string,
  propositions: readonly MapProposition[],
  map: TopicMap,
  { legend }: Assignment,
): string {
  const id = propositions.find((one) => one.key === key)?.links[0];
  const link = map.links.find((one) => one.id === id);
  const [from, to] = [link?.from, link?.to].map((end) => map.topics.find((topic) => topic.id === end));
  if (!link || !from || !to) return 'a sentence that the map no longer says';
  const said = propositionOf(link, from, to, legend);
  return `${said.from} ${said.phrase || '…'} ${said.to}`;
}

/** Who changed which mark, when, from what to what, and why. It is read here and changed nowhere. */
export function Trail({
  submissionId,
  assignment,
  map,
  propositions,
  members,
}: {
  submissionId: string;
  assignment: Assignment;
  map: TopicMap;
  propositions: readonly MapProposition[];
  members: readonly Person[];
}) {
  const [open, setOpen] = useState(false);
  const zone = useTimeZone();
  const trail = useTrail(open ? submissionId : null);
  const subjectOf = ({ kind, subject }: MarkChangeRow): string => {
    if (kind === 'criterion') return assignment.criteria.find(({ id }) => id === subject)?.name ?? subject;
    if (kind === 'feel') return 'By feel';
    if (kind === 'person')
      return `Own part of ${members.find(({ id }) => id === subject)?.givenName ?? 'one of the group'}`;
    if (kind === 'verdict') return saidWords(subject, propositions, map, assignment);
    const requirement = assignment.requirements.find(({ id }) => id === subject);
    return kind === 'result' && requirement
      ? requirementSentence(requirement, assignment)
      : kind === 'return'
        ? 'Returned'
        : kind === 'take back'
          ? 'Return taken back'
          : subject;
  };
  const valueOf = ({ kind, subject }: MarkChangeRow, value: number | null): string => {
    if (value === null) return '–';
    if (kind === 'verdict') return value === 1 ? 'sound' : value === 0 ? 'wrong' : 'shaky';
    if (kind === 'feel') return `${Math.round(value * 100)} %`;
    if (kind !== 'criterion') return figure(value);
    return assignment.criteria.find(({ id }) => id === subject)?.levels[value]?.name ?? String(value);
  };
  return (
    <div className="px-3.5 pt-3">
      <Button small look="quiet" onClick={() => setOpen(true)}>
        Changes of this mark
      </Button>
      <Dialog wide open={open} onOpenChange={setOpen} title="Changes of this mark">
        {trail.data?.length === 0 && <p className="text-quiet">Nobody has given a mark yet.</p>}
        {trail.data && trail.data.length > 0 && (
          <Table className="w-full text-sm" columns={['When', 'Who', 'What', 'Before', 'After', 'Why']}>
            {trail.data.map((row, i) => (
              <tr key={i} className="border-b border-rule align-top">
                <td className="whitespace-nowrap py-1 pr-3">{showMoment(row.at, zone)}</td>
                <td className="pr-3">{row.by.givenName}</td>
                <td className="words pr-3">{subjectOf(row)}</td>
                <td className="pr-3 font-mono">{valueOf(row, row.before)}</td>
                <td className="pr-3 font-mono">{valueOf(row, row.after)}</td>
                <td className="words">{row.reason}</td>
              </tr>
            ))}
          </Table>
        )}
      </Dialog>
    </div>
  );
}
