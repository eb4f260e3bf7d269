import type { TopicMap } from '@ichnograph/core';

/** Whether a map is still as it was handed out: nothing made, nothing linked. Nothing counts as missing until then. */
export const isBare = (map: TopicMap): boolean =>
  map.topics.every(({ origin }) => origin !== undefined) && map.links.every(({ origin }) => origin !== undefined);

/** What a beginner sees instead of a list of what is missing. */
export function FirstStep({ terms, own }: { terms: number; own: string | null }) {
  return (
    <section aria-label="Where to begin" className="border-b border-rule px-3.5 pb-4 pt-3">
      <h2 className="mb-2 pr-6 text-lg font-semibold">Where to begin</h2>
      <ol className="grid list-decimal gap-1.5 pl-5">
        {terms > 0 && <li>Drag a term from the word bank onto the map, next to what it belongs to.</li>}
        <li>
          Pull the small ring under a topic to another topic: that makes a link. Then type how the two belong together.
        </li>
        {own && <li>Double-click on an empty place to make a topic of your own{` (${own})`}.</li>}
      </ol>
      <p className="mt-3 text-sm text-quiet">
        Below is what is asked for. It is checked as soon as you have made something.
      </p>
    </section>
  );
}
