import { ramp } from '../fractions.js';
import type { MapIndex } from '../../map-index/map-index.js';
import type { Link } from '../../map/types.js';
import { withNearly } from '../nearly.js';
import type { Finding } from '../types.js';
import { requirementType } from '../types.js';
import { kindNames } from '../words.js';

/** More than these, and trying each one turned round takes longer than the rest of the check. */
const MOST_TURNED = 150;

/** What keeps a circle from being there: lines without one arrow, an arrow the wrong way round, topics of other kinds. */
function nearlyCircles(index: MapIndex, wanted: ReadonlySet<string>): Finding[] {
  const said = (link: Link, code: string): Finding => {
    const [from, to] = index.ends(link);
    return { code, data: { from: from.text, to: to.text }, links: [link.id] };
  };
  const forward = index.structuralLinks.filter((link) => index.arrowOf(link) === 'forward');
  const turned = forward.length > MOST_TURNED ? [] : forward.filter((link) => isShortcut(link, forward));
  const others = index.cycles.flat().filter((id) => !wanted.has(id));
  return [
    ...turned.map((link) => said(link, 'turned')),
    ...index.structuralLinks.filter((link) => index.arrowOf(link) !== 'forward').map((link) => said(link, 'plain')),
    ...others.map((id) => ({ code: 'otherKind', data: { text: index.topicById.get(id)!.text }, topics: [id] })),
  ];
}

/** Whether arrows lead from where a link begins to where it ends by another way, so that it would close that way. */
function isShortcut(link: Link, forward: readonly Link[]): boolean {
  const [seen, open] = [new Set([link.from]), [link.from]];
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    for (const { id, from, to } of forward) {
      if (from !== at || id === link.id || seen.has(to)) continue;
      if (to === link.to) return true;
      seen.add(to);
      open.push(to);
    }
  }
  return false;
}

export const formsCycle = requirementType({
  id: 'forms-cycle',
  group: 'structure',
  asks: () => 'made',
  asksNothing: ({ min }) => min <= 1,
  staysMet: true,
  params: { kinds: { type: 'kinds' }, min: { type: 'number', default: 3, least: 0, whole: true } },
  sentence:
    'Arrows lead round through at least <b-min>{min}</b-min> {kinds, select, undefined {topics} other {topics of the kind <b-kinds>{kinds}</b-kinds>}}',
  shown: ({ kinds }, assignment) => ({ kinds: kindNames(assignment, kinds) }),
  messages: {
    found: 'A circle of {count} is there.',
    none: 'No circle yet: let the last arrow lead back to the first topic.',
    small: 'The largest circle has {count}: take in {missing} more.',
    plain: 'The line between “{from}” and “{to}” has not one arrow, so no circle leads along it.',
    turned: 'Turned round, the arrow from “{from}” to “{to}” would close a circle.',
    otherKind: '“{text}” is in a circle and does not count here: it is of another kind.',
  },
  check: ({ kinds, min }, { index }) => {
    const wanted = new Set(index.topicsOf(kinds).map(({ id }) => id));
    const count = index.cycles.reduce((most, part) => Math.max(most, part.filter((id) => wanted.has(id)).length), 0);
    const verdict = {
      fraction: ramp(count, min),
      figures: { topics: count },
      code: count === 0 ? 'none' : count < min ? 'small' : 'found',
      data: { count, missing: min - count },
      evidence: [],
    };
    return withNearly(verdict, () => nearlyCircles(index, wanted));
  },
});
