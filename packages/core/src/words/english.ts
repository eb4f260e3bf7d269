import nlp from 'compromise/two';

/** The library that reads English. In a browser it comes with what needs it. */
export const english = (): typeof nlp => nlp;
