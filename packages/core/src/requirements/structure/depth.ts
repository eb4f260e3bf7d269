import { rangeAsks, rangeAsksNothing } from '../count-range.js';
import { ramp } from '../fractions.js';
import { requirementType } from '../types.js';
import { between } from '../words.js';

export const depth = requirementType({
  id: 'depth',
  group: 'structure',
  asks: rangeAsks,
  asksNothing: rangeAsksNothing,
  needsRoot: true,
  staysMet: true,
  params: { min: { type: 'number', least: 0, whole: true }, max: { type: 'number', least: 0, whole: true } },
  sentence: `${between('levels', { verb: ['lies', 'lie'] })} below the starting topic`,
  messages: {
    noRoot: 'There is no starting topic to count from.',
    found: 'The map goes {deepest} deep.',
    shallow: 'The map goes {deepest} deep: say more about a topic at the end, {missing} further down.',
    deep: 'The map goes {deepest} deep, {over} too many.',
    tooDeep: '“{text}” is {level} steps away: tie it closer to the start.',
  },
  check: ({ min, max }, { index }) => {
    if (!index.root) return { fraction: 0, code: 'noRoot', evidence: [] };
    const deepest = [...index.levels.values()].reduce((most, level) => Math.max(most, level), 0);
    const isDeep = max !== undefined && deepest > max;
    const over = isDeep ? index.map.topics.filter(({ id }) => (index.levels.get(id) ?? 0) > max) : [];
    return {
      fraction: ramp(deepest, min, max),
      figures: { depth: deepest },
      code: isDeep ? 'deep' : min !== undefined && deepest < min ? 'shallow' : 'found',
      data: {
        deepest,
        ...(min !== undefined && { missing: min - deepest }),
        ...(max !== undefined && { over: deepest - max }),
      },
      evidence: over.map(({ id, text }) => ({
        code: 'tooDeep',
        data: { text, level: index.levels.get(id)! },
        topics: [id],
      })),
    };
  },
});
