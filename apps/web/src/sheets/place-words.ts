/** A place in an assignment file, in a teacher's words. */
export function placeWords(path: string): string {
  const [, field = '', index] = /^\$\.(\w+)(?:\[(\d+)\])?/.exec(path) ?? [];
  const name = FIELDS[field];
  if (name === undefined) return path;
  return index === undefined ? name : `${name} ${Number(index) + 1}`;
}

const FIELDS: Readonly<Record<string, string>> = {
  title: 'The title',
  focusQuestion: 'The focus question',
  brief: 'The brief',
  language: 'The language',
  legend: 'The legend',
  terms: 'Term',
  starter: 'The starter map',
  reference: 'The reference map',
  requirements: 'Requirement',
  criteria: 'Criterion',
  marks: 'Marks',
  due: 'The due time',
  opens: 'The time it opens',
  classId: 'The class',
};
