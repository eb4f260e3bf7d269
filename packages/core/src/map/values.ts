import { ALIGNS, ARROWS, DASHES, LIMITS, ROUTES, SHAPES } from './types.js';

/** What each optional or numeric field of a topic or link may hold. `mend` drops what breaks these. */
type Rule = (value: unknown) => boolean;

const text =
  (most: number): Rule =>
  (value) =>
    typeof value === 'string' && value.length <= most;
const number =
  (least: number, most: number): Rule =>
  (value) =>
    typeof value === 'number' && Number.isFinite(value) && value >= least && value <= most;
const oneOf =
  (values: readonly string[]): Rule =>
  (value) =>
    typeof value === 'string' && values.includes(value);
const boolean: Rule = (value) => typeof value === 'boolean';
const list: Rule = (value) => Array.isArray(value);

export const isColour: Rule = (value) => typeof value === 'string' && /^#[0-9a-f]{6}$/i.test(value);
export const isFill: Rule = (value) => value === 'none' || isColour(value);

export const FAR = 1e6;
export const position = number(-FAR, FAR);
export const length = number(1, 20000);

export const TOPIC_FIELDS: Record<string, Rule> = {
  minWidth: length,
  minHeight: length,
  shape: oneOf(SHAPES),
  fill: isFill,
  outline: isColour,
  ink: isColour,
  fontSize: number(4, 200),
  bold: boolean,
  italic: boolean,
  align: oneOf(ALIGNS),
  z: number(-FAR, FAR),
  note: text(LIMITS.note),
  source: text(LIMITS.note),
  weblinks: list,
  pictures: list,
  files: list,
  marks: list,
  sequence: number(-1e12, 1e12),
  when: text(LIMITS.text),
  origin: text(LIMITS.text),
  toComplete: boolean,
  folded: boolean,
  by: text(LIMITS.text),
};

export const LINK_FIELDS: Record<string, Rule> = {
  route: oneOf(ROUTES),
  bend: number(-1, 1),
  phraseAt: number(0, 1),
  colour: isColour,
  width: number(0.1, 100),
  dash: oneOf(DASHES),
  arrow: oneOf(ARROWS),
  z: number(-FAR, FAR),
  origin: text(LIMITS.text),
  by: text(LIMITS.text),
};
