import type { Assignment } from '../map/types.js';
import type { Report } from '../requirements/types.js';
import { toDecimals } from './scale.js';
import type { StructuralScore } from './structural-score.js';
import { isCounted, levelOf, pointsOf } from './sum.js';
import type { Judgement, MarkSum } from './sum.js';

const rounded = (value: number): string => String(toDecimals(value, 1));

/** A line of what makes a mark up. */
export interface MarkLine {
  what: string;
  how?: string;
  points: number;
  outOf: number | null;
}

/** What makes a mark up, line by line; the lines' points add up to the sum. */
export function markLines(
  { results }: Pick<Report, 'results'>,
  { criteria, marks }: Pick<Assignment, 'criteria' | 'marks'>,
  judgement: Judgement,
  sum: MarkSum,
  structure: StructuralScore | null,
): MarkLine[] {
  const required = results.filter((one) => isCounted(one) && one.level !== 'extra');
  const total = (figures: readonly number[]): number => figures.reduce((all, one) => all + one, 0);
  const { propositions, structural } = marks ?? { propositions: null };
  const { sound = 0, shaky = 0 } = judgement.verdicts ?? {};
  const own = Object.keys(judgement.points).length;
  return [
    {
      what: 'Requirements',
      ...(own > 0 && { how: own === 1 ? 'one given by hand' : `${own} given by hand` }),
      points: total(required.map((one) => pointsOf(one, judgement))),
      outOf: total(required.map((one) => one.outOf)),
    },
    ...(sum.extra > 0 ? [{ what: 'Extra', points: sum.extra, outOf: null }] : []),
    ...criteria.map((criterion): MarkLine => {
      const level = levelOf(criterion, judgement);
      return {
        what: criterion.name,
        how: level?.name ?? 'not judged yet',
        points: level?.points ?? 0,
        outOf: Math.max(0, ...criterion.levels.map(({ points }) => points)),
      };
    }),
    ...(propositions
      ? [
          {
            what: 'Sentences',
            how: `${sound} sound, ${shaky} shaky; ${propositions.full} sound give all`,
            points: sum.ofPropositions,
            outOf: propositions.points,
          },
        ]
      : []),
    ...(structural && structure
      ? [
          {
            what: 'Structure',
            how: `${structure.propositions.length} sound sentences, ${structure.levels.length} levels, ${structure.crossLinks.length} cross-links, ${structure.examples.length} examples: ${rounded(structure.score)} of ${rounded(structural.full)}`,
            points: sum.ofStructure,
            outOf: structural.points,
          },
        ]
      : []),
    ...(sum.late > 0 ? [{ what: 'Taken off for being late', points: -sum.late, outOf: null }] : []),
  ];
}
