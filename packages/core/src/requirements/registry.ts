import { allTermsPresent } from './content/all-terms-present.js';
import { blanksFilled } from './content/blanks-filled.js';
import { kindCount } from './content/kind-count.js';
import { linkCount } from './content/link-count.js';
import { noDuplicateTopics } from './content/no-duplicate-topics.js';
import { noteLength } from './content/note-length.js';
import { promptsAnswered } from './content/prompts-answered.js';
import { rightKind } from './content/right-kind.js';
import { shortTopics } from './content/short-topics.js';
import { starterRewired } from './content/starter-rewired.js';
import { supportingMaterial } from './content/supporting-material.js';
import { termsUnchanged } from './content/terms-unchanged.js';
import { topicCount } from './content/topic-count.js';
import { arrangement } from './layout/arrangement.js';
import { clearPhrases } from './layout/clear-phrases.js';
import { clearText } from './layout/clear-text.js';
import { fewCrossings } from './layout/few-crossings.js';
import { fitsPaper } from './layout/fits-paper.js';
import { inSequence } from './layout/in-sequence.js';
import { noOverlaps } from './layout/no-overlaps.js';
import { shortLinks } from './layout/short-links.js';
import { groupShare } from './making/group-share.js';
import { mapDetails } from './making/map-details.js';
import { onTime } from './making/on-time.js';
import { tour } from './making/tour.js';
import { arrowedLinks } from './propositions/arrowed-links.js';
import { likeReference } from './propositions/like-reference.js';
import { linksLabelled } from './propositions/links-labelled.js';
import { phraseVariety } from './propositions/phrase-variety.js';
import { precisePhrases } from './propositions/precise-phrases.js';
import { propositionsAbsent } from './propositions/propositions-absent.js';
import { propositionsPresent } from './propositions/propositions-present.js';
import { allConnected } from './structure/all-connected.js';
import { allowedLinks } from './structure/allowed-links.js';
import { anchorLinks } from './structure/anchor-links.js';
import { branching } from './structure/branching.js';
import { crossLinks } from './structure/cross-links.js';
import { depth } from './structure/depth.js';
import { formsCycle } from './structure/forms-cycle.js';
import { fromRoot } from './structure/from-root.js';
import { linksPerTopic } from './structure/links-per-topic.js';
import { mainBranches } from './structure/main-branches.js';
import { noCycles } from './structure/no-cycles.js';
import { noParallelLinks } from './structure/no-parallel-links.js';
import { sitsUnder } from './structure/sits-under.js';
import { branchColours } from './style/branch-colours.js';
import { fanStyle } from './style/fan-style.js';
import { inkContrast } from './style/ink-contrast.js';
import { kindStyle } from './style/kind-style.js';
import { linkStyleAsKind } from './style/link-style.js';
import { paleFills } from './style/pale-fills.js';
import { textSize } from './style/text-size.js';
import { GROUPS } from './types.js';
import type { GroupId, RequirementType } from './types.js';

/** All that can be asked for, in the order in which it is offered. A new type is its file and its line here. */
const TYPES = {
  'all-terms-present': allTermsPresent,
  'terms-unchanged': termsUnchanged,
  'right-kind': rightKind,
  'topic-count': topicCount,
  'link-count': linkCount,
  'kind-count': kindCount,
  'short-topics': shortTopics,
  'no-duplicate-topics': noDuplicateTopics,
  'supporting-material': supportingMaterial,
  'note-length': noteLength,
  'prompts-answered': promptsAnswered,
  'blanks-filled': blanksFilled,
  'starter-rewired': starterRewired,
  'all-connected': allConnected,
  'links-per-topic': linksPerTopic,
  'from-root': fromRoot,
  'sits-under': sitsUnder,
  depth,
  'main-branches': mainBranches,
  branching,
  'cross-links': crossLinks,
  'no-cycles': noCycles,
  'anchor-links': anchorLinks,
  'forms-cycle': formsCycle,
  'allowed-links': allowedLinks,
  'no-parallel-links': noParallelLinks,
  'links-labelled': linksLabelled,
  'precise-phrases': precisePhrases,
  'arrowed-links': arrowedLinks,
  'phrase-variety': phraseVariety,
  'propositions-present': propositionsPresent,
  'propositions-absent': propositionsAbsent,
  'like-reference': likeReference,
  'kind-style': kindStyle,
  'link-style': linkStyleAsKind,
  'fan-style': fanStyle,
  'ink-contrast': inkContrast,
  'pale-fills': paleFills,
  'text-size': textSize,
  'branch-colours': branchColours,
  'few-crossings': fewCrossings,
  'clear-text': clearText,
  'no-overlaps': noOverlaps,
  'clear-phrases': clearPhrases,
  'short-links': shortLinks,
  'in-sequence': inSequence,
  arrangement,
  'fits-paper': fitsPaper,
  'map-details': mapDetails,
  tour,
  'group-share': groupShare,
  'on-time': onTime,
} satisfies Record<string, RequirementType>;

/** The id of a requirement type. What stands beside the types is typed by it, so that nothing is forgotten for one. */
export type RequirementId = keyof typeof TYPES;

/** The parameters of a type, the defaults in place. */
export type ParamsFor<I extends RequirementId> = Parameters<(typeof TYPES)[I]['check']>[0];

/** The name of any parameter of any type. */
export type ParamName = { [I in RequirementId]: keyof (typeof TYPES)[I]['params'] }[RequirementId];

type Known = RequirementType & { id: RequirementId };

const types = Object.values(TYPES) as readonly Known[];
const byId: ReadonlyMap<string, Known> = new Map(types.map((type) => [type.id, type]));

export const requirementTypes = (): readonly Known[] => types;
/** The type of an id, or undefined when it is unknown. */
export const requirementTypeOf = (id: string): Known | undefined => byId.get(id);
export const groupOf = (id: string): GroupId | undefined => byId.get(id)?.group;

/** The ids by what a teacher wants to see. */
export const CATALOGUE = Object.fromEntries(
  GROUPS.map((group) => [group, types.filter((type) => type.group === group).map(({ id }) => id)]),
) as Record<GroupId, RequirementId[]>;
