import type { LookAgain } from '../advice/look-again.js';
import type { SafeHelp } from '../advice/safe-help.js';
import type { Label } from '../evidence/labels.js';
import type { OutlineMessage } from '../outline/outline.js';
import type { Refusal } from '../map/changes.js';
import type { Assignment, Requirement } from '../map/types.js';
import { withDefaults } from '../requirements/params.js';
import { requirementTypeOf } from '../requirements/registry.js';
import type { Data, Said } from '../requirements/types.js';
import { english } from './catalogue.js';
import type { Catalogue } from './catalogue.js';
import { formatted, formattedParts } from './icu.js';
import type { Arguments } from './icu.js';

/** The sentence for something a requirement type says: a summary, or a piece of evidence. @throws for an unknown code */
export function say(type: string, { code, data = {}, words }: Said, catalogue: Catalogue = english): string {
  if (words !== undefined) return words;
  const message = catalogue.message(type, code);
  if (message === undefined) throw new Error(`${type} has no message “${code}”`);
  return formatted(message, catalogue.locale, argumentsOf(type, data, catalogue));
}

function argumentsOf(type: string, data: Data, catalogue: Catalogue): Arguments {
  const listed = (members: readonly (string | Said)[], joined: 'conjunction' | 'disjunction'): string =>
    new Intl.ListFormat(catalogue.locale, { type: joined }).format(
      members.map((member) => (typeof member === 'string' ? member : say(type, member, catalogue))),
    );
  return Object.fromEntries(
    Object.entries(data).map(([name, value]) => {
      if (typeof value !== 'object') return [name, value];
      return [name, 'anyOf' in value ? listed(value.anyOf, 'disjunction') : listed(value, 'conjunction')];
    }),
  );
}

/** A sentence in pieces: plain words, or a blank that shows what a parameter holds. */
export type SentencePart = string | { param: string; text: string };

const isPlain = (value: unknown): value is string | number | boolean =>
  ['string', 'number', 'boolean'].includes(typeof value);

/** A requirement as a person reads it. Of a type that is not known, its id. */
export function requirementParts(
  { type: id, params }: Pick<Requirement, 'type' | 'params'>,
  assignment: Assignment,
  catalogue: Catalogue = english,
): SentencePart[] {
  const [type, message] = [requirementTypeOf(id), catalogue.sentence(id)];
  if (!type || message === undefined) return [id];
  const whole = withDefaults(type, params);
  const names = Object.keys(type.params);
  // Lists say nothing as they are: a type that speaks of one shows it in its own way.
  const plain = Object.fromEntries(names.map((name) => [name, isPlain(whole[name]) ? whole[name] : undefined]));
  // A range of one number reads as that number.
  const exact = whole.min !== undefined && whole.min === whole.max ? 'yes' : 'no';
  const blanks = Object.fromEntries(
    names.map((param) => [`b-${param}`, (text: string): SentencePart & object => ({ param, text })]),
  );
  return formattedParts(
    message,
    catalogue.locale,
    argumentsOf(id, { exact, ...plain, ...type.shown?.(whole, assignment) }, catalogue),
    blanks,
  );
}

/** The same as one text. */
export const requirementSentence = (
  requirement: Pick<Requirement, 'type' | 'params'>,
  assignment: Assignment,
  catalogue: Catalogue = english,
): string =>
  requirementParts(requirement, assignment, catalogue)
    .map((part) => (typeof part === 'string' ? part : part.text))
    .join('');

/** What is written beside what is drawn for a requirement. */
export const labelOf = ({ code, data }: Label, catalogue: Catalogue = english): string =>
  formatted(catalogue.label(code), catalogue.locale, data);

/** What is worth another look, as a sentence. */
export const lookAgainSentence = ({ code, data }: LookAgain, catalogue: Catalogue = english): string =>
  formatted(catalogue.lookAgain(code), catalogue.locale, data);

/** What is offered to be done, as a button says it. */
export const safeHelpWords = ({ code, data }: SafeHelp, catalogue: Catalogue = english): string =>
  formatted(catalogue.safeHelp(code), catalogue.locale, data);

/** What is said of a line of an outline. */
export const outlineSentence = ({ code, data }: OutlineMessage, catalogue: Catalogue = english): string =>
  formatted(catalogue.outline(code), catalogue.locale, data);

/** Why a command will not do what was asked. */
export const reasonOf = ({ code, data = {} }: Refusal, catalogue: Catalogue = english): string =>
  formatted(catalogue.reason(code), catalogue.locale, data);
