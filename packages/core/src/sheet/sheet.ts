import { boolean, listOf, record, text } from '../map/fields.js';
import type { ValueOf } from '../map/fields.js';
import { ASSIGNMENT, REQUIREMENT } from '../map/types.js';
import type { Assignment, TopicMap } from '../map/types.js';

/**
 * The parts of an assignment sheet, each saved by itself: what an assignment is while it is being written. It may be
 * incomplete (no title yet), and it holds requirements that are switched off; its maps are live documents of their own.
 */
const { needs, may } = ASSIGNMENT;
export const SHEET = {
  task: record(
    { title: text(300), focusQuestion: needs.focusQuestion, brief: needs.brief, language: needs.language },
    /** `guidance`: how a ready-made assignment is meant to be used; for the teacher alone */
    { guidance: text(20_000), drawing: may.drawing },
  ),
  legend: record({ styleMode: needs.styleMode, legend: needs.legend }, { looks: may.looks, root: may.root }),
  terms: record({ terms: needs.terms }),
  requirements: record({
    requirements: listOf(record(REQUIREMENT.needs, { ...REQUIREMENT.may, off: boolean }), { most: 200 }),
  }),
  criteria: record({ criteria: needs.criteria }),
  marks: record({}, { marks: may.marks }),
} as const;

export const SHEET_PARTS = Object.keys(SHEET) as SheetPart[];
export type SheetPart = keyof typeof SHEET;
export type Sheet = { [P in SheetPart]: ValueOf<(typeof SHEET)[P]> };
export type SheetRequirement = Sheet['requirements']['requirements'][number];

/** Whether a value that anybody may have sent is what a part of a sheet may hold. */
export const isSheetPart = <P extends SheetPart>(part: P, body: unknown): body is Sheet[P] => SHEET[part].allows(body);

/** The sheet of an assignment that is there already. Fields that nobody here knows go with its task. */
export function sheetOf(assignment: Assignment): Sheet {
  const {
    styleMode,
    legend,
    looks,
    root,
    terms,
    requirements,
    criteria,
    marks,
    starter: _starter,
    reference: _reference,
    ...task
  } = assignment;
  return {
    task,
    legend: { styleMode, legend, ...(looks && { looks }), ...(root !== undefined && { root }) },
    terms: { terms },
    requirements: { requirements },
    criteria: { criteria },
    marks: marks ? { marks } : {},
  };
}

/** What a sheet sets, with its maps; what is switched off is left out. */
export function assignmentOf(
  { task: { guidance: _, ...task }, legend, terms, requirements, criteria, marks }: Sheet,
  maps: { starter: TopicMap | null; reference: TopicMap | null },
): Assignment {
  return {
    ...task,
    ...legend,
    ...terms,
    starter: hasTopics(maps.starter),
    reference: hasTopics(maps.reference),
    requirements: requirements.requirements
      .filter(({ off }) => !off)
      .map(({ off: _off, ...requirement }) => requirement),
    ...criteria,
    ...marks,
  };
}

const hasTopics = (map: TopicMap | null): TopicMap | null => (map && map.topics.length > 0 ? map : null);
