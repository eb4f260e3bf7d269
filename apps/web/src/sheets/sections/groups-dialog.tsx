import { seeded, shuffled } from '@ichnograph/core';
import type { Groups, PublicationRow } from '@ichnograph/contract';
import { Shuffle } from 'lucide-react';
import { useState } from 'react';
import { api } from '../../common/api';
import { useGroups } from '../../common/queries';
import { useSend } from '../../common/send';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Trouble } from '../../ui/field';
import { inGroupsOf } from './groups-of';

/** Who makes one map together. */
export function GroupsDialog({
  publication: { id, className },
  open,
  onClose,
}: {
  publication: PublicationRow;
  open: boolean;
  onClose: () => void;
}) {
  const groups = useGroups(open ? id : null);
  return (
    <Dialog
      open={open}
      onOpenChange={(is) => {
        if (!is) onClose();
      }}
      title={`Who works together in ${className}?`}
      description="A group makes one map, each on their own device. Whoever has begun goes on as they began."
    >
      {groups.data ? (
        <GroupsForm key={id} id={id} groups={groups.data} onClose={onClose} />
      ) : (
        <p role="status">Opening the class …</p>
      )}
    </Dialog>
  );
}

type Numbers = Readonly<Record<string, number | null>>;

function GroupsForm({ id, groups: { students }, onClose }: { id: string; groups: Groups; onClose: () => void }) {
  const { trouble, send } = useSend('everything');
  const [numbers, setNumbers] = useState<Numbers>(
    Object.fromEntries(students.map(({ person, group }) => [person.id, group])),
  );
  const [size, setSize] = useState(3);
  const open = students.filter(({ begun }) => !begun);
  const save = async (): Promise<void> => {
    const used = [...new Set(open.flatMap(({ person }) => numbers[person.id] ?? []))];
    const groups = used.map((number) => ({
      members: open.filter(({ person }) => numbers[person.id] === number).map(({ person }) => person.id),
    }));
    if (await send(() => api.put(`publications/${id}/groups`, { groups }), 'The groups are kept.')) onClose();
  };
  const most = Math.max(students.length, ...Object.values(numbers).map((number) => number ?? 0));
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <div className="mb-3 flex items-center gap-2">
        <Button
          small
          onClick={() =>
            setNumbers({
              ...numbers,
              ...inGroupsOf(
                size,
                shuffled(
                  open.map(({ person }) => person.id),
                  seeded(Date.now()),
                ),
                1 + Math.max(0, ...students.flatMap(({ begun, group }) => (begun && group ? [group] : []))),
              ),
            })
          }
        >
          <Shuffle aria-hidden size={13} />
          By chance
        </Button>
        <label className="flex items-center gap-1.5 text-sm">
          in groups of
          <input
            type="number"
            min={2}
            max={12}
            className="field w-16 py-0.5"
            value={size}
            onChange={({ target }) => {
              if (target.validity.valid && target.value !== '') setSize(target.valueAsNumber);
            }}
          />
        </label>
        <Button
          small
          look="quiet"
          onClick={() => setNumbers({ ...numbers, ...Object.fromEntries(open.map(({ person }) => [person.id, null])) })}
        >
          Each alone
        </Button>
      </div>
      <ul className="max-h-[50vh] divide-y divide-rule overflow-y-auto border-y border-rule">
        {students.map(({ person, begun }) => (
          <li key={person.id} className="flex items-center justify-between gap-3 py-1">
            <span className="words">
              {person.givenName} {person.familyName}
              {begun && <span className="text-sm text-quiet"> · has begun</span>}
            </span>
            <select
              aria-label={`Group of ${person.givenName} ${person.familyName}`}
              className="field w-auto py-0.5"
              disabled={begun}
              value={numbers[person.id] ?? ''}
              onChange={({ target }) =>
                setNumbers({ ...numbers, [person.id]: target.value === '' ? null : Number(target.value) })
              }
            >
              <option value="">alone</option>
              {Array.from({ length: most }, (_, i) => (
                <option key={i} value={i + 1}>
                  group {i + 1}
                </option>
              ))}
            </select>
          </li>
        ))}
      </ul>
      <Trouble>{trouble}</Trouble>
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={onClose}>Cancel</Button>
        <Button type="submit" look="action">
          Keep the groups
        </Button>
      </div>
    </form>
  );
}
