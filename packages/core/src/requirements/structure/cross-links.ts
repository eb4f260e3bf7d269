import type { MapIndex } from '../../map-index/map-index.js';
import type { Link } from '../../map/types.js';
import { sentenceOf } from '../../propositions/sentence.js';
import { isBlank } from '../../words/normal-form.js';
import { ramp } from '../fractions.js';
import { requirementType } from '../types.js';
import type { Said } from '../types.js';

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
    noRoot: 'There is no starting topic for branches to leave from.',
    oneBranch:
      '{branches, plural, =0 {No branch leaves} other {Only one branch leaves}} from “{root}” so far: ' +
      'such a tie joins two of them.',
    tie: 'This one counts: {sentence}',
    wordless: 'This one would count, but it has no words yet: {sentence}',
    hangs:
      'This one does not count: by it “{below}” hangs in the branch “{branch}”. ' +
      'What ties it to another branch counts in its stead: {instead}',
    inside: 'This one does not count: both of its ends belong to the branch “{branch}”. {sentence}',
  },
  check: ({ min, labelled }, { index, assignment }) => {
    const links = index.crossLinks.filter(({ phrase }) => !labelled || !isBlank(phrase));
    const count = links.length;
    return {
      fraction: ramp(count, min),
      figures: { crossLinks: count },
      ...summaryOf(count, min, index),
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

/** Without two branches there is nothing to tie. */
function summaryOf(count: number, min: number, { root, mainBranches }: MapIndex): Said {
  const data = { count, missing: min - count };
  if (count >= min) return { code: 'enough', data };
  if (!root) return { code: 'noRoot' };
  return mainBranches.length < 2
    ? { code: 'oneBranch', data: { root: root.text, branches: mainBranches.length } }
    : { code: 'few', data };
}

interface NearlyTie {
  link: Link;
  code: 'wordless' | 'hangs' | 'inside';
  below?: string;
  branch?: string;
  instead?: string;
}

/**
 * Links that someone may have drawn as a tie and that do not count, with the reason: no words yet; the link that one of its
 * topics hangs by, while another link of that topic is its tie; both ends within one branch. A link that only hangs one
 * topic below another is none.
 */
function nearlyTies(index: MapIndex, counted: readonly Link[]): NearlyTie[] {
  const textOf = (id: string): string => index.topicById.get(id)!.text;
  return index.structuralLinks.flatMap((link): NearlyTie[] => {
    const [a, b] = [index.homes.get(link.from), index.homes.get(link.to)];
    if (counted.includes(link) || a === undefined || b === undefined) return [];
    if (a !== b) return [{ link, code: 'wordless' }];
    const below = [link.from, link.to].find((id) => index.hungBy.get(id) === link.id);
    if (below === undefined) return [{ link, code: 'inside', branch: textOf(a) }];
    const instead = index.crossLinks.find((other) => couldHang(index, other, { below, rather: link }));
    if (!instead) return [];
    const sentence = sentenceOf(instead, ...index.ends(instead), index.assignment.legend);
    return [{ link, code: 'hangs', below: textOf(below), branch: textOf(a), instead: sentence }];
  });
}

/**
 * Whether its author may have hung a topic by one link rather than by the one it hangs by: both lead nearer to the root, or
 * this one was there first and the other made the way shorter.
 */
function couldHang(
  index: MapIndex,
  { id, from, to }: Link,
  { below, rather }: { below: string; rather: Link },
): boolean {
  if (from !== below && to !== below) return false;
  const [level, other] = [index.levels.get(below)!, index.levels.get(from === below ? to : from)!];
  if (level !== other) return other < level;
  const ids = index.structuralLinks.map((link) => link.id);
  return ids.indexOf(id) < ids.indexOf(rather.id);
}
