import equal from 'fast-deep-equal';
import { done, refused } from '../map/changes.js';
import type { Change, Outcome } from '../map/changes.js';
import { COLLECTIONS } from '../map/types.js';
import type { TopicMap } from '../map/types.js';

/** Who made a mark and where it stands in the order are the document's own, and not what a person goes back to. */
const NOT_GONE_BACK_TO = new Set(['by', 'order', 'id']);

/**
 * Makes a map what it was: one gesture, which undo takes back whole. Marks that are there in both keep their ids, so that
 * comments on them and links to them hold.
 */
export function goBackTo(now: TopicMap, then: TopicMap): Outcome {
  const changes = COLLECTIONS.toReversed().flatMap((list): Change[] => {
    const kept = new Set(then[list].map(({ id }) => id));
    return now[list].filter(({ id }) => !kept.has(id)).map(({ id }) => ({ do: 'remove', from: list, id }));
  });
  for (const list of COLLECTIONS) {
    const there = new Map(now[list].map((mark) => [mark.id, mark as object]));
    for (const mark of then[list]) {
      const is = there.get(mark.id);
      if (!is) changes.push({ do: 'add', to: list, item: mark } as Change);
      else {
        const fields = differing(is, mark);
        if (Object.keys(fields).length > 0) changes.push({ do: 'set', in: list, id: mark.id, fields });
      }
    }
  }
  const { title, focusQuestion } = then;
  if (title !== now.title || focusQuestion !== now.focusQuestion)
    changes.push({ do: 'entitle', fields: { title, focusQuestion } });
  return changes.length === 0 ? refused('asItIs') : done(...changes);
}

/** The fields that make the one as the other; those that the other has not are taken away. */
function differing(is: object, was: object): Record<string, unknown> {
  const names = new Set([...Object.keys(is), ...Object.keys(was)]);
  return Object.fromEntries(
    [...names]
      .filter((name) => !NOT_GONE_BACK_TO.has(name))
      .map((name): [string, unknown] => [name, (was as Record<string, unknown>)[name]])
      .filter(([name, value]) => !equal((is as Record<string, unknown>)[name], value)),
  );
}
