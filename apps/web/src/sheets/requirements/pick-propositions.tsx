import { drawnBox, drawnMarks, isBlank, normalForm, propositionOf } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { useMemo, useState } from 'react';
import { ReadSentence, Shapes, Underlay } from '../../map';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { useWritten } from '../use-sheet';

type Wanted = Record<string, unknown>;

const AROUND = 16;
const PICKED = '#1f6f63';
const keyOf = (from: string, to: string): string => `${normalForm(from)}→${normalForm(to)}`;

/** Propositions picked where the teacher has drawn them: on the reference map, by its links or its sentences. */
export function PickPropositions({
  value,
  onChange,
}: {
  value: readonly Wanted[];
  onChange: (value: Wanted[]) => void;
}) {
  const { assignment } = useWritten();
  const [open, setOpen] = useState(false);
  const { reference, legend } = assignment;
  if (!reference || reference.links.length === 0) return null;
  return (
    <>
      <Button small onClick={() => setOpen(true)}>
        Pick on the reference map …
      </Button>
      <Dialog
        wide
        open={open}
        onOpenChange={setOpen}
        title="Which propositions?"
        description="Click a link on the map, or tick its sentence. The wording on the link is taken with it."
      >
        <Picker map={reference} legend={legend} value={value} onChange={onChange} />
      </Dialog>
    </>
  );
}

function Picker({
  map,
  legend,
  value,
  onChange,
}: {
  map: TopicMap;
  legend: Legend;
  value: readonly Wanted[];
  onChange: (value: Wanted[]) => void;
}) {
  const drawings = useMemo(() => drawnMarks(map, legend), [map, legend]);
  const topics = useMemo(() => new Map(map.topics.map((topic) => [topic.id, topic])), [map]);
  const picked = new Set(value.map(({ from, to }) => keyOf(from as string, to as string)));
  const sentences = map.links.map((link) => {
    const proposition = propositionOf(link, topics.get(link.from)!, topics.get(link.to)!, legend);
    return { id: link.id, proposition, key: keyOf(proposition.from, proposition.to) };
  });
  const toggle = (id: string): void => {
    const { proposition, key } = sentences.find((one) => one.id === id)!;
    const { from, phrase, to } = proposition;
    onChange(
      picked.has(key)
        ? value.filter((one) => keyOf(one.from as string, one.to as string) !== key)
        : [...value, { from, to, ...(!isBlank(phrase) && { phrases: [phrase] }) }],
    );
  };
  const isPicked = (id: string): boolean => picked.has(sentences.find((one) => one.id === id)?.key ?? '');
  const box = drawnBox(map, legend)!;
  const [width, height] = [box.right - box.left + 2 * AROUND, box.bottom - box.top + 2 * AROUND];
  return (
    <div className="grid gap-4 md:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <svg
        aria-hidden
        viewBox={`${box.left - AROUND} ${box.top - AROUND} ${width} ${height}`}
        className="max-h-[60vh] w-full border border-rule bg-canvas"
      >
        {drawings.map(({ list, id, drawing: { at, shapes } }) => (
          <g
            key={`${list} ${id}`}
            transform={`translate(${at.x} ${at.y})`}
            className={list === 'links' ? 'cursor-pointer' : ''}
            {...(list === 'links' && { onClick: () => toggle(id), 'data-link': id })}
          >
            {list === 'links' && <Underlay shapes={shapes} colour={PICKED} opacity={isPicked(id) ? 0.35 : 0} />}
            <Shapes shapes={shapes} />
          </g>
        ))}
      </svg>
      <ul className="max-h-[60vh] overflow-y-auto border-y border-rule">
        {sentences.map(({ id, proposition }, i) => (
          <li key={id} className="border-b border-rule last:border-0">
            <label className="flex items-start gap-2 py-1.5">
              <input
                type="checkbox"
                className="mt-1 accent-action"
                checked={isPicked(id)}
                {...(i === 0 && { 'data-autofocus': true })}
                onChange={() => toggle(id)}
              />
              <span className="words min-w-0">
                <ReadSentence {...proposition} />
              </span>
            </label>
          </li>
        ))}
      </ul>
    </div>
  );
}
