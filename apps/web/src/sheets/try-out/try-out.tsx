import {
  mapFromStarter,
  mend,
  openStoredMap,
  pick,
  inGroups,
  requirementTypeOf,
  seeded,
  WAYS,
  writeMap,
} from '@ichnograph/core';
import type { Assignment, TopicMap, WayName } from '@ichnograph/core';
import { Dice5 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { api } from '../../common/api';
import { useTrials } from '../../common/queries';
import { useSend } from '../../common/send';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { useSheetPage, useWritten } from '../use-sheet';
import { ClassTryOut } from './class-try-out';
import { LookedAt } from './looked-at';
import { TryOutGrid } from './try-out-grid';
import type { NamedTrial } from './try-out-grid';
import { useTryOut } from './use-try-out';
import type { Tried } from './try-out-worker';
import { WAY_WORDS } from './ways';

const FIRST: readonly Spoilt[] = [
  { way: 'cross-lines', seed: 1 },
  { way: 'drop-terms', seed: 1 },
];
interface Spoilt {
  way: WayName;
  seed: number;
}

/** The requirements at work on the bare starter, the reference, and copies that went wrong. */
export function TryOut() {
  const { assignment, ready } = useWritten();
  const [spoilt, setSpoilt] = useState<readonly Spoilt[]>(FIRST);
  const [looked, look] = useState<{ trial: string; requirement: string } | null>(null);
  const { detail } = useSheetPage();
  const kept = useTrials(detail.id);
  const { send } = useSend('everything');
  const { starter, reference } = assignment;
  const base = reference ?? starter;
  const keptMaps = useMemo(
    () => (kept.data ?? []).map(({ id, name, map }) => ({ id, name, map: mend(openStoredMap(map)).map })),
    [kept.data],
  );
  const trials = useMemo(
    (): NamedTrial[] => [
      // As a student begins with it: its topics know that they were given.
      ...(starter ? [{ id: 'starter', name: 'bare starter', map: begun(assignment) }] : []),
      ...(reference ? [{ id: 'reference', name: 'reference', map: reference }] : []),
      ...keptMaps.map((one) => ({ ...one, mayLeave: true })),
      ...(base
        ? spoilt.map(({ way, seed }) => ({
            id: `${way} ${seed}`,
            name: WAY_WORDS[way],
            map: base,
            way,
            seed,
            mayLeave: true,
          }))
        : []),
    ],
    [assignment, starter, reference, base, spoilt, keptMaps],
  );
  const tried = useTryOut(assignment, trials);
  const byId = new Map(tried.map((one) => [one.id, one]));
  const spoil = (way: WayName): void => {
    const seed = 1 + spoilt.filter((one) => one.way === way).length;
    // Four copies have room beside each other: the oldest gives way.
    setSpoilt([...spoilt, { way, seed }].slice(-4));
  };
  const leaveOut = (id: string): void => {
    if (keptMaps.some((one) => one.id === id))
      void send(() => api.delete(`assignments/${detail.id}/trials/${id}`), 'The trial map is thrown away.');
    else setSpoilt(spoilt.filter(({ way, seed }) => `${way} ${seed}` !== id));
  };
  const chosen = looked && byId.get(looked.trial);
  return (
    <section aria-labelledby="try-out-title">
      <h2 id="try-out-title" className="caption mb-2">
        Try-out
      </h2>
      {!ready ? (
        <p role="status" className="text-quiet">
          Opening the maps …
        </p>
      ) : trials.length === 0 ? (
        <p className="text-quiet">Draw a starter or a reference map, and the requirements are tried on it here.</p>
      ) : assignment.requirements.length === 0 ? (
        <p className="text-quiet">What you ask for is tried here, on your maps and on copies that went wrong.</p>
      ) : (
        <TryOutGrid
          trials={trials}
          tried={byId}
          onLook={(trial, requirement) => look({ trial, requirement })}
          onLeaveOut={leaveOut}
        />
      )}
      <ClassTryOut />
      <Observations tried={byId} />
      {base && (
        <>
          <h3 className="caption mb-1.5 mt-5">Spoil a copy</h3>
          <div className="flex flex-wrap gap-1.5">
            {(Object.keys(WAYS) as WayName[]).map((way) => (
              <Button key={way} small onClick={() => spoil(way)}>
                {WAY_WORDS[way]}
              </Button>
            ))}
            <Button
              small
              onClick={() => {
                const ways = Object.keys(WAYS) as WayName[];
                spoil(pick(ways, seeded(Date.now())));
              }}
            >
              <Dice5 aria-hidden size={13} />
              Any of them
            </Button>
          </div>
        </>
      )}
      <Dialog
        wide
        open={looked !== null}
        onOpenChange={(open) => {
          if (!open) look(null);
        }}
        title={looked ? (trials.find(({ id }) => id === looked.trial)?.name ?? '') : ''}
      >
        {looked && chosen && spoilt.some(({ way, seed }) => `${way} ${seed}` === looked.trial) && (
          <KeepTrial name={trials.find(({ id }) => id === looked.trial)?.name ?? ''} map={chosen.map} />
        )}
        {looked && chosen && (
          <LookedAt tried={chosen} requirement={assignment.requirements.find(({ id }) => id === looked.requirement)} />
        )}
      </Dialog>
    </section>
  );
}

function begun(assignment: Assignment): TopicMap {
  let count = 0;
  return mapFromStarter(assignment, '', () => `new-${++count}`);
}

/** Keeps a spoilt copy among the trial maps, so that later changes are tried on that very one. */
function KeepTrial({ name, map }: { name: string; map: TopicMap }) {
  const { detail } = useSheetPage();
  const { trouble, send } = useSend('everything');
  return (
    <div className="mb-2 flex items-center gap-2">
      <Button
        small
        onClick={() =>
          void send(
            () => api.post(`assignments/${detail.id}/trials`, { name, map: writeMap(map) }),
            'It is kept as a trial map.',
          )
        }
      >
        Keep this map
      </Button>
      {trouble}
    </div>
  );
}

/** What the grid shows to those who read grids: a requirement that asks nothing, or that one's own answer does not meet. */
function Observations({ tried }: { tried: ReadonlyMap<string, Tried> }) {
  const { assignment } = useWritten();
  const numbers = inGroups(assignment.requirements).flatMap(({ members }) => members);
  const statusOn = (trial: string, id: string) => tried.get(trial)?.report.results.find((one) => one.id === id)?.status;
  const all = [...tried.values()];
  const lines = numbers.flatMap(({ id, number, type }) => [
    ...(['unmet', 'partly'].includes(statusOn('reference', id) ?? '') && !requirementTypeOf(type)?.notOfReference
      ? [{ number, words: 'is not met by your own reference map.' }]
      : []),
    ...(all.length > 2 && all.every(({ report }) => report.results.find((one) => one.id === id)?.status === 'met')
      ? [{ number, words: 'is met by every map here: it asks nothing yet.' }]
      : []),
  ]);
  return (
    <ul className="mt-2 text-sm">
      {lines.map(({ number, words }) => (
        <li key={`${number} ${words}`}>
          <span className="font-mono font-semibold text-ochre">{number}</span> {words}
        </li>
      ))}
    </ul>
  );
}
