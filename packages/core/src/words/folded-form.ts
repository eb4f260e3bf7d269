import { wordsOf } from './normal-form.js';
import { stemmerFor } from './stemmers.js';

/** Normal form with each word stemmed by the Snowball stemmer of the language (BCP 47; its primary subtag counts). */
export function foldedForm(text: string, language: string): string {
  const stem = stemmerFor(language);
  return wordsOf(text).map(stem).join(' ');
}
