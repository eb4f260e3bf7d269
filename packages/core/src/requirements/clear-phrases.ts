import { boxesMeet, boxesNear, entersBox } from '../geometry/boxes.js';
import { drawLink } from '../geometry/draw-link.js';
import { overlappingPairs } from '../geometry/meetings.js';
import { boxOf } from '../geometry/points.js';
import type { Box } from '../geometry/points.js';
import { isBlank } from '../words/normal-form.js';
import { share } from './fractions.js';
import { requirementType } from './types.js';
import type { Finding } from './types.js';
import { ofThem, quoted } from './words.js';

export const clearPhrases = requirementType({
  id: 'clear-phrases',
  group: 'layout',
  asks: () => 'kept',
  readsPlaces: true,
  params: {},
  sentence: () => ['The words on links lie clear of everything else'],
  messages: {
    none: () => 'No link has words yet.',
    share: ({ count, of }) => ofThem(count, of, 'clear'),
    onTopic: ({ phrase, text }) =>
      `${quoted(phrase)} lies on ${quoted(text)}: move the topic, or the words along their link.`,
    onPhrase: ({ phrase, other }) =>
      `${quoted(phrase)} and ${quoted(other)} lie on each other: move one along its link.`,
    onLine: ({ phrase }) => `Another line runs through ${quoted(phrase)}: move the words along their link.`,
  },
  check: (_, { index, assignment: { legend } }) => {
    const { topics, links } = index.map;
    const worded = links.filter(({ phrase }) => !isBlank(phrase));
    const phrases = worded.flatMap((link) => {
      const box = drawLink(link, ...index.ends(link), legend).phrase?.box;
      return box ? [{ link, box }] : [];
    });
    const boxes = phrases.map(({ box }) => box);
    const asLine = ({ left, top, right, bottom }: Box) => [
      { x: left, y: top },
      { x: right, y: bottom },
    ];
    const topicBoxes = topics.map((topic) => boxOf(topic));
    const evidence: Finding[] = boxesNear(boxes.map(asLine), topicBoxes).flatMap((near, i) =>
      near
        .filter((k) => boxesMeet(boxes[i]!, topicBoxes[k]!))
        .map((k) => ({
          message: 'onTopic',
          data: { phrase: phrases[i]!.link.phrase, text: topics[k]!.text },
          links: [phrases[i]!.link.id],
          topics: [topics[k]!.id],
        })),
    );
    for (const [i, k] of overlappingPairs(boxes)) {
      const [one, other] = [phrases[i]!.link, phrases[k]!.link];
      evidence.push({
        message: 'onPhrase',
        data: { phrase: one.phrase, other: other.phrase },
        links: [one.id, other.id],
      });
    }
    const lines = links.map((link) => index.drawnPart(link));
    boxesNear(lines, boxes).forEach((near, l) => {
      for (const i of near) {
        const { link, box } = phrases[i]!;
        if (link === links[l] || !entersBox(lines[l]!, box)) continue;
        evidence.push({ message: 'onLine', data: { phrase: link.phrase }, links: [link.id] });
      }
    });
    const [covered, of] = [new Set(evidence.flatMap(({ links: ids }) => ids)).size, worded.length];
    const count = of - covered;
    return {
      fraction: 1 - share(covered, of),
      figures: { clear: count, phrases: of },
      message: of === 0 ? 'none' : 'share',
      data: { count, of },
      evidence,
    };
  },
});
