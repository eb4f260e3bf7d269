import { colourDistance } from './colour.js';
import { kindOfTopic, topicStyle } from './style.js';
import type { Assignment, Topic, TopicKind } from './types.js';

/** How near two colours must be to count as the same when the kind is read off the looks (CIEDE2000). */
export const SAME_COLOUR = 6;
export const CLOSE = 1e-9;

type Ruled = Pick<Assignment, 'styleMode' | 'legend'>;

/**
 * The kind a topic has: in guided style the one its `kind` names, in free style the one its looks agree with in all that
 * the legend reads kinds by, nearest colours first, then legend order.
 */
export function effectiveKind(topic: Topic, { styleMode, legend }: Ruled): TopicKind | undefined {
  if (styleMode === 'guided') return kindOfTopic(legend, topic.kind);
  const readBy = legend.readBy ?? ['shape', 'fill'];
  const style = topicStyle(topic, legend);
  let best: TopicKind | undefined;
  let least = Infinity;
  for (const kind of legend.topicKinds) {
    if (readBy.includes('shape') && style.shape !== kind.shape) continue;
    const distances = [
      ...(readBy.includes('fill') ? [colourDistance(style.fill, kind.fill)] : []),
      ...(readBy.includes('outline') ? [colourDistance(style.outline, kind.outline ?? '#333333')] : []),
    ];
    if (distances.some((distance) => distance > SAME_COLOUR + CLOSE)) continue;
    const sum = distances.reduce((total, distance) => total + distance, 0);
    if (sum < least) [best, least] = [kind, sum];
  }
  return best;
}

/** The kind that a new topic will have, made with the looks of this one and none of its own. */
export const effectiveKindOfNew = (kind: string | null, ruled: Ruled): TopicKind | undefined =>
  effectiveKind({ id: '', text: '', kind, x: 0, y: 0, width: 1, height: 1 }, ruled);

/** Whether what has this kind belongs to the structure of the map, not beside it. */
export const isStructural = (kind: { structural?: boolean } | undefined): boolean => kind?.structural !== false;
