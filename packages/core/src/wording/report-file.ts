import type { Assignment } from '../map/types.js';
import type { Evidence, Report, Result } from '../requirements/types.js';
import { english } from './catalogue.js';
import type { Catalogue } from './catalogue.js';
import { requirementSentence, say } from './say.js';

type Worded<T> = Omit<T, 'words'> & { message: string };

/** A report as a file holds it: with sentences beside the codes. */
export interface ReportFile extends Omit<Report, 'version' | 'results'> {
  format: 'ichnograph-report';
  version: 1;
  results: (Omit<Worded<Result>, 'evidence'> & { sentence: string; evidence: Worded<Evidence>[] })[];
}

/** @param assignment the one the report was made by */
export function reportFile(report: Report, assignment: Assignment, catalogue: Catalogue = english): ReportFile {
  const requirements = new Map(assignment.requirements.map((requirement) => [requirement.id, requirement]));
  const worded = <T extends Result | Evidence>(type: string, one: T): Worded<T> => {
    const { words: _words, ...said } = one;
    return { ...said, message: say(type, one, catalogue) };
  };
  return {
    format: 'ichnograph-report',
    version: 1,
    results: report.results.map((result) => ({
      ...worded(result.type, result),
      sentence: requirementSentence(
        requirements.get(result.id) ?? { type: result.type, params: {} },
        assignment,
        catalogue,
      ),
      evidence: result.evidence.map((piece) => worded(result.type, piece)),
    })),
    earned: report.earned,
    outOf: report.outOf,
  };
}
