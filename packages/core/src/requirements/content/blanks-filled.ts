import { matchTerms } from '../../map/terms.js';
import type { Topic } from '../../map/types.js';
import { isBlank } from '../../words/normal-form.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { ofThem, partOf } from '../words.js';

export const blanksFilled = requirementType({
  id: 'blanks-filled',
  group: 'content',
  asks: () => 'made',
  staysMet: true,
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
  sentence: 'Every blank is filled as it should be',
  messages: {
    share: ofThem('filled'),
    empty: 'This blank is still empty.',
    wrong: '“{text}” does not belong here: try another.',
    gone: 'A place to fill is gone from the map: bring it back.',
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
          code: places.length === 0 ? 'gone' : isBlank(places[0]!.words) ? 'empty' : 'wrong',
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
      code: 'share',
      data: partOf(count, of),
      evidence,
    };
  },
});
