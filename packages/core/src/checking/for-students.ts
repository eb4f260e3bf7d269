import type { Assignment, Requirement } from '../map/types.js';
import { withDefaults } from '../requirements/params.js';
import { requirementTypeOf } from '../requirements/registry.js';
import type { Report, Result } from '../requirements/types.js';

/** Whether a requirement holds answers: then only the server checks it. */
export const holdsAnswers = ({ type }: Pick<Requirement, 'type'>): boolean =>
  requirementTypeOf(type)?.answers !== undefined;

/**
 * An assignment as a student's browser may have it: no reference, no accepted texts of blanks, no wanted propositions.
 * Sentences read as they did.
 */
export function withoutAnswers(assignment: Assignment): Assignment {
  return {
    ...assignment,
    reference: null,
    requirements: assignment.requirements.map((requirement) => {
      const type = requirementTypeOf(requirement.type);
      return type?.answers
        ? { ...requirement, params: type.answers.without(withDefaults(type, requirement.params)) }
        : requirement;
    }),
  };
}

/** A result as a student may read it: evidence that names an answer is left out. Figures and fraction stay. */
export function resultForStudents(result: Result): Result {
  const telling = requirementTypeOf(result.type)?.answers?.telling ?? [];
  const evidence = result.evidence.filter(({ code }) => !telling.includes(code));
  return evidence.length === result.evidence.length ? result : { ...result, evidence };
}

export const reportForStudents = (report: Report): Report => ({
  ...report,
  results: report.results.map(resultForStudents),
});
