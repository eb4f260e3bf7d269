import { matchTerms } from '../../map/terms.js';
import type { Topic } from '../../map/types.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { ofThem, quoted } from '../words.js';

type Params = { answers: { origin: string; accept: string[] }[] };

export const blanksFilled = requirementType<Params>({
  id: 'blanks-filled',
  group: 'content',
  asks: () => 'made',
  params: {
    answers: {
      type: 'list',
      of: { origin: { type: 'text', required: true }, accept: { type: 'texts', required: true } },
      required: true,
    },
  },
  answers: {
    without: ({ answers }) => ({ answers: answers.map(({ origin }) => ({ origin, accept: [''] })) }),
    telling: [],
  },
  sentence: () => ['Every blank is filled as it should be'],
  messages: {
    share: ({ count, of }) => ofThem(count, of, 'filled'),
    wrong: ({ text }) =>
      String(text).trim() === '' ? 'This blank is still empty.' : `${quoted(text)} does not belong here: try another.`,
    gone: () => 'A place to fill is gone from the map: bring it back.',
  },
  check: ({ answers }, { index, assignment: { language } }) => {
    const { topics, links } = index.map;
    let near = false;
    const evidence = answers.flatMap(({ origin, accept: [text = '', ...accept] }): Finding[] => {
      const places = [
        ...topics
          .filter((topic) => topic.origin === origin)
          .map(({ id, text: words }) => ({ id, words, isTopic: true })),
        ...links
          .filter((link) => link.origin === origin)
          .map(({ id, phrase: words }) => ({ id, words, isTopic: false })),
      ];
      // The passes compare texts; a phrase is matched as a topic of that text would be.
      const candidates = places.map(({ id, words }) => ({ id, text: words }) as Topic);
      const [match] = matchTerms([{ text, accept }], candidates, language);
      if (match) {
        near ||= match.near;
        return [];
      }
      return [
        {
          message: places.length === 0 ? 'gone' : 'wrong',
          data: { text: places[0]?.words ?? '' },
          topics: places.filter(({ isTopic }) => isTopic).map(({ id }) => id),
          links: places.filter(({ isTopic }) => !isTopic).map(({ id }) => id),
        },
      ];
    });
    const [count, of] = [answers.length - evidence.length, answers.length];
    return {
      fraction: share(count, of),
      judge: near,
      figures: { filled: count, blanks: of },
      message: 'share',
      data: { count, of },
      evidence,
    };
  },
});
