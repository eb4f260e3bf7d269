import { GROUP_TITLES, inGroups, PARAM_WORDS, requirementSentence } from '@ichnograph/core';
import type { GroupId, ParamName, Requirement, SheetRequirement } from '@ichnograph/core';
import { MessageSquare, MoreHorizontal, Plus } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { CommittedFigure, CommittedInput } from '../../common/committed';
import { focusIn } from '../../common/focus-on';
import { announce } from '../../common/announcer';
import { Balloon } from '../../ui/balloon';
import { Button } from '../../ui/button';
import { Menu, MenuItem } from '../../ui/menu';
import { Remark } from '../../ui/remark';
import { Section } from '../section';
import { takeOut } from '../../common/take-out';
import { useNewId, usePart, useWritten } from '../use-sheet';
import { moved, placeAloud, reordered } from '../../common/lists';
import { Grip, Sortable, useSortableRow } from '../sortable';
import { AddRequirement } from './add-requirement';
import { MoreToSay, SentenceWithBlanks } from './blanks';
import { PointsOfSeveral } from './points-of-several';
import { Proposals } from './proposals';

/** What a map must show: sentences with blanks, read as students will read them. */
export function RequirementsSection() {
  const [{ requirements }, change] = usePart('requirements');
  const { assignment, read, missing, findings } = useWritten();
  const newId = useNewId();
  const [adding, setAdding] = useState(false);
  const setAll = (make: (all: SheetRequirement[]) => SheetRequirement[]): void =>
    change((before) => ({ ...before, requirements: make(before.requirements) }));
  const add = (requirement: Omit<Requirement, 'id'>): void => {
    const id = newId(requirements, 'r');
    setAll((all) => [...all, { ...requirement, id }]);
    announce(`Added: ${requirementSentence(requirement, assignment)}.`);
    focusOn(id);
  };
  const groups = inGroups(requirements);
  const counting = groups.flatMap(({ members }) => members.filter(({ off }) => !off));
  // Balloons wear the numbers students will see: what is switched off has none.
  const numbers = new Map(
    inGroups(assignment.requirements)
      .flatMap(({ members }) => members)
      .map(({ id, number }) => [id, number]),
  );
  return (
    <Section
      id="requirements"
      title="What must a map show?"
      lead="Read as your students will. Change any underlined word."
      actions={
        <>
          {counting.length > 1 && (
            <PointsOfSeveral
              of="all requirements"
              members={counting}
              change={setAll}
              trigger={<Button>Points of all …</Button>}
            />
          )}
          <Button onClick={() => setAdding(true)} aria-haspopup="dialog">
            <Plus aria-hidden size={14} />
            Add a requirement …
          </Button>
        </>
      }
    >
      {requirements.length === 0 && (
        <p className="text-quiet">
          Nothing is asked for yet. Add what a map must show, or take what your reference map proposes.
        </p>
      )}
      {groups.map(({ group, members }) => {
        const ids = members.map(({ id }) => id);
        const setOrder = (next: readonly string[]): void => setAll((all) => reordered(all, next));
        return (
          <div key={group} className="mt-4">
            <h3 className="caption mb-1 flex justify-between">
              <span>{GROUP_TITLES[group]}</span>
              <GroupSum group={group} all={groups} change={setAll} />
            </h3>
            <Sortable ids={ids} onOrder={setOrder}>
              <ul className="border-t border-rule" aria-label={GROUP_TITLES[group]}>
                {members.map((requirement) => (
                  <Row
                    key={requirement.id}
                    requirement={requirement}
                    number={numbers.get(requirement.id) ?? null}
                    remarks={findings
                      .filter(({ requirements: ids }) => ids.includes(requirement.id))
                      .map(({ sentence }) => sentence)}
                    missing={missing
                      .filter(({ path }) =>
                        path.startsWith(
                          `$.requirements[${read.requirements.findIndex(({ id }) => id === requirement.id)}]`,
                        ),
                      )
                      .map(({ path, reason }) => ({ param: /\.params\.(\w+)/.exec(path)?.[1] ?? null, reason }))}
                    onChange={(fields) =>
                      setAll((all) => all.map((one) => (one.id === requirement.id ? { ...one, ...fields } : one)))
                    }
                    onRemove={() =>
                      takeOut(requirements, ({ id }) => id === requirement.id, {
                        change: setAll,
                        keyOf: ({ id }) => id,
                        words: `Removed: ${requirementSentence(requirement, assignment)}.`,
                      })
                    }
                    onDuplicate={() => {
                      const { number: _, ...copy } = requirement;
                      add(copy);
                    }}
                    onMove={(by) => {
                      const at = ids.indexOf(requirement.id);
                      setOrder(moved(ids, at, by));
                      announce(placeAloud(requirementSentence(requirement, assignment), at, by, ids.length));
                      focusOn(requirement.id);
                    }}
                  />
                ))}
              </ul>
            </Sortable>
          </div>
        );
      })}
      {findings
        .filter(({ requirements: ids }) => ids.length === 0)
        .map(({ code, sentence }) => (
          <Remark key={code + sentence}>{sentence}</Remark>
        ))}
      <p className="mt-2 text-sm">
        <Link className="text-action underline" to="/assignments/what-can-i-ask-for">
          What else can I ask for?
        </Link>
      </p>
      <Proposals onTake={add} />
      <AddRequirement open={adding} onOpenChange={setAdding} onAdd={add} assignment={assignment} />
    </Section>
  );
}

