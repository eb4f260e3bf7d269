import { storedReport as validate } from '#validators';
import { emptyMap } from '../map/types.js';
import type { Assignment, TopicMap } from '../map/types.js';
import type { Report } from '../requirements/types.js';

/**
 * What was stored is opened, never refused: it was taken once by the rules of its day, and a rule that came later is no
 * reason to lose it. A body of an earlier version goes through the steps that lead to this one.
 */
type Body = Record<string, unknown>;
type Step = (body: Body) => Body;

/** From version i + 1 to the next. A step is never changed once it has shipped. */
const MAP_STEPS: readonly Step[] = [];
const ASSIGNMENT_STEPS: readonly Step[] = [];
const REPORT_STEPS: readonly Step[] = [withoutSentences];

function upgraded(body: unknown, steps: readonly Step[], what: string): Body {
  if (typeof body !== 'object' || body === null) throw new Error(`a stored ${what} is no object`);
  const { version } = body as { version?: unknown };
  const from = typeof version === 'number' ? version : 1;
  if (from > steps.length + 1)
    throw new Error(`a stored ${what} is of version ${from}, which this program does not know`);
  return steps.slice(from - 1).reduce((before, step) => step(before), body as Body);
}

/** A map as it was frozen. */
export function openStoredMap(body: unknown): TopicMap {
  const map = upgraded(body, MAP_STEPS, 'map') as unknown as TopicMap;
  return {
    ...emptyMap(),
    ...map,
    wordBank: (map.wordBank ?? []).map((entry, i) => ({ ...entry, id: entry.id ?? `bank-${i + 1}` })),
  };
}

/** An assignment as a revision holds it, its maps included. */
export function openStoredAssignment(body: unknown): Assignment {
  const { starter, reference, ...rest } = upgraded(body, ASSIGNMENT_STEPS, 'assignment') as unknown as Assignment;
  return { ...rest, starter: starter && openStoredMap(starter), reference: reference && openStoredMap(reference) };
}

/** A report as a submission holds it. @throws when, after its steps, it is no report: then the data is damaged */
export function openStoredReport(body: unknown): Report {
  const report = upgraded(body, REPORT_STEPS, 'report');
  if (validate(report)) return report as unknown as Report;
  const [first] = validate.errors ?? [];
  throw new Error(`a stored report is damaged: ${first?.instancePath ?? ''} ${first?.message ?? ''}`.trimEnd());
}

/** Version 1 kept sentences. They are shown as they were written: the data to make them anew was not always kept. */
function withoutSentences({ format: _format, results, ...rest }: Body): Body {
  const said = ({ message, sentence: _sentence, ...one }: Body): Body => ({
    code: 'asWritten',
    ...one,
    words: message,
  });
  return {
    ...rest,
    version: 2,
    results: (results as Body[]).map((result) => ({
      ...said(result),
      evidence: (result.evidence as Body[]).map(said),
    })),
  };
}
