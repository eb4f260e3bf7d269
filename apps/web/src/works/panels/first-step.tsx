import { isBlank } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { Check } from 'lucide-react';
import type { ReactNode } from 'react';
import { useEditorState } from '../editor';

/** Whether a map is still as it was handed out: nothing made, nothing linked. Nothing counts as missing until then. */
export const isBare = (map: TopicMap): boolean =>
  map.topics.every(({ origin }) => origin !== undefined) && map.links.every(({ origin }) => origin !== undefined);

/** Links of one's own with words, from which on somebody knows how it is done. */
const KNOWN = 3;
/** Whether the short ways are still to be shown. */
export const isBeginning = (map: TopicMap): boolean =>
  map.links.filter(({ origin, phrase }) => origin === undefined && !isBlank(phrase)).length < KNOWN;

/** The short ways to a map, as long as they are news; each is ticked once it was gone. */
export function FirstStep({ terms, own, bare }: { terms: number; own: string | null; bare: boolean }) {
  const links = useEditorState(({ map }) => map.links.filter(({ origin }) => origin === undefined).length);
  const made = useEditorState(({ map }) => map.topics.filter(({ origin }) => origin === undefined).length);
  return (
    <section aria-label="Where to begin" className="border-b border-rule px-3.5 pb-4 pt-3">
      <h2 className="mb-2 pr-6 text-lg font-semibold">{bare ? 'Where to begin' : 'How to go on'}</h2>
      <ol className="grid gap-1.5">
        {(terms > 0 || links > 0) && (
          <Step done={links > 0}>
            Drag a term from the word bank onto the topic it belongs to. It hangs there; type how the two belong
            together.
          </Step>
        )}
        <Step done={links > 1}>
          Pull the small ring under a topic to another topic: that links them. Pulled to where nothing is, or pressed,
          it makes a topic that hangs there.
        </Step>
        {own && (
          <Step done={made > 0 && links > 2}>
            Double-click on an empty place to make a topic of your own{` (${own})`}.
          </Step>
        )}
      </ol>
      {bare && (
        <p className="mt-3 text-sm text-quiet">
          Below is what is asked for. It is checked as soon as you have made something.
        </p>
      )}
    </section>
  );
}

function Step({ done, children }: { done: boolean; children: ReactNode }) {
  return (
    <li className={`grid grid-cols-[1.25rem_1fr] ${done ? 'text-quiet' : ''}`}>
      {done ? (
        <span className="pt-1 text-action">
          <Check aria-label="done" size={14} />
        </span>
      ) : (
        <span aria-hidden>–</span>
      )}
      <span>{children}</span>
    </li>
  );
}
