import { done, refused } from '../map/changes.js';
import type { Change, Outcome } from '../map/changes.js';
import { LIMITS } from '../map/types.js';
import type { Topic, TopicMap, TopicTask } from '../map/types.js';
import { isBlank } from '../words/normal-form.js';
import { topicOf } from './maker.js';

/** What a topic bears besides its words. */

const MOST_ADDRESS = 2000;
const MOST_ADDRESSES = 50;
const MOST_MARKS = 20;

const set = (id: string, fields: Partial<Topic>): Outcome => done({ do: 'set', in: 'topics', id, fields: fields });

/** Writes a topic's note (Markdown); an empty one is taken away. All notes of a map share a limit. */
export function setNote(map: TopicMap, id: string, note: string): Outcome {
  const topic = topicOf(map, id);
  if (!topic) return refused('topicGone');
  if (note.length > LIMITS.note) return refused('noteTooLong', { most: LIMITS.note });
  const others = map.topics.reduce((sum, one) => sum + (one.id === id ? 0 : (one.note?.length ?? 0)), 0);
  if (others + note.length > LIMITS.allNotes) return refused('notesFull');
  const wanted = isBlank(note) ? undefined : note;
  return wanted === topic.note ? done() : set(id, { note: wanted });
}

/** How many words are to be written about a topic and what hangs from it; null for no such goal. */
export function setWordGoal(map: TopicMap, id: string, words: number | null): Outcome {
  const topic = topicOf(map, id);
  if (!topic) return refused('topicGone');
  if (words !== null && !(Number.isInteger(words) && words >= 1 && words <= 100_000)) return refused('noGoal');
  const wanted = words ?? undefined;
  return wanted === topic.wordGoal ? done() : set(id, { wordGoal: wanted });
}

/** Makes a topic a task, changes what is said of it, or (null) makes it none any more. */
export function setTask(map: TopicMap, id: string, task: TopicTask | null): Outcome {
  const topic = topicOf(map, id);
  if (!topic) return refused('topicGone');
  if (task === null) return topic.task ? set(id, { task: undefined }) : done();
  const { state, due, who = [] } = task;
  const wanted: TopicTask = { state, ...(due !== undefined && { due }), ...(who.length > 0 && { who: [...who] }) };
  return JSON.stringify(wanted) === JSON.stringify(topic.task) ? done() : set(id, { task: wanted });
}

/** Says where what a topic says comes from. */
export function setSource(map: TopicMap, id: string, source: string): Outcome {
  const topic = topicOf(map, id);
  if (!topic) return refused('topicGone');
  if (source.length > LIMITS.note) return refused('noteTooLong', { most: LIMITS.note });
  const wanted = isBlank(source) ? undefined : source.trim();
  return wanted === topic.source ? done() : set(id, { source: wanted });
}

/** A web address as it may be opened (http, https, mailto), made whole where only the scheme is missing; null for any other, which could do something when it is opened. */
export function webAddress(text: string): string | null {
  const words = text.trim();
  const whole = /^[a-z][a-z0-9+.-]*:(?!\d)/i.test(words) ? words : `https://${words}`;
  if (whole.length > MOST_ADDRESS) return null;
  const isOpened =
    /^https?:\/\/(?:[^\s/?#@]+\.[^\s/?#@.]+|localhost|\[[\da-f:]+\])(?::\d+)?(?:[/?#]\S*)?$/i.test(whole) ||
    /^mailto:[^\s@]+@[^\s@.]+(?:\.[^\s@.]+)+$/i.test(whole);
  return isOpened ? whole : null;
}

export function addWebAddress(map: TopicMap, id: string, address: string, title: string): Outcome {
  const topic = topicOf(map, id);
  if (!topic) return refused('topicGone');
  const url = webAddress(address);
  if (url === null) return refused('noAddress');
  const links = topic.weblinks ?? [];
  if (links.some((link) => link.url === url)) return refused('addressThere');
  if (links.length >= MOST_ADDRESSES) return refused('addressesFull', { most: MOST_ADDRESSES });
  const words = title.trim().slice(0, LIMITS.text);
  return set(id, { weblinks: [...links, { url, ...(words !== '' && { title: words }) }] });
}

export function removeWebAddress(map: TopicMap, id: string, url: string): Outcome {
  const topic = topicOf(map, id);
  if (!topic) return refused('topicGone');
  const left = (topic.weblinks ?? []).filter((link) => link.url !== url);
  return set(id, { weblinks: left.length > 0 ? left : undefined });
}

/** A topic's place in a sequence: a year or step, and how it is written; neither takes it away. */
export function setSequence(map: TopicMap, id: string, sequence: number | null, when = ''): Outcome {
  const topic = topicOf(map, id);
  if (!topic) return refused('topicGone');
  if (sequence !== null && !Number.isFinite(sequence)) return refused('noNumber');
  if (when.length > LIMITS.text) return refused('topicTooLong', { most: LIMITS.text });
  return set(id, { sequence: sequence ?? undefined, when: isBlank(when) ? undefined : when.trim() });
}

/** Puts a mark on all topics named, or takes it off all where each has it. */
export function toggleMark(map: TopicMap, ids: readonly string[], mark: string): Outcome {
  const topics = map.topics.filter(({ id }) => ids.includes(id));
  if (topics.length === 0) return refused('nothingChosen');
  const isOn = topics.every(({ marks }) => marks?.includes(mark));
  return done(
    ...topics.map(({ id, marks = [] }): Change => {
      const others = marks.filter((one) => one !== mark);
      const now = isOn ? others : [...others, mark].slice(-MOST_MARKS);
      return { do: 'set', in: 'topics', id, fields: { marks: now.length > 0 ? now : undefined } };
    }),
  );
}

/** Takes all marks off topics in one step; of none named, off the whole map. */
export function clearMarks(map: TopicMap, ids: readonly string[]): Outcome {
  const marked = map.topics.filter(({ id, marks }) => marks && (ids.length === 0 || ids.includes(id)));
  if (marked.length === 0) return refused('noMarks');
  return done(...marked.map(({ id }): Change => ({ do: 'set', in: 'topics', id, fields: { marks: undefined } })));
}

/** Says why a term could not be placed: evidence for the teacher. A given term that waits gets an entry of its own for it. */
export function setBankNote(
  map: TopicMap,
  entry: { own: string | undefined; text: string },
  note: string,
  maker: { newId: () => string; by: string },
): Outcome {
  if (note.length > 2000) return refused('noteTooLong', { most: 2000 });
  const wanted = isBlank(note) ? undefined : note.trim();
  if (entry.own !== undefined) return done({ do: 'set', in: 'wordBank', id: entry.own, fields: { note: wanted } });
  if (wanted === undefined) return done();
  return done({ do: 'add', to: 'wordBank', item: { id: maker.newId(), text: entry.text, by: maker.by, note: wanted } });
}
