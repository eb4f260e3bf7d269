import { grouped } from '../../grouped.js';
import { isBlank } from '../../words/normal-form.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';
import { plural, quoted } from '../words.js';

export const noDuplicateTopics = requirementType({
  id: 'no-duplicate-topics',
  group: 'content',
  asks: () => 'kept',
  params: {},
  sentence: () => ['No idea stands on the map twice'],
  messages: {
    none: ({ of }) => `${plural(Number(of), 'idea')}, each once.`,
    some: ({ different, of }) => `${of} topics hold ${plural(Number(different), 'idea')}.`,
    twice: ({ text, count }) => `${quoted(text)} stands on the map ${count} times: keep one and move its links there.`,
  },
  check: (_, { index }) => {
    const topics = index.structuralTopics.filter(({ text }) => !isBlank(text));
    const forms = grouped(topics, ({ text }) => index.words.folded(text));
    const [different, of] = [forms.size, topics.length];
    const repeated = [...forms.values()].filter((same) => same.length > 1);
    return {
      fraction: share(different, of),
      figures: { different, topics: of },
      message: repeated.length ? 'some' : 'none',
      data: { different, of },
      evidence: repeated.map((same) => ({
        message: 'twice',
        data: { text: same[0]!.text, count: same.length },
        topics: same.map(({ id }) => id),
      })),
    };
  },
});
