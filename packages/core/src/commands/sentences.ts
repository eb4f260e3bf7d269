import { applyChanges, done, refused } from '../map/changes.js';
import type { Maker, Outcome } from '../map/changes.js';
import type { Legend, Topic, TopicMap } from '../map/types.js';
import { isBlank, normalForm } from '../words/normal-form.js';
import { addLink, reattach, setPhrase } from './links.js';
import type { Spot } from './maker.js';
import { topicOf } from './maker.js';
import { addTopic, growTopic, setText } from './topics.js';
import type { NewTopic } from './topics.js';

/** The topic that bears a text, by its normal form: the first in the map's order. */
export function topicNamed(map: Pick<TopicMap, 'topics'>, text: string): Topic | undefined {
  const wanted = normalForm(text);
  return wanted === '' ? undefined : map.topics.find((topic) => normalForm(topic.text) === wanted);
}

type Named = Omit<NewTopic, 'at'>;

/**
 * Writes a sentence: topics that bear its ends' texts are taken, others are made, the second where it hangs from the first;
 * then the link with its words.
 * @param from a topic of the map, or words
 * @param at where the first is made, if it is not there yet
 */
export function writeSentence(
  map: TopicMap,
  { from, phrase, to, kind, at }: { from: Named | Topic; phrase: string; to: Named; kind: string | null; at: Spot },
  maker: Maker,
  legend: Legend,
): Outcome {
  if (isBlank(from.text) || isBlank(to.text)) return refused('endsWanted');
  if (normalForm(from.text) === normalForm(to.text)) return refused('toItself', { text: from.text });
  const first = 'id' in from ? topicOf(map, from.id) : topicNamed(map, from.text);
  const second = topicNamed(map, to.text);
  const begun = first
    ? done()
    : 'id' in from
      ? refused('topicGone')
      : addTopic(map, { ...from, at: second ? above(second) : at }, maker, legend);
  if (!begun.ok) return begun;
  const now = applyChanges(map, begun.changes);
  const start = first ?? now.topics.at(-1)!;
  if (second) {
    const joined = addLink(now, { from: start.id, to: second.id, phrase, kind }, maker);
    return joined.ok ? done(...begun.changes, ...joined.changes) : joined;
  }
  const grown = growTopic(now, { ...to, from: start.id, linkKind: kind }, maker, legend);
  if (!grown.ok) return grown;
  const worded = setPhrase(applyChanges(now, grown.changes), addedLink(grown.changes), phrase);
  return worded.ok ? done(...begun.changes, ...grown.changes, ...worded.changes) : worded;
}

const above = ({ x, y, height }: Topic): Spot => ({ x, y: y - height / 2 - 90 });
const addedLink = (changes: readonly { do: string; to?: string; item?: { id: string } }[]): string =>
  changes.find((change) => change.do === 'add' && change.to === 'links')!.item!.id;

/**
 * Writes other words at an end of a sentence: where another topic bears them the link is led there, else the topic itself is
 * reworded, in all its sentences.
 */
export function writeEnd(map: TopicMap, id: string, end: 'from' | 'to', text: string, legend: Legend): Outcome {
  const link = map.links.find((one) => one.id === id);
  const topic = link && topicOf(map, link[end]);
  if (!topic) return refused('linkGone');
  const other = topicNamed(map, text);
  if (!other || other.id === topic.id || normalForm(text) === normalForm(topic.text))
    return setText(map, topic.id, text, legend);
  return reattach(map, id, end, other.id);
}
