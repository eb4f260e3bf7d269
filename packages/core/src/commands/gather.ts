import { fitTopic } from '../geometry/fit.js';
import { boxOf, unionOf } from '../geometry/points.js';
import { applyChanges, done, refused } from '../map/changes.js';
import type { Change, Maker, Outcome } from '../map/changes.js';
import { emptyMap, LIMITS } from '../map/types.js';
import type { Legend, Link, Term, Topic, TopicMap } from '../map/types.js';
import { MOST_LINES, readOutline } from '../outline/outline.js';
import type { OutlineMessage } from '../outline/outline.js';
import { treeFrom } from '../outline/starter.js';
import { SCREEN } from '../tidy/frame.js';
import type { Frame } from '../tidy/frame.js';
import { tidyMap } from '../tidy/tidy.js';
import { beginningOf } from '../words/beginning.js';
import { normalForm } from '../words/normal-form.js';
import { freeSpot } from './free-spot.js';
import { newLink } from './links.js';
import { onMap, topicOf } from './maker.js';
import type { Spot } from './maker.js';

export interface Gathered {
  outcome: Outcome;
  /** what was cut or left out, by line */
  messages: readonly OutlineMessage[];
}

export interface Gathering {
  /** about where it is to stand */
  at: Spot;
  kind: string | null;
  linkKind: string | null;
  /** a topic from which what stands outermost is linked */
  under?: string;
  /** what of the screen the map has */
  frame?: Frame;
}

/**
 * Text laid onto a map as one gesture. Indented or numbered lines become a branch, by the rules of the chapter outline; lines
 * side by side become topics beside each other; a table of two or three columns, as spreadsheets copy it, becomes topics
 * and links, with what stands in the middle as the phrase. What is on the map already is taken, not made again. What is new
 * stands together in a free place.
 */
export function gatherText(map: TopicMap, text: string, wanted: Gathering, maker: Maker, legend: Legend): Gathered {
  if (wanted.under !== undefined && !topicOf(map, wanted.under))
    return { outcome: refused('parentGone'), messages: [] };
  const { terms, ties, messages, notes } = tableOf(text) ?? outlineOf(text);
  if (terms.length === 0) return { outcome: refused('noTerm'), messages };
  const known = new Map(map.topics.map((topic) => [normalForm(topic.text), topic.id]));
  const fresh = terms.filter((term) => !known.has(normalForm(term.text)));
  if (map.topics.length + fresh.length > LIMITS.topics) return { outcome: refused('noRoom'), messages };
  if (allNotes(map) + [...notes.values()].reduce((sum, { length }) => sum + length, 0) > LIMITS.allNotes)
    return { outcome: refused('notesFull'), messages };
  const topics = drawn(fresh, wanted.kind, maker, legend);
  const ids = new Map([...known, ...topics.map((topic): [string, string] => [normalForm(topic.text), topic.id])]);
  const idOf = (words: string): string => ids.get(normalForm(words))!;
  const outermost = terms.filter(({ text: words }) => !ties.some(({ to }) => normalForm(to) === normalForm(words)));
  const links = [
    ...(wanted.under === undefined
      ? []
      : outermost.map(({ text: words }) => ({ from: wanted.under!, phrase: '', to: idOf(words) }))),
    ...ties.map(({ from, phrase, to }) => ({ from: idOf(from), phrase, to: idOf(to) })),
  ].filter(({ from, to }, i, all) => {
    const isThere = (one: { from: string; to: string }): boolean => one.from === from && one.to === to;
    return from !== to && !map.links.some(isThere) && all.findIndex(isThere) === i;
  });
  if (map.links.length + links.length > LIMITS.links)
    return { outcome: refused('linksFull', { most: LIMITS.links }), messages };
  const made = links.map((link) => newLink({ ...link, kind: wanted.linkKind }, maker));
  const laid = laidOut(
    { ...emptyMap(), topics, links: made.filter((one) => isAmong(one, topics)) },
    wanted.frame,
    legend,
  );
  const courses = new Map(laid.links.map((link) => [link.id, link]));
  return {
    outcome: done(
      ...standing(map, laid.topics, wanted).map((topic): Change => {
        const note = notes.get(normalForm(topic.text));
        return { do: 'add', to: 'topics', item: note === undefined ? topic : { ...topic, note } };
      }),
      ...made.map((link): Change => ({ do: 'add', to: 'links', item: courses.get(link.id) ?? link })),
    ),
    messages,
  };
}

const isAmong = ({ from, to }: Link, topics: readonly Topic[]): boolean =>
  [from, to].every((end) => topics.some(({ id }) => id === end));

/** New topics that are linked with each other, laid out to be read in a frame. */
function laidOut(map: TopicMap, frame: Frame | undefined, legend: Legend): TopicMap {
  if (map.links.length === 0) return map;
  return applyChanges(map, tidyMap(map, { way: 'downward', frame: frame ?? SCREEN }, legend));
}

const allNotes = ({ topics }: TopicMap): number => topics.reduce((sum, { note = '' }) => sum + note.length, 0);

interface Tie {
  from: string;
  phrase: string;
  to: string;
}
interface Read {
  terms: Term[];
  ties: Tie[];
  messages: readonly OutlineMessage[];
  /** by normal form of a term: the whole text of which it is the beginning */
  notes: ReadonlyMap<string, string>;
}

