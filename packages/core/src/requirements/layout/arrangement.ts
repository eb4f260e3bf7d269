import { distance } from '../../geometry/points.js';
import { ramp, share } from '../fractions.js';
import { requirementType } from '../types.js';
import { blank, percent, quoted } from '../words.js';

type Form = 'either' | 'downward' | 'outward';
type Params = { form: Form; minShare: number };

const FORMS: Record<Form, string> = { either: 'downward or outward', downward: 'downward', outward: 'outward' };

export const arrangement = requirementType<Params>({
  id: 'arrangement',
  group: 'layout',
  asks: () => 'made',
  readsPlaces: true,
  params: {
    form: { type: 'choice', options: ['either', 'downward', 'outward'], default: 'either' },
    minShare: { type: 'number', default: 0.8, least: 0, most: 1 },
  },
  sentence: ({ form, minShare }) => [
    'The map goes ',
    blank('form', FORMS[form]),
    ' from general to particular in at least ',
    blank('minShare', percent(minShare)),
    ' of its steps',
  ],
  messages: {
    noRoot: () => 'There is no starting topic to go out from.',
    none: () => 'No steps yet.',
    share: ({ count, of, form }) => `${count} of ${of} steps go ${form}.`,
    downward: ({ near, far }) => `${quoted(far)} should stand lower than ${quoted(near)}, which it hangs from.`,
    outward: ({ near, far }) =>
      `${quoted(far)} should stand further from the middle than ${quoted(near)}, which it hangs from.`,
  },
  check: ({ form, minShare }, { index }) => {
    const { root } = index;
    if (!root) return { fraction: 0, message: 'noRoot', evidence: [] };
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
      message: of === 0 ? 'none' : 'share',
      data: { count, of, form: best },
      evidence: breaks[best].map(({ link, near, far }) => ({
        message: best,
        data: { near: near.text, far: far.text },
        links: [link.id],
      })),
    };
  },
});
