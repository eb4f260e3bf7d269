import type { Legend, TopicMap } from '@ichnograph/core';
import { droppedOf } from '@ichnograph/formats';
import type { FormatName, Wishes } from '@ichnograph/formats';
import { Download } from 'lucide-react';
import { useEffect, useId, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { SaidError } from '../common/api';
import { fileName, saveAs } from '../common/save-as';
import { useSend } from '../common/send';
import { Button } from '../ui/button';
import { Trouble } from '../ui/field';
import { FAMILIES, factsOf } from './families';
import { WishesFields } from './wishes-fields';
import { written } from './written';

/** A format is chosen, what it cannot keep of this map is said, and the file is made. */
export function SaveAs({ map, legend, onSaved }: { map: TopicMap; legend: Legend; onSaved: () => void }) {
  const [as, setAs] = useState<FormatName>('pdf');
  const [wishes, setWishes] = useState<Wishes>({});
  const { send, trouble, isSending } = useSend([]);
  const facts = factsOf(as);
  const dropped = useMemo(() => droppedOf(map, legend, facts.keeps), [map, legend, facts]);
  const ending = useRef<AbortController | null>(null);
  // Who closes it wants no file any more.
  useEffect(() => () => ending.current?.abort(new SaidError('')), []);
  const save = (): Promise<boolean> =>
    send(async () => {
      const { signal } = (ending.current = new AbortController());
      const own = Object.fromEntries(
        Object.entries(wishes).filter(([name]) => facts.wishes?.some((one) => one === name)),
      );
      saveAs(`${nameOf(map)}.${facts.endings[0]}`, await written(as, map, legend, own, signal));
      onSaved();
    }, `The map is saved as ${facts.label}.`);
  return (
    <form
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        {FAMILIES.map((family) => (
          <fieldset key={family.name}>
            <legend className="mb-1 font-semibold">{family.name}</legend>
            {family.formats.map((name) => (
              <FormatChoice key={name} name={name} isChosen={name === as} onChoose={() => setAs(name)} />
            ))}
          </fieldset>
        ))}
      </div>
      <WishesFields of={facts.wishes ?? []} wishes={wishes} onChange={setWishes} />
      <p className="border-l-4 border-rule pl-2 text-quiet" aria-live="polite" data-testid="dropped">
        {dropped.length === 0
          ? `${facts.label} has room for all of this map.`
          : `Not in it: ${dropped.map(({ about, reason }) => about + reason.replace(/^left out,?/, '')).join(' · ')}.`}{' '}
        <Link className="whitespace-nowrap underline" to="/formats" target="_blank">
          What each format carries
        </Link>
      </p>
      <Trouble>{trouble}</Trouble>
      <div className="flex justify-end gap-2">
        {isSending && (
          <Button onClick={() => ending.current?.abort(new SaidError('Cancelled. Nothing was saved.'))}>Cancel</Button>
        )}
        <Button type="submit" look="action" disabled={isSending}>
          <Download aria-hidden size={16} />
          {isSending ? 'Making the file …' : 'Save the file'}
        </Button>
      </div>
    </form>
  );
}

function FormatChoice({ name, isChosen, onChoose }: { name: FormatName; isChosen: boolean; onChoose: () => void }) {
  const id = useId();
  const { label, endings } = factsOf(name);
  return (
    <div className="flex items-center gap-2 py-0.5 pointer-coarse:min-h-11">
      <input id={id} type="radio" name="format" checked={isChosen} onChange={onChoose} autoFocus={isChosen} />
      <label htmlFor={id} className="grow">
        {label} <span className="text-quiet">.{endings[0]}</span>
      </label>
    </div>
  );
}

/** By map, author and date: what lies in a folder beside others is told apart. */
const nameOf = ({ title, author }: TopicMap): string =>
  fileName([title || 'Map', author, new Date().toISOString().slice(0, 10)].filter(Boolean).join(', '));
