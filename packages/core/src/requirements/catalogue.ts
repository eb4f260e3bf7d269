import type { GroupId } from './types.js';

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

/** The id of a requirement type. What stands beside the types is typed by it, so that nothing is forgotten for one. */
export type RequirementId = (typeof CATALOGUE)[GroupId][number];
