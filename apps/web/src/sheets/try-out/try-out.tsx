import {
  inGroups,
  mapFromStarter,
  mend,
  onScale,
  openStoredMap,
  pick,
  PLAIN_MARKS,
  requirementTypeOf,
  say,
  seeded,
  sumOf,
  WAYS,
  writeMap,
} from '@ichnograph/core';
import type { Assignment, Requirement, Result, TopicMap, WayName } from '@ichnograph/core';
import { Dice5, X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { CheckedMap, MapPicture, Sentence } from '../../map';
import { api } from '../../app/api';
import { useTrials } from '../../app/queries';
import { useAction } from '../../app/use-action';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { markWords } from '../../ui/mark-words';
import { StatusMark } from '../../ui/status-mark';
import { useSheetPage, useWritten } from '../use-sheet';
import { useTryOut } from './use-try-out';
import type { Trial, Tried } from './try-out-worker';
import { WAY_WORDS } from './ways';

const FIRST: readonly Spoilt[] = [
  { way: 'cross-lines', seed: 1 },
  { way: 'drop-terms', seed: 1 },
];
interface Spoilt {
  way: WayName;
  seed: number;
}
const NOTHING = { points: {}, levels: {} };
const UNTIMED = { due: null, handedIn: null };

/** The requirements at work on the bare starter, the reference, and copies that went wrong. */
export function TryOut() {
  const { assignment } = useWritten();
  const [spoilt, setSpoilt] = useState<readonly Spoilt[]>(FIRST);
  const [looked, look] = useState<{ trial: string; requirement: string } | null>(null);
  const { detail } = useSheetPage();
  const kept = useTrials(detail.id);
  const { act } = useAction();
  const { starter, reference } = assignment;
  const base = reference ?? starter;
  const keptMaps = useMemo(
    () => (kept.data ?? []).map(({ id, name, map }) => ({ id, name, map: mend(openStoredMap(map)).map })),
    [kept.data],
  );
  const trials = useMemo(
    (): (Trial & { name: string })[] => [
      // As a student begins with it: its topics know that they were given.
      ...(starter ? [{ id: 'starter', name: 'bare starter', map: begun(assignment) }] : []),
      ...(reference ? [{ id: 'reference', name: 'reference', map: reference }] : []),
      ...keptMaps.map(({ id, name, map }) => ({ id, name, map })),
      ...(base
        ? spoilt.map(({ way, seed }) => ({ id: `${way} ${seed}`, name: WAY_WORDS[way], map: base, way, seed }))
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
  const rows = inGroups(assignment.requirements).flatMap(({ members }) => members);
  const chosen = looked && byId.get(looked.trial);
  return (
    <section aria-labelledby="try-out-title">
      <h2 id="try-out-title" className="caption mb-2">
        Try-out
      </h2>
      {trials.length === 0 ? (
        <p className="text-quiet">Draw a starter or a reference map, and the requirements are tried on it here.</p>
      ) : rows.length === 0 ? (
        <p className="text-quiet">What you ask for is tried here, on your maps and on copies that went wrong.</p>
      ) : (
        <div className="overflow-x-auto">
          <table className="w-full text-center text-sm">
            <thead>
              <tr className="border-b border-ink align-bottom">
                <th className="w-6 text-left">
                  <span className="sr-only">Requirement</span>
                </th>
                {trials.map(({ id, name, way }) => (
                  <th key={id} className="px-1 pb-1 font-semibold leading-tight">
                    {name}
                    {(way ?? keptMaps.some((one) => one.id === id)) && (
                      <button
                        type="button"
                        className="ml-0.5 inline-flex align-middle text-quiet hover:text-ink"
                        aria-label={`Leave out: ${name}`}
                        onClick={() =>
                          way
                            ? setSpoilt(spoilt.filter((one) => `${one.way} ${one.seed}` !== id))
                            : void act(
                                () => api.delete(`assignments/${detail.id}/trials/${id}`),
                                'The trial map is thrown away.',
                              )
                        }
                      >
                        <X aria-hidden size={12} />
                      </button>
                    )}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map(({ id, number }) => (
                <tr key={id} className="border-b border-rule">
                  <td className="py-1 text-left font-mono text-quiet">{number}</td>
                  {trials.map((trial) => (
                    <td key={trial.id}>
                      <Cell
                        result={byId.get(trial.id)?.report.results.find((one) => one.id === id)}
                        name={`Requirement ${number} on ${trial.name}`}
                        onLook={() => look({ trial: trial.id, requirement: id })}
                      />
                    </td>
                  ))}
                </tr>
              ))}
              <tr className="font-mono">
                <td className="py-1.5 text-left font-sans text-quiet">sum</td>
                {trials.map(({ id }) => (
                  <td key={id}>{sumWords(byId.get(id), assignment)}</td>
                ))}
              </tr>
            </tbody>
          </table>
        </div>
      )}
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
          <Looked tried={chosen} requirement={assignment.requirements.find(({ id }) => id === looked.requirement)} />
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
  const { trouble, act } = useAction();
  return (
    <div className="mb-2 flex items-center gap-2">
      <Button
        small
        onClick={() =>
          void act(
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

function Cell({ result, name, onLook }: { result: Result | undefined; name: string; onLook: () => void }) {
  if (!result) return <span className="text-quiet">…</span>;
  const share = result.fraction === null ? '' : Math.round(result.fraction * 100);
  return (
    <button
      type="button"
      className="inline-flex min-h-7 items-center gap-1 rounded-sm px-1 hover:bg-wash"
      aria-label={`${name}: ${result.status}${share === '' ? '' : `, ${share} %`}`}
      title={say(result.type, result)}
      onClick={onLook}
    >
      <StatusMark status={result.status} />
      {result.status === 'partly' && <span className="font-mono text-xs text-quiet">{share}</span>}
    </button>
  );
}

function sumWords(tried: Tried | undefined, assignment: ReturnType<typeof useWritten>['assignment']): string {
  if (!tried) return '…';
  // What a person judges is not known of a trial: only what the computer finds is summed.
  const sum = sumOf(tried.report, { criteria: [], marks: { ...PLAIN_MARKS } }, NOTHING, UNTIMED);
  return markWords(onScale(sum, { scale: { as: 'points', decimals: assignment.marks?.scale.decimals ?? 1 } })).replace(
    / of .*/,
    '',
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

function Looked({ tried: { map, report }, requirement }: { tried: Tried; requirement: Requirement | undefined }) {
  const { assignment } = useWritten();
  const result = report.results.find(({ id }) => id === requirement?.id);
  if (!requirement || !result) return <MapPicture map={map} legend={assignment.legend} title="The map" />;
  return (
    <div className="grid gap-3">
      <p className="words flex items-start gap-2">
        <span className="mt-1">
          <StatusMark status={result.status} />
        </span>
        <span>
          <Sentence of={requirement.id} assignment={assignment} />
          <br />
          <span className="text-quiet">{say(result.type, result)}</span>
        </span>
      </p>
      <div className="flex justify-center border border-rule bg-canvas p-2">
        <CheckedMap
          large
          map={map}
          assignment={assignment}
          requirement={requirement}
          result={result}
          label="The map, with what the check found"
        />
      </div>
      <ul className="words max-h-40 list-disc overflow-y-auto pl-5 text-sm">
        {[...new Set(result.evidence.map((piece) => say(result.type, piece)))].slice(0, 20).map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
    </div>
  );
}
