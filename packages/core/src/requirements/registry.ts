import { allConnected } from './all-connected.js';
import { allTermsPresent } from './all-terms-present.js';
import { fewCrossings } from './few-crossings.js';
import { kindCount } from './kind-count.js';
import { linksLabelled } from './links-labelled.js';
import { noOverlaps } from './no-overlaps.js';
import { rightKind } from './right-kind.js';
import { termsUnchanged } from './terms-unchanged.js';
import type { GroupId, RequirementType } from './types.js';

/** Every id of the catalogue, by group. Ids live for ever: none is renamed or used again. */
export const CATALOGUE = {
  content: [
    'all-terms-present',
    'terms-unchanged',
    'right-kind',
    'topic-count',
    'link-count',
    'kind-count',
    'short-topics',
    'no-duplicate-topics',
    'supporting-material',
    'note-length',
    'prompts-answered',
    'blanks-filled',
    'starter-rewired',
  ],
  structure: [
    'all-connected',
    'links-per-topic',
    'from-root',
    'sits-under',
    'depth',
    'main-branches',
    'branching',
    'cross-links',
    'no-cycles',
    'anchor-links',
    'forms-cycle',
    'allowed-links',
    'no-parallel-links',
  ],
  propositions: [
    'links-labelled',
    'precise-phrases',
    'arrowed-links',
    'phrase-variety',
    'propositions-present',
    'propositions-absent',
    'like-reference',
  ],
  style: ['kind-style', 'link-style', 'fan-style', 'ink-contrast', 'pale-fills', 'text-size', 'branch-colours'],
  layout: [
    'few-crossings',
    'clear-text',
    'no-overlaps',
    'clear-phrases',
    'short-links',
    'in-sequence',
    'arrangement',
    'fits-paper',
  ],
  making: ['map-details', 'tour', 'group-share', 'on-time'],
} as const satisfies Record<GroupId, readonly string[]>;

const BUILT: readonly RequirementType[] = [
  allTermsPresent,
  termsUnchanged,
  rightKind,
  kindCount,
  allConnected,
  linksLabelled,
  fewCrossings,
  noOverlaps,
];

const byId = new Map(BUILT.map((type) => [type.id, type]));
const groups = new Map(
  Object.entries(CATALOGUE).flatMap(([group, ids]) => ids.map((id) => [id as string, group as GroupId])),
);

export const requirementTypes = (): readonly RequirementType[] => BUILT;
/** The type of an id, or undefined when it is unknown or not built yet. */
export const requirementTypeOf = (id: string): RequirementType | undefined => byId.get(id);
export const groupOf = (id: string): GroupId | undefined => groups.get(id);
