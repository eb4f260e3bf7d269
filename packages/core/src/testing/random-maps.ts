import fc from 'fast-check';
import { requirementTypes } from '../requirements/registry.js';
import type { Requirement, TopicMap } from '../map/types.js';
import { assignmentOf, link, mapOf, topic } from './make.js';

export const need = (
  type: string,
  params: Record<string, unknown> = {},
  more: Partial<Requirement> = {},
): Requirement => ({
  id: type,
  type,
  params,
  level: 'must',
  points: 3,
  ...more,
});
const all = [
  need('all-terms-present'),
  need('terms-unchanged'),
  need('right-kind'),
  need('kind-count', { kind: 'own', min: 1, max: 2 }),
  need('all-connected'),
  need('links-labelled', { minShare: 0.9 }),
  need('few-crossings'),
  need('no-overlaps', { gap: 10 }),
];
/** A few requirements of every sort. */
export const assignment = assignmentOf({
  terms: [
    { text: 'Arch', kind: 'part' },
    { text: 'Pier', kind: 'part' },
    { text: 'Keystone', kind: 'part' },
  ],
  root: 'Bridge',
  starter: mapOf([topic('s1', { text: 'Arch', kind: 'part' })]),
  requirements: all,
});

/** Maps of a few topics on shaken coordinates, some with an origin, some overlapping, some linked. */
export const maps = fc
  .array(
    fc.record({
      text: fc.constantFrom('Bridge', 'Arch', 'Keyston', 'Pier', 'rust', ''),
      kind: fc.constantFrom('root', 'part', 'own', null),
      x: fc.integer({ min: 0, max: 12 }),
      y: fc.integer({ min: 0, max: 8 }),
      origin: fc.constantFrom('s1', undefined),
      shake: fc.integer({ min: 1, max: 1008 }),
    }),
    { maxLength: 9 },
  )
  .chain((rows) =>
    fc.array(fc.tuple(fc.nat(8), fc.nat(8), fc.constantFrom('', 'holds')), { maxLength: 10 }).map((pairs): TopicMap => {
      const topics = rows.map(({ text, kind, x, y, origin, shake }, i) =>
        topic(`t${i}`, {
          text,
          kind, // No two topics touch to the last bit, so that moving them all cannot turn touching into meeting.
          x: x * 60 + shake / 1009 + i * 0.137,
          y: y * 45 + shake / 3027 + i * 0.071,
          ...(origin && { origin }),
        }),
      );
      const links = pairs.flatMap(([a, b, phrase], i) =>
        a !== b && topics[a] && topics[b] ? [link(`t${a}`, `t${b}`, { id: `l${i}`, phrase })] : [],
      );
      return mapOf(topics, links);
    }),
  );

/** Parameters that must be given, for the types that have such. */
export const NEEDED: Record<string, Record<string, unknown>> = {
  'kind-count': { kind: 'own' },
  'blanks-filled': { answers: [{ origin: 's1', accept: ['Arch'] }] },
  'sits-under': { kinds: ['part'], parents: ['own'] },
  'anchor-links': { kind: 'target', targets: ['part'] },
  'allowed-links': { pairs: [['own', 'part']] },
  'propositions-present': { propositions: [{ from: 'Arch', to: 'Pier', phrases: ['holds'] }] },
  'propositions-absent': { propositions: [{ from: 'Pier', to: 'Arch', direction: 'either' }] },
  'link-style': { linkKind: 'shows', from: ['target'] },
};
export const every = requirementTypes().map((type) => need(type.id, NEEDED[type.id]));

/** Everything that can be asked, with a reference and a starter. */
export const whole = {
  ...assignment,
  reference: mapOf([topic('r1', { text: 'Arch' }), topic('r2', { text: 'Pier' })], [link('r1', 'r2')]),
  requirements: every,
};
