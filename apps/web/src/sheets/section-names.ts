/** In the order of thought. */
export const SECTIONS = [
  'task',
  'legend',
  'terms',
  'starter',
  'reference',
  'requirements',
  'criteria',
  'marks',
  'classes',
] as const;
export type SectionId = (typeof SECTIONS)[number];

/** What the sections of a sheet are called; its parts that are saved have the names of theirs. */
export const SECTION_NAMES: Record<SectionId, string> = {
  task: 'Task',
  legend: 'Legend',
  terms: 'Terms',
  starter: 'Starter map',
  reference: 'Reference map',
  requirements: 'Requirements',
  criteria: 'Criteria',
  marks: 'Marks',
  classes: 'Classes, dates',
};