function outlineOf(text: string): Read {
  const { terms, messages } = readOutline(text);
  return shortened({
    terms: terms.map(({ text: words, under }) => ({ text: words, under })),
    ties: terms.flatMap(({ text: words, under }) => (under === null ? [] : [{ from: under, phrase: '', to: words }])),
    messages,
    notes: new Map(),
  });
}

/** Of what was too long for a topic only the beginning stands on the map; all of it goes into the note. */
function shortened({ terms, ties, messages }: Read): Read {
  const short = new Map<string, string>();
  const notes = new Map<string, string>();
  const told = messages.map((message): OutlineMessage => {
    const { text, whole } = message.data;
    if (message.code !== 'cut' || text === undefined || whole === undefined) return message;
    const words = beginningOf(String(whole));
    short.set(String(text), words);
    notes.set(normalForm(words), String(whole).slice(0, LIMITS.note).toWellFormed());
    return { ...message, code: 'inNote', data: { most: LIMITS.text, text: words } };
  });
  const shown = (words: string): string => short.get(words) ?? words;
  return {
    terms: terms.map((term) => ({ ...term, text: shown(term.text), under: term.under ? shown(term.under) : null })),
    ties: ties.map(({ from, phrase, to }) => ({ from: shown(from), phrase, to: shown(to) })),
    messages: told,
    notes,
  };
}

const tidy = (text: string): string => text.replace(/\s+/g, ' ').trim();

/** A table of two or three columns; null where it is none. */
function tableOf(text: string): Read | null {
  const lines = text.split(/\r\n|\r|\n/).flatMap((whole, i) => (whole.trim() === '' ? [] : [{ whole, number: i + 1 }]));
  const rows = lines.map(({ whole }) => whole.split('\t').map(tidy));
  const columns = rows[0]?.length ?? 0;
  const isTable =
    (columns === 2 || columns === 3) &&
    // What begins with a tab is an outline, however many follow.
    rows.every((row) => row.length === columns && row[0] !== '' && row.at(-1) !== '');
  if (!isTable) return null;
  const messages: OutlineMessage[] = [];
  const cut = (whole: string, line: number, isPhrase: boolean): string => {
    if (whole.length <= LIMITS.text) return whole;
    const words = whole.slice(0, LIMITS.text).toWellFormed().trimEnd();
    messages.push({ line, code: 'cut', data: { most: LIMITS.text, ...(!isPhrase && { text: words, whole }) } });
    return words;
  };
  const ties = rows.slice(0, MOST_LINES).map((row, i): Tie => {
    const [from = '', ...rest] = row.map((cell, at) => cut(cell, lines[i]!.number, columns === 3 && at === 1));
    return { from, phrase: rest.length === 2 ? rest[0]! : '', to: rest.at(-1)! };
  });
  const first = lines[MOST_LINES];
  if (first) messages.push({ line: first.number, code: 'tooMany', data: { most: MOST_LINES } });
  const texts = new Map(ties.flatMap(({ from, to }) => [from, to].map((words) => [normalForm(words), words] as const)));
  // What a row leads to hangs from the first that leads to it: a tree of them is laid out, the other ties cross it.
  const terms = [...texts.values()].map((words): Term => {
    const own = normalForm(words);
    const over = ties.find(({ from, to }) => normalForm(to) === own && normalForm(from) !== own);
    return { text: words, under: over?.from ?? null };
  });
  return shortened({ terms, ties, messages, notes: new Map() });
}

/** How many topics stand side by side where nothing says what belongs under what. */
const BESIDE = 5;
const [ACROSS, DOWN] = [24, 28];

/** New topics, laid out around nothing in particular. */
function drawn(terms: readonly Term[], kind: string | null, maker: Maker, legend: Legend): Topic[] {
  const laid = treeFrom({ terms: terms.map((term) => ({ ...term, kind, place: 'map' })), legend });
  const topics = laid.topics.map(({ id: _, ...topic }) => ({ ...topic, id: maker.newId(), by: maker.by }));
  if (laid.links.length > 0) return topics;
  const sized = topics.map((topic) => ({ ...topic, ...fitTopic(topic, legend) }));
  const [width, height] = [Math.max(...sized.map((one) => one.width)), Math.max(...sized.map((one) => one.height))];
  return sized.map((topic, i) => ({
    ...topic,
    x: (i % BESIDE) * (width + ACROSS),
    y: Math.floor(i / BESIDE) * (height + DOWN),
  }));
}

/** The topics moved together to a free place near where they are wanted; under the topic they hang from, if there is one. */
function standing(map: TopicMap, topics: readonly Topic[], { at, under }: Gathering): Topic[] {
  const box = unionOf(topics.map((topic) => boxOf(topic)));
  if (!box) return [];
  const size = { width: box.right - box.left, height: box.bottom - box.top };
  const over = under === undefined ? undefined : topicOf(map, under);
  const wanted = over ? { x: over.x, y: over.y + over.height / 2 + 70 + size.height / 2 } : at;
  const spot = freeSpot(map, wanted, size);
  const [dx, dy] = [spot.x - (box.left + box.right) / 2, spot.y - (box.top + box.bottom) / 2];
  return topics.map((topic) => ({ ...topic, ...onMap({ x: topic.x + dx, y: topic.y + dy }) }));
}
