import { allConnected } from './all-connected.js';
import { allTermsPresent } from './all-terms-present.js';
import { fewCrossings } from './few-crossings.js';
import { kindCount } from './kind-count.js';
import { linksLabelled } from './links-labelled.js';
import { noOverlaps } from './no-overlaps.js';
import { rightKind } from './right-kind.js';
import { termsUnchanged } from './terms-unchanged.js';
import { topicCount } from './topic-count.js';
import { linkCount } from './link-count.js';
import { shortTopics } from './short-topics.js';
import { noDuplicateTopics } from './no-duplicate-topics.js';
import { supportingMaterial } from './supporting-material.js';
import { noteLength } from './note-length.js';
import { promptsAnswered } from './prompts-answered.js';
import { blanksFilled } from './blanks-filled.js';
import { starterRewired } from './starter-rewired.js';
import { linksPerTopic } from './links-per-topic.js';
import { fromRoot } from './from-root.js';
import { sitsUnder } from './sits-under.js';
import { depth } from './depth.js';
import { mainBranches } from './main-branches.js';
import { branching } from './branching.js';
import { crossLinks } from './cross-links.js';
import { noCycles } from './no-cycles.js';
import { anchorLinks } from './anchor-links.js';
import { formsCycle } from './forms-cycle.js';
import { allowedLinks } from './allowed-links.js';
import { noParallelLinks } from './no-parallel-links.js';
import { precisePhrases } from './precise-phrases.js';
import { arrowedLinks } from './arrowed-links.js';
import { phraseVariety } from './phrase-variety.js';
import { propositionsPresent } from './propositions-present.js';
import { propositionsAbsent } from './propositions-absent.js';
import { likeReference } from './like-reference.js';
import { kindStyle } from './kind-style.js';
import { linkStyleAsKind } from './link-style.js';
import { fanStyle } from './fan-style.js';
import { inkContrast } from './ink-contrast.js';
import { paleFills } from './pale-fills.js';
import { textSize } from './text-size.js';
import { branchColours } from './branch-colours.js';
import { clearText } from './clear-text.js';
import { clearPhrases } from './clear-phrases.js';
import { shortLinks } from './short-links.js';
import { inSequence } from './in-sequence.js';
import { arrangement } from './arrangement.js';
import { fitsPaper } from './fits-paper.js';
import { mapDetails } from './map-details.js';
import { tour } from './tour.js';
import { groupShare } from './group-share.js';
import { onTime } from './on-time.js';
import { CATALOGUE } from './catalogue.js';
import type { GroupId, RequirementType } from './types.js';

const BUILT: readonly RequirementType[] = [
  allTermsPresent,
  termsUnchanged,
  rightKind,
  kindCount,
  allConnected,
  linksLabelled,
  fewCrossings,
  noOverlaps,
  topicCount,
  linkCount,
  shortTopics,
  noDuplicateTopics,
  supportingMaterial,
  noteLength,
  promptsAnswered,
  blanksFilled,
  starterRewired,
  linksPerTopic,
  fromRoot,
  sitsUnder,
  depth,
  mainBranches,
  branching,
  crossLinks,
  noCycles,
  anchorLinks,
  formsCycle,
  allowedLinks,
  noParallelLinks,
  precisePhrases,
  arrowedLinks,
  phraseVariety,
  propositionsPresent,
  propositionsAbsent,
  likeReference,
  kindStyle,
  linkStyleAsKind,
  fanStyle,
  inkContrast,
  paleFills,
  textSize,
  branchColours,
  clearText,
  clearPhrases,
  shortLinks,
  inSequence,
  arrangement,
  fitsPaper,
  mapDetails,
  tour,
  groupShare,
  onTime,
];

const byId: ReadonlyMap<string, RequirementType> = new Map(BUILT.map((type) => [type.id, type]));
const groups = new Map(
  Object.entries(CATALOGUE).flatMap(([group, ids]) => ids.map((id) => [id as string, group as GroupId])),
);

export const requirementTypes = (): readonly RequirementType[] => BUILT;
/** The type of an id, or undefined when it is unknown or not built yet. */
export const requirementTypeOf = (id: string): RequirementType | undefined => byId.get(id);
export const groupOf = (id: string): GroupId | undefined => groups.get(id);
