import { Keyboard } from 'lucide-react';
import { useState } from 'react';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { showChord } from './chords';
import { useKeys } from './keys';
import type { KeyAct } from './keys';

/** What keys of a page do, as it is listed; without an act it belongs to a part of the page and is told only. */
export interface PageKey extends Partial<KeyAct> {
  chords: readonly string[];
  name: string;
}

/** The keys of a page: they act, and `?` or the button lists them. */
export function KeysOfPage({ keys }: { keys: readonly PageKey[] }) {
  const [shown, setShown] = useState(false);
  useKeys((chord) => {
    if (chord === '?') return { run: () => setShown(true) };
    const key = keys.find(({ chords, run }) => run && chords.includes(chord));
    return key?.run ? { ...key, run: key.run } : null;
  });
  return (
    <>
      <Button small onClick={() => setShown(true)} aria-label="Keys of this page" title="Keys of this page (?)">
        <Keyboard aria-hidden size={14} />
      </Button>
      <KeysDialog open={shown} onOpenChange={setShown} keys={keys} />
    </>
  );
}

export function KeysDialog({
  open,
  onOpenChange,
  keys,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  keys: readonly PageKey[];
}) {
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Keys of this page">
      <dl tabIndex={0} className="grid max-h-[65vh] grid-cols-[11rem_1fr] gap-x-4 gap-y-1.5 overflow-y-auto">
        {keys.map(({ chords, name }) => (
          <div key={`${chords.join()} ${name}`} className="contents">
            <dt className="font-mono text-sm">{chords.map(showChord).join(', ')}</dt>
            <dd>{name}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
