import { isUnfitName } from '../map/plain.js';
import type { Problem } from '../requirements/params.js';

/**
 * What a reader made of a file: what it understood, null where that is nothing, and what it has to say of it, each thing
 * with its place. A reader of a strict format understands all of a file or nothing.
 */
export interface Reading<T> {
  value: T | null;
  messages: readonly Problem[];
}

export const strictly = <T>(value: T, messages: readonly Problem[]): Reading<T> => ({
  value: messages.length > 0 ? null : value,
  messages,
});

/** Why a file was refused: one problem for each place. The message is the first, as a sentence. */
export class FileRefused extends Error {
  override name = 'FileRefused';
  constructor(readonly problems: readonly Problem[]) {
    const [first] = problems;
    super(first ? `${first.path} ${first.reason}` : 'the file was refused');
  }
}

/** What was understood, for whoever can do nothing with less. @throws FileRefused where that is nothing */
export function understood<T>({ value, messages }: Reading<T>): T {
  if (value === null) throw new FileRefused(messages);
  return value;
}

interface SchemaError {
  instancePath: string;
  keyword: string;
  params: Record<string, unknown>;
  message?: string;
}
interface Validator {
  (data: unknown): boolean;
  errors?: SchemaError[] | null;
}

/**
 * What keeps a value from being a file of the format. The format comes first: of another file's many differences, that it
 * is another file is the one worth saying.
 */
export function problemsOf(format: string, validate: Validator, value: unknown): readonly Problem[] {
  const isObject = typeof value === 'object' && value !== null && !Array.isArray(value);
  const named = isObject ? (value as { format?: unknown }).format : undefined;
  if (named !== undefined && named !== format) {
    return [{ path: '$.format', reason: `must be "${format}"` }];
  }
  const foreign = foreignProblems(value);
  if (foreign.length > 0) return foreign;
  return validate(value) ? [] : (validate.errors ?? []).map(problemOf);
}

/** Levels of lists and records in a file, its root the first; an assignment's maps are four levels further down. */
const DEEPEST = 20;

/** What no format allows, wherever it stands: nesting without end, half characters, names with a meaning of their own. */
function foreignProblems(file: unknown): Problem[] {
  const problems: Problem[] = [];
  const look = (value: unknown, path: string, depth: number): void => {
    if (typeof value === 'string' && !value.isWellFormed()) problems.push({ path, reason: 'holds half a character' });
    if (typeof value !== 'object' || value === null) return;
    if (depth > DEEPEST) return void problems.push({ path, reason: `is nested more than ${DEEPEST} levels deep` });
    if (Array.isArray(value)) return value.forEach((one, i) => look(one, `${path}[${i}]`, depth + 1));
    for (const [name, one] of Object.entries(value)) {
      if (isUnfitName(name))
        problems.push({ path, reason: `has a field of the name “${name.toWellFormed()}”, which none may have` });
      else look(one, `${path}.${name}`, depth + 1);
    }
  };
  look(file, '$', 1);
  return problems.slice(0, MOST_PROBLEMS);
}

const MOST_PROBLEMS = 20;

const problemOf = ({ instancePath, keyword, params, message }: SchemaError): Problem => {
  const path = jsonPath(instancePath);
  switch (keyword) {
    case 'required':
      return { path: `${path}.${String(params.missingProperty)}`, reason: 'is missing' };
    case 'enum':
      return { path, reason: `must be one of ${(params.allowedValues as unknown[]).join(', ')}` };
    case 'const':
      return { path, reason: `must be ${JSON.stringify(params.allowedValue)}` };
    case 'type':
      return { path, reason: `must be ${[params.type].flat().join(' or ')}` };
    case 'maxLength':
      return { path, reason: `must be at most ${String(params.limit)} characters long` };
    case 'maxItems':
      return { path, reason: `must have at most ${String(params.limit)} entries` };
    case 'minLength':
      return { path, reason: 'must not be empty' };
    case 'pattern':
      return {
        path,
        reason: /colour|fill|outline|ink/.test(path)
          ? 'must be a colour such as #1f6f63'
          : 'is not written as it must be',
      };
    default:
      return { path, reason: message ?? 'is not as it must be' };
  }
};

/** A JSON Pointer as a JSON path from the file's root, `$`. */
const jsonPath = (pointer: string): string =>
  pointer
    .split('/')
    .slice(1)
    .map((part) => part.replace(/~1/g, '/').replace(/~0/g, '~'))
    .reduce((path, part) => (/^\d+$/.test(part) ? `${path}[${part}]` : `${path}.${part}`), '$');

/** Reads JSON text by a reader of its value; text that is none is refused at `$` with a plain reason. */
export function readJson<T>(text: string, read: (value: unknown) => Reading<T>): Reading<T> {
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\ufeff/, ''));
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    return { value: null, messages: [{ path: '$', reason: 'is not JSON, or the file was cut short' }] };
  }
  return read(value);
}

export const under = (at: string, problems: readonly Problem[]): Problem[] =>
  problems.map(({ path, reason }) => ({ path: path.replace(/^\$/, () => at), reason }));
