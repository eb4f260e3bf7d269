import type { Assignment } from '../../map/types.js';
import {
  capTooLow,
  cycleAndNone,
  levelsTooFew,
  pairsForbid,
  shortBelowTerms,
  wantedAndUnwanted,
} from './contradictions.js';
import { arrowAgainstLegend, fanAgainstLegend, fanAgainstStyle, kindFails } from './legend.js';
import { apartRanges, askedTwice, asksNothing, cannotFail, minOverMax, moreThanThereAre } from './measures.js';
import { Sheet } from './sheet.js';
import type { Finding, Rule } from './sheet.js';
import { referenceFails, starterHasIt } from './starts.js';
import {
  nothingToLookAt,
  unknownKinds,
  unknownOrigins,
  unknownRoot,
  unknownTermKinds,
  unknownTexts,
} from './unknown.js';

const RULES: readonly Rule[] = [
  unknownKinds,
  unknownTermKinds,
  unknownTexts,
  unknownRoot,
  unknownOrigins,
  nothingToLookAt,
  minOverMax,
  apartRanges,
  moreThanThereAre,
  asksNothing,
  cannotFail,
  askedTwice,
  starterHasIt,
  referenceFails,
  kindFails,
  arrowAgainstLegend,
  fanAgainstLegend,
  fanAgainstStyle,
  capTooLow,
  cycleAndNone,
  wantedAndUnwanted,
  pairsForbid,
  shortBelowTerms,
  levelsTooFew,
];

/** What cannot work in an assignment's requirements, each with a sentence for the teacher. A sound one has none. */
export function reviewRequirements(assignment: Assignment): Finding[] {
  const sheet = new Sheet(assignment);
  return RULES.flatMap((rule) => rule(sheet));
}
