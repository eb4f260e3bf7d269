import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { blank, kindNames, ofThem, quoted } from '../words.js';

type Params = { maxWords: number; kinds?: string[] };

export const shortTopics = requirementType<Params>({
  id: 'short-topics',
  group: 'content',
  asks: () => 'kept',
  params: { maxWords: { type: 'number', default: 4, least: 1, whole: true }, kinds: { type: 'kinds' } },
  sentence: ({ maxWords, kinds }, assignment) => [
    ...(kinds ? ['Topics of the kind ', blank('kinds', kindNames(assignment, kinds)), ' have'] : ['Topics have']),
    ' at most ',
    blank('maxWords', maxWords),
    maxWords === 1 ? ' word' : ' words',
  ],
  messages: {
    share: ({ count, of }) => ofThem(count, of, 'short enough'),
    long: ({ text, words, maxWords }) =>
      `${quoted(text)} has ${words} words: say it in ${maxWords}, and put the rest into a note.`,
  },
  check: ({ maxWords, kinds }, { index }) => {
    const topics = index.topicsOf(kinds);
    const long = topics
      .map((topic) => ({ topic, words: index.words.wordsOf(topic.text).length }))
      .filter(({ words }) => words > maxWords);
    return allBut(
      long.map(({ topic, words }) => ({
        message: 'long',
        data: { text: topic.text, words, maxWords },
        topics: [topic.id],
      })),
      topics.length,
      'topics',
    );
  },
});
