import { ALIGNS, ARROWS, DASHES, LIMITS, ROUTES, SHAPES } from './types.js';

/**
 * What each field may hold, as the map file's schema has it. `mend` drops what breaks these, so that whatever a client
 * writes into a live map, what is frozen of it is a map that every reader takes.
 */
export type Rule = (value: unknown) => boolean;
export type Rules = Readonly<Record<string, Rule>>;

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
const listOf =
  (rule: Rule): Rule =>
  (value) =>
    Array.isArray(value) && value.every(rule);
const record =
  (needed: Rules, optional: Rules = {}): Rule =>
  (value) =>
    typeof value === 'object' && value !== null && holds(value, needed) && holds(value, optional, true);

/** @param mayLack whether a field that is not there holds too */
export const holds = (item: object, rules: Rules, mayLack = false): boolean =>
  Object.entries(rules).every(([name, rule]) => {
    const value = Object.hasOwn(item, name) ? (item as Record<string, unknown>)[name] : undefined;
    return (mayLack && value === undefined) || rule(value);
  });

export const isColour: Rule = (value) => typeof value === 'string' && /^#[0-9a-f]{6}$/i.test(value);
export const isFill: Rule = (value) => value === 'none' || isColour(value);

const SHORT = 200;
export const isId: Rule = (value) => value !== '' && text(SHORT)(value);
export const isKind: Rule = (value) => value === null || text(SHORT)(value);

export const FAR = 1e6;
export const position = number(-FAR, FAR);
export const LONGEST = 20_000;
export const length = number(Number.MIN_VALUE, LONGEST);

export const TOPIC_FIELDS: Rules = {
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
  weblinks: listOf(record({ url: text(2000) }, { title: text(LIMITS.text) })),
  pictures: listOf(record({ src: text(SHORT) }, { alt: text(2000) })),
  files: listOf(record({ src: text(SHORT) }, { name: text(LIMITS.text) })),
  marks: listOf(text(100)),
  sequence: number(-Infinity, Infinity),
  when: text(LIMITS.text),
  origin: text(SHORT),
  toComplete: boolean,
  folded: boolean,
  by: text(LIMITS.text),
};

export const LINK_FIELDS: Rules = {
  route: oneOf(ROUTES),
  bend: number(-1, 1),
  phraseAt: number(0, 1),
  colour: isColour,
  width: number(0.1, 100),
  dash: oneOf(DASHES),
  arrow: oneOf(ARROWS),
  z: number(-FAR, FAR),
  origin: text(SHORT),
  by: text(LIMITS.text),
};

/** The lists beside topics and links: without what they need, their members say nothing and are dropped whole. */
export const PICTURE_NEEDS: Rules = {
  x: position,
  y: position,
  width: length,
  height: length,
  src: text(SHORT),
  alt: text(2000),
};
export const PICTURE_FIELDS: Rules = { z: number(-FAR, FAR) };
export const REGION_NEEDS: Rules = { topics: listOf(isId), title: text(LIMITS.text), fill: isFill };
export const GROUP_NEEDS: Rules = { topics: listOf(isId) };
export const TOUR_NEEDS: Rules = {
  title: text(LIMITS.text),
  stops: listOf(record({ topic: isId, words: text(5000) })),
};
export const BANK_NEEDS: Rules = { text: text(LIMITS.text) };
export const BANK_FIELDS: Rules = { by: text(LIMITS.text), note: text(2000) };

/** How much room the title block's fields have, in characters. */
export const TITLE_ROOM = { title: LIMITS.text, author: LIMITS.text, focusQuestion: 1000 } as const;
