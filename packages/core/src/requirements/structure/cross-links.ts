import type { MapIndex } from '../../map-index/map-index.js';
import type { Link } from '../../map/types.js';
import { sentenceOf } from '../../propositions/sentence.js';
import { isBlank } from '../../words/normal-form.js';
import { ramp } from '../fractions.js';
import { requirementType } from '../types.js';

export const crossLinks = requirementType({
  id: 'cross-links',
  group: 'structure',
  asks: () => 'made',
  asksNothing: ({ min }) => min === 0,
  needsRoot: true,
  staysMet: true,
  params: { min: { type: 'number', default: 1, least: 0, whole: true }, labelled: { type: 'boolean', default: true } },
  sentence:
    'At least <b-min>{min}</b-min> {min, plural, one {tie} other {ties}}' +
    '{labelled, select, true { <b-labelled>with words</b-labelled>} other {}}' +
    '{min, plural, one { joins} other { join}} different main branches',
  messages: {
    enough: '{count} found.',
    few: '{count, plural, =0 {None yet} other {{count} found}}: add {missing} more.',
    tie: 'This one counts: {sentence}',
    wordless: 'This one would count, but it has no words yet: {sentence}',
    shared: 'This one does not count: a shortest way to both of its ends leads through “{branch}”. {sentence}',
    inside: 'This one stays inside one branch, “{branch}”: {sentence}',
  },
  check: ({ min, labelled }, { index, assignment }) => {
    const links = index.crossLinks.filter(({ phrase }) => !labelled || !isBlank(phrase));
    const count = links.length;
    return {
      fraction: ramp(count, min),
      figures: { crossLinks: count },
      code: count < min ? 'few' : 'enough',
      data: { count, missing: min - count },
      evidence: [...links.map((link) => ({ link, code: 'tie' })), ...nearlyTies(index, links)].map(
        ({ link, code, ...more }) => ({
          code,
          data: { sentence: sentenceOf(link, ...index.ends(link), assignment.legend), ...more },
          links: [link.id],
          flag: false,
        }),
      ),
    };
  },
});

interface NearlyTie {
  link: Link;
  code: 'wordless' | 'shared' | 'inside';
  branch?: string;
}

/**
 * Links that someone may have drawn as a tie and that do not count, with the reason: no words yet; ends that have a main
 * branch in common, often because the link itself made a way shorter; both ends within one branch. A link that only hangs
 * one topic below another is none.
 */
function nearlyTies(index: MapIndex, counted: readonly Link[]): NearlyTie[] {
  const textOf = (id: string): string => index.topicById.get(id)?.text ?? '';
  return index.structuralLinks.flatMap((link): NearlyTie[] => {
    if (counted.includes(link)) return [];
    const [a, b] = [index.branches.get(link.from), index.branches.get(link.to)];
    if (!a || !b) return [];
    const common = [...a].filter((branch) => b.has(branch));
    if (common.length === 0) return [{ link, code: 'wordless' }];
    if (new Set([...a, ...b]).size > 1) return [{ link, code: 'shared', branch: textOf(common[0]!) }];
    return isSecondWay(index, link) ? [{ link, code: 'inside', branch: textOf(common[0]!) }] : [];
  });
}

/** Whether the topic below would hang from something without this link too. */
function isSecondWay(index: MapIndex, { from, to }: Link): boolean {
  const [one, other] = [index.levels.get(from)!, index.levels.get(to)!];
  if (one === other) return true;
  const below = one > other ? from : to;
  return [...index.neighbours.get(below)!].filter((id) => index.levels.get(id)! < index.levels.get(below)!).length > 1;
}
