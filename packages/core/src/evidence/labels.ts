/** What is written beside what is drawn for a requirement, by code: ICU messages in English. */
export const LABELS = {
  level: 'level {level}',
  branch: '{text}',
  part: 'part {part}',
  circle: 'circle {circle}',
  paper: '{name} at {point} point',
} as const;

/** A code of those, and what it is about. */
export interface Label {
  code: keyof typeof LABELS;
  data: Readonly<Record<string, string | number>>;
}
