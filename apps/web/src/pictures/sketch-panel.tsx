import { readSketch } from '@ichnograph/core';
import type { Sketch } from '@ichnograph/core';
import { Eraser, Redo2, Undo2 } from 'lucide-react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, sentenceOfError } from '../common/api';
import { useSend } from '../common/send';
import { Button } from '../ui/button';
import { bringSketch } from './bring';
import type { Chosen } from './choice';
import { SketchSheet } from './sketch-sheet';
import type { Pen } from './sketch-sheet';
import { useSketch } from './use-sketch';

const INKS = [
  ['#16202e', 'ink'],
  ['#1f6f63', 'green'],
  ['#9e2b3f', 'red'],
  ['#8a5a00', 'ochre'],
  ['#3d4a9a', 'blue'],
  ['#b7791f', 'gold'],
  ['#6b7280', 'grey'],
] as const;
const SIZES = [
  [4, 'Fine'],
  [9, 'Broad'],
  [20, 'Brush'],
] as const;

/** A sheet to draw on, by pen, finger, mouse or keys; what is drawn becomes a picture that can be drawn on again. */
export function SketchPanel({
  name,
  again,
  onDone,
}: {
  /** what it is drawn for: a sketch that was begun for it is taken up again */
  name: string;
  /** the picture whose strokes it goes on from */
  again: string | null;
  onDone: (picture: Chosen, alt: string) => void;
}) {
  const strokes = useQuery({
    queryKey: [`files/${again}/sketch`],
    queryFn: () => api.get<unknown>(`files/${again}/sketch`),
    enabled: again !== null,
    staleTime: Infinity,
    retry: false,
  });
  if (again !== null && strokes.isPending) return <p role="status">Opening the sketch …</p>;
  if (strokes.isError) return <p className="words text-ochre">{sentenceOfError(strokes.error)}</p>;
  return <Pad name={name} first={readSketch(strokes.data)} onDone={onDone} />;
}

function Pad({
  name,
  first,
  onDone,
}: {
  name: string;
  first: Sketch | null;
  onDone: (picture: Chosen, alt: string) => void;
}) {
  const hand = useSketch(name, first);
  const [pen, setPen] = useState<Pen>({ colour: INKS[0][0], size: SIZES[0][0], rubs: false });
  const { trouble, isSending, send } = useSend(['files']);
  const [alt, setAlt] = useState('');
  const done = (): Promise<boolean> =>
    send(async () => {
      const { src, width, height } = await bringSketch(hand.sketch, 'Sketch');
      hand.done();
      onDone({ src, name: '', width, height }, alt);
    });
  return (
    <div className="grid gap-2">
      <div role="toolbar" aria-label="Pen" className="flex flex-wrap items-center gap-1.5">
        {INKS.map(([colour, called]) => (
          <button
            key={colour}
            type="button"
            aria-label={`Draw in ${called}`}
            aria-pressed={!pen.rubs && pen.colour === colour}
            className="h-7 w-7 rounded-sm border border-[#8b9389] aria-pressed:outline-2 aria-pressed:outline-offset-1 aria-pressed:outline-ink"
            style={{ background: colour }}
            onClick={() => setPen({ ...pen, colour, rubs: false })}
          />
        ))}
        <span aria-hidden className="mx-1 h-6 border-l border-rule" />
        {SIZES.map(([size, called]) => (
          <Button
            key={size}
            small
            aria-pressed={!pen.rubs && pen.size === size}
            className="aria-pressed:bg-wash"
            onClick={() => setPen({ ...pen, size, rubs: false })}
          >
            <span aria-hidden className="rounded-full bg-ink" style={{ width: size / 1.6, height: size / 1.6 }} />
            {called}
          </Button>
        ))}
        <Button
          small
          aria-pressed={pen.rubs}
          className="aria-pressed:bg-wash"
          onClick={() => setPen({ ...pen, rubs: !pen.rubs })}
        >
          <Eraser aria-hidden size={14} />
          Rub out
        </Button>
        <span aria-hidden className="mx-1 h-6 border-l border-rule" />
        <Button small aria-label="Take the last stroke back" disabled={!hand.undo} onClick={() => hand.undo?.()}>
          <Undo2 aria-hidden size={14} />
        </Button>
        <Button small aria-label="Draw it again" disabled={!hand.redo} onClick={() => hand.redo?.()}>
          <Redo2 aria-hidden size={14} />
        </Button>
        <Button small look="quiet" disabled={hand.isEmpty} onClick={hand.clear}>
          Empty the sheet
        </Button>
      </div>
      <div className="mx-auto w-full max-w-[calc(52vh*1.6)]">
        <SketchSheet sketch={hand.sketch} pen={pen} onDraw={hand.draw} onRub={hand.rub} />
      </div>
      {(trouble || hand.isFull) && (
        <p role="alert" className="words text-sm text-ochre">
          {trouble || 'The sheet is full: it takes no more strokes. Put it on the map, and draw on a new one.'}
        </p>
      )}
      <form
        className="flex items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void done();
        }}
      >
        <label className="grid min-w-0 flex-1 gap-1">
          <span className="caption">For those who cannot see it</span>
          <input
            className="field"
            maxLength={2000}
            placeholder="What does it show?"
            value={alt}
            onChange={({ target }) => setAlt(target.value)}
          />
        </label>
        <Button type="submit" look="action" disabled={hand.isEmpty || isSending}>
          {isSending ? 'Bringing it …' : 'Put it there'}
        </Button>
      </form>
    </div>
  );
}
