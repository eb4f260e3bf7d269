import { share } from '../fractions.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';

export const termsUnchanged = requirementType({
  id: 'terms-unchanged',
  group: 'content',
  asks: () => 'kept',
  params: {},
  sentence: 'Given topics keep their words',
  messages: {
    noStarter: 'This assignment has no starter map.',
    all: 'All {of} are as they were given.',
    some: '{count} of {of} are as they were given.',
    renamed: '“{now}” was given as “{text}”: give it its words back.',
    renamedTwice:
      '“{now}” was given as “{text}”, and another topic says that now: give this one its words back, move the links of the other here, and delete it.',
    copied: '“{now}” was given as “{text}”, as another topic still is: mend that one.',
    otherKind: '“{text}” was given as another kind.',
    gone: '“{text}” was given and is gone: bring it back from the word bank.',
  },
  check: (_, { index, assignment }) => {
    const { starter, styleMode } = assignment;
    if (!starter) return { doesNotApply: 'noStarter' };
    const lost = starter.topics.map((given): Finding[] => {
      const form = index.words.normal(given.text);
      const here = index.map.topics.filter((topic) => topic.origin === given.id);
      const keepsWords = (text: string): boolean =>
        given.toComplete ? index.words.normal(text).startsWith(form) : index.words.normal(text) === form;
      if (here.some((topic) => keepsWords(topic.text) && (styleMode === 'free' || topic.kind === given.kind)))
        return [];
      const data = { text: given.text };
      if (here.length === 0) return [{ code: 'gone', data, term: given.text }];
      // Given words that stand on another topic already would stand there twice.
      const says = index.map.topics.filter((topic) => keepsWords(topic.text));
      const renamed =
        says.length === 0 ? 'renamed' : says.some((topic) => here.includes(topic)) ? 'copied' : 'renamedTwice';
      return here.map((topic) =>
        keepsWords(topic.text)
          ? { code: 'otherKind', data, topics: [topic.id] }
          : { code: renamed, data: { ...data, now: topic.text }, topics: [topic.id] },
      );
    });
    const of = starter.topics.length;
    const count = lost.filter((findings) => findings.length === 0).length;
    return {
      fraction: share(count, of),
      figures: { kept: count, given: of },
      code: count < of ? 'some' : 'all',
      data: { count, of },
      evidence: lost.flat(),
    };
  },
});
