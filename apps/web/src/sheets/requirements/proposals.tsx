import { mend, openStoredMap, readMapText, requirementSentence } from '@ichnograph/core';
import type { Requirement, TopicMap } from '@ichnograph/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { useTrials } from '../../common/queries';
import { Button } from '../../ui/button';
import { ChooseFile } from '../../ui/choose-file';
import { Trouble } from '../../ui/field';
import type { Proposed, SheetQuestion } from '../reading-worker';
import { useBeside } from '../use-beside';
import { newReader, useSheetPage, useWritten } from '../use-sheet';

type Asked = Extract<SheetQuestion, { ask: 'proposals' }>;
const REST_MS = 300;
const NONE: Proposed = [];

interface Source {
  id: string;
  name: string;
  map: TopicMap;
}

/** What an example suggests to ask for, one at a time: each is taken or left. */
export function Proposals({ onTake }: { onTake: (requirement: Omit<Requirement, 'id'>) => void }) {
  const { assignment } = useWritten();
  const calm = useDeferredValue(assignment);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [brought, setBrought] = useState<Source | null>(null);
  const [wanted, setWanted] = useState('');
  const sources = useSources(brought);
  const from = sources.find(({ id }) => id === wanted) ?? sources[0];
  const question = useMemo(
    (): Asked | null => (from ? { ask: 'proposals', assignment: calm, map: from.map } : null),
    [from, calm],
  );
  const proposals = useBeside<Asked, Proposed>(newReader, question, REST_MS)?.answer ?? NONE;
  const keyOf = ({ type, params }: Requirement): string => JSON.stringify([type, params]);
  const open = proposals.filter((one) => !left.has(keyOf(one)));
  const [first] = open;
  const take = (): void => {
    if (!first) return;
    const { id: _, ...requirement } = first;
    onTake(requirement);
  };
  const leave = (): void => {
    if (first) setLeft(new Set([...left, keyOf(first)]));
  };
  return (
    <div className="mt-4">
      {first && (
        <div
          role="group"
          aria-label="Proposal"
          className="flex items-center gap-3 border border-dashed border-[#8b9389] px-3 py-2"
          onKeyDown={(event) => {
            if (event.ctrlKey || event.metaKey || event.altKey) return;
            if (event.key === 't') take();
            else if (event.key === 'l') leave();
            else return;
            event.preventDefault();
          }}
        >
          <p className="words min-w-0 flex-1">
            <strong>From {from?.name}:</strong> ask that {lowerCase(requirementSentence(first, calm))}?{' '}
            <span className="text-sm text-quiet">
              {open.length > 1 && `${open.length - 1} more behind it.`} Keys: t takes, l leaves.
            </span>
          </p>
          <Button onClick={take}>Take</Button>
          <Button onClick={leave}>Leave</Button>
        </div>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-3 text-sm">
        {from && !first && <span className="text-quiet">Nothing more to propose from {from.name}.</span>}
        {sources.length > 1 && (
          <label className="flex items-center gap-2">
            Propose from
            <select className="field w-auto py-0.5" value={from?.id} onChange={({ target }) => setWanted(target.value)}>
              {sources.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
        <BringMap
          onMap={(source) => {
            setBrought(source);
            setWanted(source.id);
          }}
        />
      </div>
    </div>
  );
}

/** The maps at hand, the one that says most first. */
function useSources(brought: Source | null): Source[] {
  const { detail } = useSheetPage();
  const { assignment } = useWritten();
  const { starter, reference } = useDeferredValue(assignment);
  const trials = useTrials(detail.id).data;
  return useMemo(
    () => [
      ...(reference ? [{ id: 'reference', name: 'your reference map', map: reference }] : []),
      ...(starter ? [{ id: 'starter', name: 'your starter map', map: starter }] : []),
      ...(trials ?? []).map(({ id, name, map }) => ({
        id,
        name: `the trial map “${name}”`,
        map: mend(openStoredMap(map)).map,
      })),
      ...(brought ? [brought] : []),
    ],
    [reference, starter, trials, brought],
  );
}

function BringMap({ onMap }: { onMap: (source: Source) => void }) {
  const [trouble, setTrouble] = useState('');
  const read = async (file: File): Promise<void> => {
    const { value, messages } = readMapText(await file.text());
    if (value) onMap({ id: `file ${file.name}`, name: `“${file.name}”`, map: mend(value).map });
    const [first] = messages;
    setTrouble(value || !first ? '' : `“${file.name}” was not taken: ${first.path} ${first.reason}.`);
  };
  return (
    <>
      <ChooseFile small accept=".json,application/json" onFile={(file) => void read(file)}>
        Propose from a map file …
      </ChooseFile>
      <Trouble>{trouble}</Trouble>
    </>
  );
}

const lowerCase = (sentence: string): string => `${sentence.charAt(0).toLowerCase()}${sentence.slice(1)}`;
