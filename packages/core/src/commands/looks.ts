import { done, refused } from '../map/changes.js';
import type { Change, Outcome } from '../map/changes.js';
import { LINK_LOOKS, TOPIC_LOOKS } from '../map/types.js';
import type { Assignment, LinkLooks, TopicLooks, TopicMap } from '../map/types.js';
import { linkStyle, topicStyle } from '../map/style.js';
import { refitted } from './maker.js';

export type Ruled = Pick<Assignment, 'legend' | 'looks' | 'styleMode'>;

/** Whether the kind alone decides the looks. */
export const isFixed = ({ looks, styleMode }: Ruled): boolean => styleMode === 'guided' && looks === 'fixed';

/** Gives all the topics and links named the looks that fit each. All of them, or none with the reason. */
export function setLooks(map: TopicMap, ids: readonly string[], looks: TopicLooks & LinkLooks, rules: Ruled): Outcome {
  if (isFixed(rules)) return refused('looksFixed');
  return done(
    ...changesOf(
      map,
      ids,
      (names) => Object.fromEntries(Object.entries(looks).filter(([name]) => names.includes(name))),
      rules,
    ),
  );
}

/** Takes all looks given by hand away, so that the kind decides again. */
export function asItsKind(map: TopicMap, ids: readonly string[], rules: Ruled): Outcome {
  return done(...changesOf(map, ids, (names) => Object.fromEntries(names.map((name) => [name, undefined])), rules));
}

/** Makes topics prompts that students continue, or plain ones again. */
export function askToComplete(map: TopicMap, ids: readonly string[], is: boolean): Outcome {
  return done(
    ...map.topics
      .filter(({ id }) => ids.includes(id))
      .map(({ id }): Change => ({ do: 'set', in: 'topics', id, fields: { toComplete: is || undefined } })),
  );
}

/** Makes the topics named of one topic kind; looks given by hand give way to the kind's. */
export function setTopicKind(map: TopicMap, ids: readonly string[], kind: string | null, rules: Ruled): Outcome {
  const known = kind === null || rules.legend.topicKinds.some((one) => one.id === kind);
  if (!known) return refused('noSuchKind');
  return done(
    ...changesOf(
      { ...map, links: [] },
      ids,
      (names) => ({ ...Object.fromEntries(names.map((name) => [name, undefined])), kind }),
      rules,
    ),
  );
}

/** Makes the links named of one link kind. */
export function setLinkKind(map: TopicMap, ids: readonly string[], kind: string | null, rules: Ruled): Outcome {
  const known = kind === null || rules.legend.linkKinds.some((one) => one.id === kind);
  if (!known) return refused('noSuchLinkKind');
  return done(
    ...changesOf(
      { ...map, topics: [] },
      ids,
      (names) => ({ ...Object.fromEntries(names.map((name) => [name, undefined])), kind }),
      rules,
    ),
  );
}

/** The looks of one topic or link as it is drawn, to be given to others. */
export function copyLooks(map: TopicMap, id: string, { legend }: Ruled): TopicLooks & LinkLooks {
  const topic = map.topics.find((one) => one.id === id);
  const link = map.links.find((one) => one.id === id);
  const taken = (style: object, names: readonly string[]): object =>
    Object.fromEntries(Object.entries(style).filter(([name]) => names.includes(name)));
  if (topic) return taken(topicStyle(topic, legend), TOPIC_LOOKS);
  // How far a link bows is where it runs, not how it looks.
  return link
    ? taken(
        linkStyle(link, legend),
        LINK_LOOKS.filter((name) => name !== 'bend'),
      )
    : {};
}

/** The changes that set fields on the topics and links named, leaving out those that would change nothing. */
function changesOf(
  map: TopicMap,
  ids: readonly string[],
  fieldsFor: (looks: readonly string[]) => Record<string, unknown>,
  { legend }: Ruled,
): Change[] {
  const differs = (item: object, fields: object): boolean =>
    Object.entries(fields).some(([name, value]) => (item as Record<string, unknown>)[name] !== value);
  const wanted = new Set(ids);
  const topics = map.topics
    .filter((topic) => wanted.has(topic.id))
    .flatMap((topic): Change[] => {
      const fields = fieldsFor(TOPIC_LOOKS);
      return differs(topic, fields)
        ? [{ do: 'set', in: 'topics', id: topic.id, fields: refitted(topic, fields, legend) }]
        : [];
    });
  const links = map.links
    .filter((link) => wanted.has(link.id))
    .flatMap((link): Change[] => {
      const fields = fieldsFor(LINK_LOOKS);
      return differs(link, fields) ? [{ do: 'set', in: 'links', id: link.id, fields }] : [];
    });
  return [...topics, ...links];
}
