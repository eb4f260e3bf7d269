import { effectiveKind, isBlank, linkStyle, propositionOf } from '@ichnograph/core';
import type { Assignment, TopicMap } from '@ichnograph/core';

/** What says which kind a thing has: in free style that is read off its looks. */
type Ruled = Pick<Assignment, 'legend' | 'styleMode'>;

/** What stands on the map at an id, read out: a link as its sentence along the arrow, a topic with its kind. */
export function Reading({
  map,
  ruled,
  id,
  phrase,
}: {
  map: TopicMap;
  ruled: Ruled;
  id: string | null;
  phrase?: string | undefined;
}) {
  const link = map.links.find((one) => one.id === id);
  if (link) {
    const [from, to] = [link.from, link.to].map((end) => map.topics.find((one) => one.id === end)!);
    const read = propositionOf(phrase === undefined ? link : { ...link, phrase }, from!, to!, ruled.legend);
    // Both ways it is two sentences, and each must be true.
    return linkStyle(link, ruled.legend).arrow === 'both' ? (
      <>
        <ReadSentence {...read} />
        <ReadSentence from={read.to} phrase={read.phrase} to={read.from} />
      </>
    ) : (
      <ReadSentence {...read} />
    );
  }
  const region = map.regions.find((one) => one.id === id);
  if (region)
    return (
      <>
        <span className="truncate font-semibold">{region.title || 'A region without a title'}</span>
        <span className="shrink-0 text-quiet">
          {region.topics.length === 1 ? 'one topic in it' : `${region.topics.length} topics in it`}
        </span>
      </>
    );
  const topic = map.topics.find((one) => one.id === id);
  if (!topic) return null;
  const [into, out] = [
    map.links.filter(({ to }) => to === topic.id),
    map.links.filter(({ from }) => from === topic.id),
  ];
  const kind = effectiveKind(topic, ruled)?.name;
  return (
    <>
      <span className="truncate font-semibold">{isBlank(topic.text) ? '…' : topic.text}</span>
      <span className="shrink-0 text-quiet">
        {kind && `${kind} · `}
        {into.length} in, {out.length} out
      </span>
    </>
  );
}

export function ReadSentence({ from, phrase, to }: { from: string; phrase: string; to: string }) {
  return (
    <span className="truncate text-lg">
      {from} {phrase ? <b className="font-bold text-action">{phrase}</b> : <span className="text-madder">…</span>} {to}.
    </span>
  );
}

/** The sentence of a link, or the name of a topic, as words alone: for live regions. */
export function readAloud(map: Pick<TopicMap, 'topics' | 'links'>, ruled: Ruled, id: string): string {
  const link = map.links.find((one) => one.id === id);
  if (link) {
    const [from, to] = [link.from, link.to].map((end) => map.topics.find((one) => one.id === end)!);
    const read = propositionOf(link, from!, to!, ruled.legend);
    return `Link: ${read.from} ${read.phrase || 'without words'} ${read.to}`;
  }
  const topic = map.topics.find((one) => one.id === id);
  if (!topic) return '';
  const count = map.links.filter(({ from, to }) => from === topic.id || to === topic.id).length;
  return `${topic.text}, ${effectiveKind(topic, ruled)?.name ?? 'no kind'}, ${count === 1 ? '1 link' : `${count} links`}`;
}

/** How many of several that are chosen are named. */
const NAMED = 4;

/** What is chosen, in words: one thing read out, of several how many and which. */
export function readChosen(map: TopicMap, ruled: Ruled, ids: readonly string[]): string {
  const [only] = ids;
  const picture = map.pictures.find(({ id }) => id === only);
  if (ids.length === 1 && only !== undefined)
    return picture ? `Picture: ${picture.alt || 'without a description'}` : readAloud(map, ruled, only);
  const chosen = new Set(ids);
  const of = (list: readonly { id: string }[]): number => list.filter(({ id }) => chosen.has(id)).length;
  const counts = [
    counted(of(map.topics), 'topic'),
    counted(of(map.links), 'link'),
    counted(of(map.pictures), 'picture'),
  ].filter((words) => words !== '');
  const names = map.topics.filter(({ id }) => chosen.has(id)).map(({ text }) => text);
  const more = names.length - NAMED;
  const which = more > 0 ? `${names.slice(0, NAMED).join(', ')} and ${more} more` : names.join(', ');
  return `${counts.join(', ')} selected${which === '' ? '' : `: ${which}`}.`;
}
const counted = (count: number, name: string): string =>
  count === 0 ? '' : count === 1 ? `1 ${name}` : `${count} ${name}s`;
