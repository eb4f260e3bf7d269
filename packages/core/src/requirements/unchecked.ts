/** What is said of a requirement that no type's own check could speak of, by code. */
export const UNCHECKED: Readonly<Record<string, string>> = {
  unknownType: 'This kind of requirement cannot be checked yet.',
  notYet: 'Looked at as soon as it is saved.',
  outOfTime: 'This map is too tangled to check in time. Your teacher will look at it.',
  brokeOff: 'This could not be checked. Your teacher will look at it.',
};
