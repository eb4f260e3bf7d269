import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { kindNames, ofThem } from '../words.js';

export const shortTopics = requirementType({
  id: 'short-topics',
  group: 'content',
  asks: () => 'kept',
  params: { maxWords: { type: 'number', default: 4, least: 1, whole: true }, kinds: { type: 'kinds' } },
  sentence:
    'Topics{kinds, select, undefined {} other { of the kind <b-kinds>{kinds}</b-kinds>}} have at most <b-maxWords>{maxWords}</b-maxWords> {maxWords, plural, one {word} other {words}}',
  shown: ({ kinds }, assignment) => ({ kinds: kindNames(assignment, kinds) }),
  messages: {
    share: ofThem('short enough'),
    long: '“{text}” has {words} words: say it in {maxWords}, and put the rest into a note.',
  },
  check: ({ maxWords, kinds }, { index }) => {
    const topics = index.topicsOf(kinds);
    const long = topics
      .map((topic) => ({ topic, words: index.words.wordsOf(topic.text).length }))
      .filter(({ words }) => words > maxWords);
    return allBut(
      long.map(({ topic, words }) => ({
        code: 'long',
        data: { text: topic.text, words, maxWords },
        topics: [topic.id],
      })),
      topics.length,
      'topics',
    );
  },
});
