import { propose, requirementSentence } from '@ichnograph/core';
import type { Requirement } from '@ichnograph/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { Button } from '../../ui/button';
import { useWritten } from '../use-sheet';

/** What the reference map suggests to ask for, one at a time: each is taken or left. */
export function Proposals({ onTake }: { onTake: (requirement: Omit<Requirement, 'id'>) => void }) {
  const { assignment } = useWritten();
  const calm = useDeferredValue(assignment);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const from = calm.reference ?? calm.starter;
  const proposals = useMemo(() => (from ? propose(from, calm) : []), [from, calm]);
  const keyOf = ({ type, params }: Requirement): string => JSON.stringify([type, params]);
  const open = proposals.filter((one) => !left.has(keyOf(one)));
  const [first] = open;
  if (!first) return null;
  const take = (): void => {
    const { id: _, ...requirement } = first;
    onTake(requirement);
  };
  const leave = (): void => setLeft(new Set([...left, keyOf(first)]));
  return (
    <div
      role="group"
      aria-label="Proposal"
      className="mt-4 flex items-center gap-3 border border-dashed border-[#8b9389] px-3 py-2"
      onKeyDown={(event) => {
        if (event.ctrlKey || event.metaKey || event.altKey) return;
        if (event.key === 't') take();
        else if (event.key === 'l') leave();
        else return;
        event.preventDefault();
      }}
    >
      <p className="words min-w-0 flex-1">
        <strong>From your {calm.reference ? 'reference' : 'starter'} map:</strong> ask that{' '}
        {lowerCase(requirementSentence(first, calm))}?{' '}
        <span className="text-sm text-quiet">
          {open.length > 1 && `${open.length - 1} more behind it.`} Keys: t takes, l leaves.
        </span>
      </p>
      <Button onClick={take}>Take</Button>
      <Button onClick={leave}>Leave</Button>
    </div>
  );
}

const lowerCase = (sentence: string): string => `${sentence.charAt(0).toLowerCase()}${sentence.slice(1)}`;
