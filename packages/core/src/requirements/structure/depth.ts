import { rangeAsks } from '../count-range.js';
import { ramp } from '../fractions.js';
import { requirementType } from '../types.js';
import { between, quoted } from '../words.js';

type Params = { min?: number; max?: number };

export const depth = requirementType<Params>({
  id: 'depth',
  group: 'structure',
  asks: rangeAsks,
  params: { min: { type: 'number', least: 0, whole: true }, max: { type: 'number', least: 0, whole: true } },
  sentence: ({ min, max }) => [...between(min, max, 'levels'), ' lie below the starting topic'],
  messages: {
    noRoot: () => 'There is no starting topic to count from.',
    found: ({ deepest }) => `The map goes ${deepest} deep.`,
    shallow: ({ deepest, min }) =>
      `The map goes ${deepest} deep: say more about a topic at the end, ${Number(min) - Number(deepest)} further down.`,
    deep: ({ deepest, max }) => `The map goes ${deepest} deep, ${Number(deepest) - Number(max)} too many.`,
    tooDeep: ({ text, level }) => `${quoted(text)} is ${level} steps away: tie it closer to the start.`,
  },
  check: ({ min, max }, { index }) => {
    if (!index.root) return { fraction: 0, message: 'noRoot', evidence: [] };
    const deepest = [...index.levels.values()].reduce((most, level) => Math.max(most, level), 0);
    const isDeep = max !== undefined && deepest > max;
    const over = isDeep ? index.map.topics.filter(({ id }) => (index.levels.get(id) ?? 0) > max) : [];
    return {
      fraction: ramp(deepest, min, max),
      figures: { depth: deepest },
      message: isDeep ? 'deep' : min !== undefined && deepest < min ? 'shallow' : 'found',
      data: { deepest, ...(min !== undefined && { min }), ...(max !== undefined && { max }) },
      evidence: over.map(({ id, text }) => ({
        message: 'tooDeep',
        data: { text, level: index.levels.get(id)! },
        topics: [id],
      })),
    };
  },
});
