import { grouped } from '../../grouped.js';
import { isBlank } from '../../words/normal-form.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';

export const noDuplicateTopics = requirementType({
  id: 'no-duplicate-topics',
  group: 'content',
  asks: () => 'kept',
  params: {},
  sentence: 'No idea stands on the map twice',
  messages: {
    none: '{of, plural, one {1 idea} other {{of} ideas}}, each once.',
    some: '{of} topics hold {different, plural, one {1 idea} other {{different} ideas}}.',
    twice: '“{text}” stands on the map {count} times: keep one and move its links there.',
  },
  check: (_, { index }) => {
    const topics = index.structuralTopics.filter(({ text }) => !isBlank(text));
    const forms = grouped(topics, ({ text }) => index.words.folded(text));
    const [different, of] = [forms.size, topics.length];
    const repeated = [...forms.values()].filter((same) => same.length > 1);
    return {
      fraction: share(different, of),
      figures: { different, topics: of },
      code: repeated.length ? 'some' : 'none',
      data: { different, of },
      evidence: repeated.map((same) => ({
        code: 'twice',
        data: { text: same[0]!.text, count: same.length },
        topics: same.map(({ id }) => id),
      })),
    };
  },
});
