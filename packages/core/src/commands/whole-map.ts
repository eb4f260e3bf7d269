import { done, refused } from '../map/changes.js';
import type { Change, Maker, Outcome } from '../map/changes.js';
import { bankChips } from '../map/bank.js';
import { LIMITS } from '../map/types.js';
import type { Assignment, Collection, Topic, TopicMap } from '../map/types.js';
import { markTypes, marksOf } from '../drawn/drawn.js';
import type { AnyMark } from '../drawn/drawn.js';
import { onMap } from './maker.js';
import { isBlank, normalForm } from '../words/normal-form.js';

/** Takes marks off the map, and with a topic all that cannot stand without it: its links, a region of it alone. */
export function removeMarks(map: TopicMap, ids: readonly string[]): Outcome {
  const gone = new Set(ids);
  const left = (id: string): string | undefined => (gone.has(id) ? undefined : id);
  return done(
    // What hangs on topics goes before them.
    ...markTypes.toReversed().flatMap((type) =>
      marksOf(map, type)
        .filter((mark) => gone.has(mark.id) || type.onTopics(mark, left) === null)
        .map(({ id }): Change => ({ do: 'remove', from: type.list, id })),
    ),
  );
}

/** Deletes marks as `removeMarks` takes them off; terms that waited in the student's own bank wait there again. */
export function deleteMarks(map: TopicMap, ids: readonly string[]): Outcome {
  const outcome = removeMarks(map, ids);
  if (!outcome.ok) return outcome;
  const waiting = map.topics
    .filter(({ id, parked, text }) => parked && ids.includes(id) && !isBlank(text))
    // A topic's id is no entry's: it serves, and the same deletion by two puts the term there once.
    .map(({ id, text, by }): Change => ({ do: 'add', to: 'wordBank', item: { id, text, ...(by && { by }) } }));
  return done(...outcome.changes, ...waiting);
}

/** Marks that were copied, by their lists. */
export type Copied = readonly { list: Collection; marks: readonly AnyMark[] }[];

/** The marks named, and what hangs on topics that are all among them, for `pasteMarks`. */
export function copyMarks(map: TopicMap, ids: readonly string[]): Copied {
  const chosen = new Set(ids);
  const isHeld = (hung: readonly string[]): boolean => hung.length > 0 && hung.every((id) => chosen.has(id));
  return markTypes
    .filter(({ isCopied }) => isCopied)
    .map((type) => ({
      list: type.list,
      marks: marksOf(map, type).filter((mark) => {
        const hung = type.topics(mark);
        return hung.length > 0 ? isHeld(hung) : chosen.has(mark.id);
      }),
    }))
    .filter(({ marks }) => marks.length > 0);
}

/** Lays copies down, moved by a step. Copies have new ids and no origin: a given topic's copy is the student's own. */
export function pasteMarks(map: TopicMap, copied: Copied, step: { x: number; y: number }, maker: Maker): Outcome {
  const marksIn = (list: Collection): readonly AnyMark[] => copied.find((one) => one.list === list)?.marks ?? [];
  const topics = marksIn('topics');
  if (map.topics.length + topics.length > LIMITS.topics) return refused('noRoom');
  const newIds = new Map(topics.map(({ id }) => [id, maker.newId()]));
  const idOf = (id: string): string | undefined => newIds.get(id);
  return done(
    ...markTypes.flatMap((type) =>
      marksIn(type.list).flatMap((mark): Change[] => {
        const onCopies = type.onTopics(mark, idOf);
        if (!onCopies) return [];
        const { origin: _origin, order: _order, parked: _parked, ...rest } = type.moved(onCopies, step) as Topic;
        const item = {
          ...rest,
          ...('x' in rest && onMap(rest)),
          id: idOf(mark.id) ?? maker.newId(),
          ...('by' in type.fields.may && { by: maker.by }),
        };
        return [{ do: 'add', to: type.list, item } as Change];
      }),
    ),
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
