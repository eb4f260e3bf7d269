import { boxesMeet, eachBoxNear, entersBox } from '../geometry/boxes.js';
import { eachOverlap } from '../geometry/meetings.js';
import { boxOf } from '../geometry/points.js';
import { isBlank } from '../words/normal-form.js';
import { share } from './fractions.js';
import { Tally } from './tally.js';
import { requirementType } from './types.js';
import { ofThem, plural, quoted } from './words.js';

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
    amid: ({ phrase, others }) =>
      `${quoted(phrase)} is in the way of ${plural(Number(others), 'other thing')}: give it room.`,
    under: ({ text, others }) => `${plural(Number(others), 'phrase')} on ${quoted(text)}: give it room.`,
  },
  check: (_, { index }) => {
    const { topics, links } = index.map;
    const worded = links.filter(({ phrase }) => !isBlank(phrase));
    const phrases = worded.flatMap((link) => {
      const box = index.drawings.phraseBox(link, ...index.ends(link));
      return box ? [{ link, box }] : [];
    });
    const boxes = phrases.map(({ box }) => box);
    const topicBoxes = topics.map((topic) => boxOf(topic));
    const tally = new Tally();
    eachBoxNear(
      phrases,
      topicBoxes,
      (i, t) => {
        if (!boxesMeet(boxes[i]!, topicBoxes[t]!)) return;
        const [{ link }, topic] = [phrases[i]!, topics[t]!];
        tally.add([link, topic], () => ({
          message: 'onTopic',
          data: { phrase: link.phrase, text: topic.text },
          links: [link.id],
          topics: [topic.id],
        }));
      },
      index.pulse,
    );
    eachOverlap(
      boxes,
      (i, k) => {
        const [one, other] = [phrases[i]!.link, phrases[k]!.link];
        tally.add([one, other], () => ({
          message: 'onPhrase',
          data: { phrase: one.phrase, other: other.phrase },
          links: [one.id, other.id],
        }));
      },
      index.pulse,
    );
    const lines = links.map((link) => index.drawnPart(link));
    eachBoxNear(
      lines,
      boxes,
      (l, i) => {
        const { link, box } = phrases[i]!;
        if (link === links[l] || !entersBox(lines[l]!, box)) return;
        tally.add([link], () => ({ message: 'onLine', data: { phrase: link.phrase }, links: [link.id] }));
      },
      index.pulse,
    );
    const of = worded.length;
    const count = of - worded.filter(tally.has).length;
    return {
      fraction: 1 - share(of - count, of),
      figures: { clear: count, phrases: of },
      message: of === 0 ? 'none' : 'share',
      data: { count, of },
      evidence: tally.evidence({
        topic: ({ id, text }, others) => ({ message: 'under', data: { text, others }, topics: [id] }),
        link: ({ id, phrase }, others) => ({ message: 'amid', data: { phrase, others }, links: [id] }),
      }),
    };
  },
});
