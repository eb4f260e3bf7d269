import type { MapIndex } from '../../map-index/map-index.js';
import type { Link } from '../../map/types.js';
import { sentenceOf } from '../../propositions/sentence.js';
import { isBlank } from '../../words/normal-form.js';
import { ramp } from '../fractions.js';
import { requirementType } from '../types.js';
import { blank, more, quoted } from '../words.js';

type Params = { min: number; labelled: boolean };

export const crossLinks = requirementType<Params>({
  id: 'cross-links',
  group: 'structure',
  asks: () => 'made',
  params: { min: { type: 'number', default: 1, least: 0, whole: true }, labelled: { type: 'boolean', default: true } },
  sentence: ({ min, labelled }) => [
    'At least ',
    blank('min', min),
    min === 1 ? ' tie' : ' ties',
    ...(labelled ? [' ', blank('labelled', 'with words')] : []),
    min === 1 ? ' joins' : ' join',
    ' different main branches',
  ],
  messages: {
    enough: ({ count }) => `${count} found.`,
    few: ({ count, min }) => (count === 0 ? `None yet: ${more(count, min)}.` : `${count} found: ${more(count, min)}.`),
    tie: ({ sentence }) => `This one counts: ${sentence}`,
    wordless: ({ sentence }) => `This one would count, but it has no words yet: ${sentence}`,
    shared: ({ sentence, branch }) =>
      `This one does not count: a shortest way to both of its ends leads through ${quoted(branch)}. ${sentence}`,
    inside: ({ sentence, branch }) => `This one stays inside one branch, ${quoted(branch)}: ${sentence}`,
  },
  check: ({ min, labelled }, { index, assignment }) => {
    const links = index.crossLinks.filter(({ phrase }) => !labelled || !isBlank(phrase));
    const count = links.length;
    return {
      fraction: ramp(count, min),
      figures: { crossLinks: count },
      message: count < min ? 'few' : 'enough',
      data: { count, min },
      evidence: [...links.map((link) => ({ link, message: 'tie' })), ...nearlyTies(index, links)].map(
        ({ link, message, ...more }) => ({
          message,
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
  message: 'wordless' | 'shared' | 'inside';
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
    if (common.length === 0) return [{ link, message: 'wordless' }];
    if (new Set([...a, ...b]).size > 1) return [{ link, message: 'shared', branch: textOf(common[0]!) }];
    return isSecondWay(index, link) ? [{ link, message: 'inside', branch: textOf(common[0]!) }] : [];
  });
}

/** Whether the topic below would hang from something without this link too. */
function isSecondWay(index: MapIndex, { from, to }: Link): boolean {
  const [one, other] = [index.levels.get(from)!, index.levels.get(to)!];
  if (one === other) return true;
  const below = one > other ? from : to;
  return [...index.neighbours.get(below)!].filter((id) => index.levels.get(id)! < index.levels.get(below)!).length > 1;
}
