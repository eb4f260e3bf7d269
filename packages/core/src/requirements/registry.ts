import { allConnected } from './structure/all-connected.js';
import { allTermsPresent } from './content/all-terms-present.js';
import { fewCrossings } from './layout/few-crossings.js';
import { kindCount } from './content/kind-count.js';
import { linksLabelled } from './propositions/links-labelled.js';
import { noOverlaps } from './layout/no-overlaps.js';
import { rightKind } from './content/right-kind.js';
import { termsUnchanged } from './content/terms-unchanged.js';
import { topicCount } from './content/topic-count.js';
import { linkCount } from './content/link-count.js';
import { shortTopics } from './content/short-topics.js';
import { noDuplicateTopics } from './content/no-duplicate-topics.js';
import { supportingMaterial } from './content/supporting-material.js';
import { noteLength } from './content/note-length.js';
import { promptsAnswered } from './content/prompts-answered.js';
import { blanksFilled } from './content/blanks-filled.js';
import { starterRewired } from './content/starter-rewired.js';
import { linksPerTopic } from './structure/links-per-topic.js';
import { fromRoot } from './structure/from-root.js';
import { sitsUnder } from './structure/sits-under.js';
import { depth } from './structure/depth.js';
import { mainBranches } from './structure/main-branches.js';
import { branching } from './structure/branching.js';
import { crossLinks } from './structure/cross-links.js';
import { noCycles } from './structure/no-cycles.js';
import { anchorLinks } from './structure/anchor-links.js';
import { formsCycle } from './structure/forms-cycle.js';
import { allowedLinks } from './structure/allowed-links.js';
import { noParallelLinks } from './structure/no-parallel-links.js';
import { precisePhrases } from './propositions/precise-phrases.js';
import { arrowedLinks } from './propositions/arrowed-links.js';
import { phraseVariety } from './propositions/phrase-variety.js';
import { propositionsPresent } from './propositions/propositions-present.js';
import { propositionsAbsent } from './propositions/propositions-absent.js';
import { likeReference } from './propositions/like-reference.js';
import { kindStyle } from './style/kind-style.js';
import { linkStyleAsKind } from './style/link-style.js';
import { fanStyle } from './style/fan-style.js';
import { inkContrast } from './style/ink-contrast.js';
import { paleFills } from './style/pale-fills.js';
import { textSize } from './style/text-size.js';
import { branchColours } from './style/branch-colours.js';
import { clearText } from './layout/clear-text.js';
import { clearPhrases } from './layout/clear-phrases.js';
import { shortLinks } from './layout/short-links.js';
import { inSequence } from './layout/in-sequence.js';
import { arrangement } from './layout/arrangement.js';
import { fitsPaper } from './layout/fits-paper.js';
import { mapDetails } from './making/map-details.js';
import { tour } from './making/tour.js';
import { groupShare } from './making/group-share.js';
import { onTime } from './making/on-time.js';
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