/** Points of a group that count: what is extra or switched off stands beside the sum. */
function GroupSum({
  group,
  all,
  change,
}: {
  group: GroupId;
  all: ReturnType<typeof inGroups<SheetRequirement>>;
  change: (make: (all: SheetRequirement[]) => SheetRequirement[]) => void;
}) {
  const members = all.find((one) => one.group === group)?.members.filter(({ off }) => !off) ?? [];
  const sum = (extra: boolean): number =>
    members.filter(({ level }) => (level === 'extra') === extra).reduce((total, { points }) => total + points, 0);
  const words = `${sum(false)} pt${sum(true) > 0 ? `, and ${sum(true)} extra` : ''}`;
  if (members.length < 2) return <span className="font-mono normal-case tracking-normal">{words}</span>;
  return (
    <PointsOfSeveral
      of={`“${GROUP_TITLES[group]}”`}
      members={members}
      change={change}
      trigger={
        <button
          type="button"
          title="Set the points of all of them"
          className="rounded-sm border-b border-dotted border-quiet font-mono normal-case tracking-normal hover:bg-wash hover:text-ink"
        >
          {words}
        </button>
      }
    />
  );
}

/** To the row's first blank, or to the row itself where there is none. */
const focusOn = (id: string): void =>
  void requestAnimationFrame(() => {
    const row = document.getElementById(`requirement-${id}`);
    (row?.querySelector<HTMLElement>('button[aria-haspopup]') ?? row)?.focus();
    row?.scrollIntoView({ block: 'nearest' });
  });

function Row({
  requirement,
  number,
  remarks,
  missing,
  onChange,
  onRemove,
  onDuplicate,
  onMove,
}: {
  requirement: SheetRequirement;
  number: number | null;
  remarks: readonly string[];
  missing: readonly { param: string | null; reason: string }[];
  onChange: (fields: Partial<SheetRequirement>) => void;
  onRemove: () => void;
  onDuplicate: () => void;
  onMove: (by: number) => void;
}) {
  const { assignment } = useWritten();
  const row = useSortableRow(requirement.id);
  const [hinting, setHinting] = useState(requirement.hint !== undefined);
  const sentence = requirementSentence(requirement, assignment);
  const wanting = new Map(missing.flatMap(({ param, reason }) => (param === null ? [] : [[param, reason] as const])));
  const setParams = (params: Record<string, unknown>): void => onChange({ params });
  const props = { requirement, assignment, wanting, onChange: setParams };
  return (
    <li
      id={`requirement-${requirement.id}`}
      ref={row.ref}
      style={row.style}
      tabIndex={-1}
      className="group border-b border-rule bg-paper py-1.5 outline-offset-[-2px]"
      onKeyDown={(event) => {
        if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
        event.preventDefault();
        onMove(event.key === 'ArrowUp' ? -1 : 1);
      }}
    >
      <div className="flex items-start gap-3 max-sm:flex-wrap max-sm:gap-x-2">
        <Grip of={row} />
        <span className="w-5 shrink-0 pt-0.5">{number !== null && <Balloon number={number} />}</span>
        <p
          className={`words min-w-0 flex-1 leading-7 max-sm:min-w-[70%] ${requirement.off ? 'text-quiet line-through' : ''}`}
        >
          <SentenceWithBlanks {...props} />
          <MoreToSay {...props} />
        </p>
        <select
          aria-label={`How firmly: ${sentence}`}
          className="rounded-sm border border-transparent bg-transparent py-1 text-sm text-quiet hover:border-rule"
          value={requirement.level}
          onChange={({ target }) => onChange({ level: target.value as Requirement['level'] })}
        >
          <option>must</option>
          <option>should</option>
          <option>extra</option>
        </select>
        <label className="flex items-center gap-1 font-mono text-sm">
          <span className="sr-only">Points: {sentence}</span>
          <CommittedFigure
            className="w-14 rounded-sm border border-transparent bg-transparent py-1 text-right hover:border-rule focus:border-[#8b9389] focus:bg-white"
            value={requirement.points}
            limits={{ least: 0, most: 1000 }}
            onCommit={(points = 0) => onChange({ points })}
          />
          pt
        </label>
        <Menu
          trigger={
            <Button small look="quiet" aria-label={`More for: ${sentence}`}>
              <MoreHorizontal aria-hidden size={15} />
            </Button>
          }
        >
          <MenuItem onSelect={() => onMove(-1)}>Move up</MenuItem>
          <MenuItem onSelect={() => onMove(1)}>Move down</MenuItem>
          <MenuItem onSelect={onDuplicate}>Duplicate</MenuItem>
          <MenuItem onSelect={() => onChange({ off: !requirement.off })}>
            {requirement.off ? 'Switch on' : 'Switch off'}
          </MenuItem>
          <MenuItem
            onSelect={() => {
              setHinting(true);
              focusIn(`hint of ${requirement.id}`);
            }}
          >
            Give a hint
          </MenuItem>
          <MenuItem onSelect={onRemove}>Remove</MenuItem>
        </Menu>
      </div>
      <div className="pl-8">
        {hinting && (
          <label data-made={`hint of ${requirement.id}`} className="mt-1 flex items-center gap-2 text-sm">
            <MessageSquare aria-hidden size={13} className="text-quiet" />
            <span className="sr-only">Hint for: {sentence}</span>
            <CommittedInput
              className="field py-0.5"
              maxLength={2000}
              placeholder="A hint in your own words, shown where it is not met"
              live
              value={requirement.hint ?? ''}
              onCommit={(hint) => onChange({ hint })}
            />
          </label>
        )}
        {missing.map(({ param, reason }) => (
          <Remark key={`${param} ${reason}`} grave>
            Not complete: {param === null ? 'something here' : `“${PARAM_WORDS[param as ParamName] ?? param}”`} {reason}
            .
          </Remark>
        ))}
        {!requirement.off && remarks.map((words) => <Remark key={words}>{words}</Remark>)}
      </div>
    </li>
  );
}
