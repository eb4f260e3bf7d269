import same from 'fast-deep-equal';
import { writeAssignment } from '../formats/assignment-file.js';
import type { Assignment } from '../map/types.js';

/** What is new in a revision, for those who work on it: ids and texts, from which sentences are made at the edge. */
export interface News {
  requirements: { added: string[]; changed: string[]; removed: number };
  terms: { added: string[]; removed: string[] };
  /** parts that read otherwise */
  parts: ('legend' | 'starter' | 'criteria' | 'marks')[];
}

/** Whether two assignments are the same, in whatever order their fields were written. */
export const sameAssignment = (one: Assignment, other: Assignment): boolean =>
  same(writeAssignment(one), writeAssignment(other));

export function newsOf(old: Assignment, next: Assignment): News {
  const [before, after] = [withoutWording(old), withoutWording(next)];
  const texts = ({ terms }: Assignment): string[] => terms.map(({ text }) => text);
  const parts = (['legend', 'starter', 'criteria', 'marks'] as const).filter(
    (part) => !same(before[part] ?? null, after[part] ?? null),
  );
  const known = new Map(before.requirements.map((one) => [one.id, one]));
  return {
    requirements: {
      added: after.requirements.filter(({ id }) => !known.has(id)).map(({ id }) => id),
      changed: after.requirements
        .filter((one) => known.has(one.id) && !same(known.get(one.id), one))
        .map(({ id }) => id),
      removed: before.requirements.filter(({ id }) => !after.requirements.some((one) => one.id === id)).length,
    },
    terms: {
      added: texts(after).filter((text) => !texts(before).includes(text)),
      removed: texts(before).filter((text) => !texts(after).includes(text)),
    },
    parts,
  };
}

/** An assignment without the words that no check reads: a typo in them is mended at once, and needs no new revision. */
function withoutWording(assignment: Assignment): Assignment {
  const { legend, requirements, criteria } = assignment;
  return {
    ...assignment,
    title: '',
    focusQuestion: '',
    brief: '',
    legend: {
      ...legend,
      topicKinds: legend.topicKinds.map((kind) => ({ ...kind, name: '', purpose: '' })),
      linkKinds: legend.linkKinds.map((kind) => ({ ...kind, name: '' })),
    },
    requirements: requirements.map(({ hint: _, ...requirement }) => requirement),
    criteria: criteria.map((criterion) => ({
      ...criterion,
      name: '',
      levels: criterion.levels.map(({ points }) => ({ name: '', points, description: '' })),
    })),
  };
}

/** Whether two states of an assignment differ in nothing but words that no check reads. */
export const differsInWordingOnly = (old: Assignment, next: Assignment): boolean =>
  sameAssignment(withoutWording(old), withoutWording(next));
