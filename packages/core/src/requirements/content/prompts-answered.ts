import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { ofThem } from '../words.js';

export const promptsAnswered = requirementType({
  id: 'prompts-answered',
  group: 'content',
  asks: () => 'made',
  asksNothing: ({ minWords }) => minWords === 0,
  staysMet: true,
  params: { minWords: { type: 'number', default: 1, least: 0, whole: true } },
  sentence:
    'Every prompt is continued by at least <b-minWords>{minWords}</b-minWords> {minWords, plural, one {word} other {words}}',
  messages: {
    noPrompts: 'The starter map has no prompts.',
    share: ofThem('continued'),
    open: 'Continue “{text}” in words of your own.',
  },
  check: ({ minWords }, { index, assignment }) => {
    const prompts = (assignment.starter?.topics ?? []).filter(({ toComplete }) => toComplete);
    if (prompts.length === 0) return { doesNotApply: 'noPrompts' };
    const evidence = prompts.flatMap((prompt): Finding[] => {
      const here = index.map.topics.filter(({ origin }) => origin === prompt.id);
      const asked = index.words.wordsOf(prompt.text).length + minWords;
      const isAnswered = here.some(
        ({ text }) =>
          index.words.normal(text).startsWith(index.words.normal(prompt.text)) &&
          index.words.wordsOf(text).length >= asked,
      );
      return isAnswered ? [] : [{ code: 'open', data: { text: prompt.text }, topics: here.map(({ id }) => id) }];
    });
    return allBut(evidence, prompts.length, 'prompts');
  },
});
