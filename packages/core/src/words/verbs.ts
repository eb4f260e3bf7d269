import nlp from 'compromise';

/** Verbs are looked for in English only. */
export const knowsVerbsOf = (language: string): boolean => language.toLowerCase().split(/[-_]/)[0] === 'en';

/** Whether a linking phrase holds a verb. It is read as the middle of a sentence, which is what it is. */
export const holdsVerb = (phrase: string): boolean => {
  const read = nlp(`it ${phrase} them`);
  return read.has('#Verb') || nlp(phrase).has('#Verb');
};
