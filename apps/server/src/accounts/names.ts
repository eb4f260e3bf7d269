/**
 * A sign-in name as it is compared, counted and stored: one form of what a person may type. Whatever is not of the form
 * of a name after that is nobody's.
 */
export const normalName = (typed: string): string => typed.normalize('NFKC').trim().toLowerCase();
