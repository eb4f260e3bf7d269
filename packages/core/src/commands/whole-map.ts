import { done, refused } from '../map/changes.js';
import type { Change, Maker, Outcome } from '../map/changes.js';
import { bankChips } from '../map/bank.js';
import { LIMITS } from '../map/types.js';
import type { Assignment, Link, Topic, TopicMap } from '../map/types.js';
import { onMap } from './maker.js';
import { isBlank, normalForm } from '../words/normal-form.js';

/** Takes topics and links off the map, and with a topic every link that ends at it. */
export function removeMarks(map: TopicMap, ids: readonly string[]): Outcome {
  const gone = new Set(ids);
  const links = map.links.filter((link) => gone.has(link.id) || gone.has(link.from) || gone.has(link.to));
  const topics = map.topics.filter((topic) => gone.has(topic.id));
  return done(
    ...links.map(({ id }): Change => ({ do: 'remove', from: 'links', id })),
    ...topics.map(({ id }): Change => ({ do: 'remove', from: 'topics', id })),
  );
}

export interface Copied {
  topics: readonly Topic[];
  links: readonly Link[];
}

/** The topics named and the links among them, for `pasteMarks`. */
export function copyMarks(map: TopicMap, ids: readonly string[]): Copied {
  const topics = map.topics.filter((topic) => ids.includes(topic.id));
  const held = new Set(topics.map((topic) => topic.id));
  return { topics, links: map.links.filter((link) => held.has(link.from) && held.has(link.to)) };
}

/** Lays copies down, moved by a step. Copies have new ids and no origin: a given topic's copy is the student's own. */
export function pasteMarks(
  map: TopicMap,
  { topics, links }: Copied,
  step: { x: number; y: number },
  maker: Maker,
): Outcome {
  if (map.topics.length + topics.length > LIMITS.topics) return refused('noRoom');
  const newIds = new Map(topics.map((topic) => [topic.id, maker.newId()]));
  const copyOf = <T extends Topic | Link>({ origin: _origin, order: _order, ...rest }: T, fields: object): T =>
    ({ ...rest, ...fields, by: maker.by }) as unknown as T;
  return done(
    ...topics.map((topic): Change => ({
      do: 'add',
      to: 'topics',
      item: copyOf(topic, { id: newIds.get(topic.id)!, ...onMap({ x: topic.x + step.x, y: topic.y + step.y }) }),
    })),
    ...links.map((link): Change => ({
      do: 'add',
      to: 'links',
      item: copyOf(link, { id: maker.newId(), from: newIds.get(link.from)!, to: newIds.get(link.to)! }),
    })),
  );
}

/** Sets the title block's fields. */
export function entitle(map: TopicMap, fields: Partial<Pick<TopicMap, 'title' | 'focusQuestion'>>): Outcome {
  if ((fields.title?.length ?? 0) > LIMITS.text) return refused('titleTooLong', { most: LIMITS.text });
  if ((fields.focusQuestion?.length ?? 0) > 1000) return refused('questionTooLong', { most: 1000 });
  const changed = Object.entries(fields).some(([name, value]) => map[name as 'title'] !== value);
  return changed ? done({ do: 'entitle', fields }) : done();
}

/**
 * Puts terms of the student's own into the word bank, one a line. Those that wait there already, given or own, and those
 * that are on the map are left out; where nothing is left, the reason says where the first one is.
 * @param given the assignment, whose other wordings of a term count as the term
 */
export function addToBank(
  map: TopicMap,
  text: string,
  given: Pick<Assignment, 'terms' | 'starter' | 'language'>,
  maker: Maker,
): Outcome {
  const lines = text
    .split(/\r\n|\r|\n/)
    .map((line) => line.trim())
    .filter((line) => !isBlank(line));
  if (lines.length === 0) return refused('noTerm');
  if (lines.some((line) => line.length > LIMITS.text)) return refused('termTooLong', { most: LIMITS.text });
  const wordings = new Map(
    given.terms.flatMap((term) => [term.text, ...(term.accept ?? [])].map((one) => [normalForm(one), term.text])),
  );
  const formOf = (words: string): string => normalForm(wordings.get(normalForm(words)) ?? words);
  const onTheMap = new Set(map.topics.map((topic) => formOf(topic.text)));
  const waiting = new Set(bankChips(map, given).map((chip) => formOf(chip.text)));
  const fresh = lines.filter((line) => {
    const form = formOf(line);
    if (onTheMap.has(form) || waiting.has(form)) return false;
    waiting.add(form);
    return true;
  });
  if (fresh.length === 0)
    return refused(onTheMap.has(formOf(lines[0]!)) ? 'termOnMap' : 'termInBank', { text: lines[0]! });
  return done(
    ...fresh.map((line): Change => ({
      do: 'add',
      to: 'wordBank',
      item: { id: maker.newId(), text: line, by: maker.by },
    })),
  );
}
