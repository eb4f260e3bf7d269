import { distance } from '../../geometry/points.js';
import { ramp, share } from '../fractions.js';
import { requirementType } from '../types.js';
import { percent } from '../words.js';

export const arrangement = requirementType({
  id: 'arrangement',
  group: 'layout',
  asks: () => 'made',
  asksNothing: ({ minShare }) => minShare === 0,
  needsRoot: true,
  readsPlaces: true,
  params: {
    form: { type: 'choice', options: ['either', 'downward', 'outward'], default: 'either' },
    minShare: { type: 'number', default: 0.8, least: 0, most: 1 },
  },
  sentence:
    'The map goes <b-form>{form, select, either {downward or outward} downward {downward} other {outward}}</b-form> from general to particular in at least <b-minShare>{minShare} %</b-minShare> of its steps',
  shown: ({ minShare }) => ({ minShare: percent(minShare) }),
  messages: {
    noRoot: 'There is no starting topic to go out from.',
    none: 'No steps yet.',
    share: '{count} of {of} steps go {form, select, downward {downward} other {outward}}.',
    downward: '“{far}” should stand lower than “{near}”, which it hangs from.',
    outward: '“{far}” should stand further from the middle than “{near}”, which it hangs from.',
  },
  check: ({ form, minShare }, { index }) => {
    const { root } = index;
    if (!root) return { fraction: 0, code: 'noRoot', evidence: [] };
    const steps = index.structuralLinks.flatMap((link) => {
      const ends = index.ends(link);
      const levels = ends.map(({ id }) => index.levels.get(id));
      if (levels[0] === undefined || levels[1] === undefined || Math.abs(levels[0] - levels[1]) !== 1) return [];
      const [near, far] = levels[0] < levels[1] ? ends : [ends[1], ends[0]];
      return [{ link, near, far }];
    });
    const breaks = {
      downward: steps.filter(({ near, far }) => !(far.y > near.y)),
      outward: steps.filter(({ near, far }) => !(distance(far, root) > distance(near, root))),
    };
    const best = form === 'either' ? (breaks.downward.length <= breaks.outward.length ? 'downward' : 'outward') : form;
    const [count, of] = [steps.length - breaks[best].length, steps.length];
    return {
      fraction: ramp(share(count, of), minShare),
      figures: { count, steps: of },
      code: of === 0 ? 'none' : 'share',
      data: { count, of, form: best },
      evidence: breaks[best].map(({ link, near, far }) => ({
        code: best,
        data: { near: near.text, far: far.text },
        links: [link.id],
      })),
    };
  },
});
