import type { ReasonCode } from '../map/reasons.js';
import { LOOK_AGAIN } from '../advice/look-again.js';
import { SAFE_HELP } from '../advice/safe-help.js';
import type { SafeHelp } from '../advice/safe-help.js';
import type { LookAgain } from '../advice/look-again.js';
import { LABELS } from '../evidence/labels.js';
import type { Label } from '../evidence/labels.js';
import { OUTLINE_MESSAGES } from '../outline/outline.js';
import type { OutlineMessage } from '../outline/outline.js';
import { REASONS } from '../map/reasons.js';
import { requirementTypeOf } from '../requirements/registry.js';
import { UNCHECKED } from '../requirements/unchecked.js';

/** The messages of one language, by the codes that checks and commands answer with. */
export interface Catalogue {
  /** a BCP 47 tag: which words count as one and as many, how lists are joined */
  locale: string;
  /** the sentence of a requirement type */
  sentence: (type: string) => string | undefined;
  /** a summary or a piece of evidence of a requirement type */
  message: (type: string, code: string) => string | undefined;
  /** what is written beside what is drawn for a requirement */
  label: (code: Label['code']) => string;
  /** what is said of a line of an outline */
  outline: (code: OutlineMessage['code']) => string;
  /** what is worth another look before a map is handed in */
  lookAgain: (code: LookAgain['code']) => string;
  /** what is offered to be done for a student */
  safeHelp: (code: SafeHelp['code']) => string;
  /** why a command will not do it */
  reason: (code: ReasonCode) => string;
}

/** English stands beside what says it: a type is one object. Another language is a catalogue of its own. */
export const english: Catalogue = {
  locale: 'en-GB',
  sentence: (type) => requirementTypeOf(type)?.sentence,
  message: (type, code) => requirementTypeOf(type)?.messages[code] ?? UNCHECKED[code],
  label: (code) => LABELS[code],
  outline: (code) => OUTLINE_MESSAGES[code],
  lookAgain: (code) => LOOK_AGAIN[code],
  safeHelp: (code) => SAFE_HELP[code],
  reason: (code) => REASONS[code],
};
