import { boxesMeet, entersBox } from '../../geometry/boxes.js';
import { boxOf } from '../../geometry/points.js';
import type { Box } from '../../geometry/points.js';
import { isBlank } from '../../words/normal-form.js';
import { share } from '../fractions.js';
import { Tally } from '../tally.js';
import { requirementType } from '../types.js';
import { ofThem, partOf } from '../words.js';

export const clearPhrases = requirementType({
  id: 'clear-phrases',
  group: 'layout',
  asks: () => 'kept',
  readsPlaces: true,
  params: {},
  sentence: 'The words on links lie clear of everything else',
  messages: {
    none: 'No link has words yet.',
    share: ofThem('clear'),
    onTopic: '“{phrase}” lies on “{text}”: move the topic, or the words along their link.',
    onPhrase:
      '“{phrase}” and “{other}” lie on each other: move one along its link, bow the link, or draw its topics apart.',
    onLine: 'Another line runs through “{phrase}”: move the words along their link, or the line out of their way.',
    amid: '“{phrase}” is in the way of {others, plural, one {1 other thing} other {{others} other things}}: give it room.',
    under: '{others, plural, one {1 phrase} other {{others} phrases}} on “{text}”: give it room.',
  },
  check: (_, { index }) => {
    const { topics, links } = index.map;
    const { pulse } = index;
    const worded = links.filter(({ phrase }) => !isBlank(phrase));
    const phrases = worded.flatMap((link) => {
      pulse();
      const box = index.drawings.phraseBox(link, ...index.ends(link));
      return box ? [{ link, key: box, box }] : [];
    });
    const boxes = topics.map((topic) => ({ topic, key: topic, box: boxOf(topic) }));
    const { phrasesOnTopics, phrasesOnPhrases, linesInPhrases } = index.drawings;
    const tally = new Tally();
    const meet = (a: { box: Box }, b: { box: Box }): true | null => (boxesMeet(a.box, b.box) ? true : null);
    for (const { a, b } of phrasesOnTopics.find(phrases, boxes, meet, { pulse }))
      tally.add([a.link, b.topic], () => ({
        code: 'onTopic',
        data: { phrase: a.link.phrase, text: b.topic.text },
        links: [a.link.id],
        topics: [b.topic.id],
      }));
    for (const { a, b } of phrasesOnPhrases.find(phrases, phrases, meet, { within: true, pulse }))
      tally.add([a.link, b.link], () => ({
        code: 'onPhrase',
        data: { phrase: a.link.phrase, other: b.link.phrase },
        links: [a.link.id, b.link.id],
      }));
    const through = linesInPhrases.find(
      index.lines,
      phrases,
      (line, phrase) => (line.link !== phrase.link && entersBox(line.part, phrase.box) ? true : null),
      { pulse },
    );
    for (const { b } of through)
      tally.add([b.link], () => ({ code: 'onLine', data: { phrase: b.link.phrase }, links: [b.link.id] }));
    const of = worded.length;
    const count = of - worded.filter(tally.has).length;
    return {
      fraction: 1 - share(of - count, of),
      figures: { clear: count, phrases: of },
      code: of === 0 ? 'none' : 'share',
      data: partOf(count, of),
      evidence: tally.evidence({
        topic: ({ id, text }, others) => ({ code: 'under', data: { text, others }, topics: [id] }),
        link: ({ id, phrase }, others) => ({ code: 'amid', data: { phrase, others }, links: [id] }),
      }),
    };
  },
});
