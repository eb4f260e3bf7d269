import { slack } from '../map/terms.js';
import { alignmentDistance } from '../words/edit-distance.js';
import { isBlank } from '../words/normal-form.js';
import { WordForms } from '../words/word-forms.js';

/** Ideas that say the same, each in the words of those who sent them. */
export interface Heap {
  id: string;
  texts: readonly string[];
}

/** An idea as it is kept: without blanks around and more than one between its words. */
export const asIdea = (typed: string): string => typed.trim().replace(/\s+/g, ' ');

/**
 * The heap that an idea falls into, by the matching of terms: equal normal form, else equal folded form, else near, where no
 * other heap is meant by those very words; null where it is new. Of several the first.
 * @param language BCP 47
 */
export function heapFor(text: string, heaps: readonly Heap[], language: string): string | null {
  if (isBlank(text)) return null;
  const words = new WordForms(language);
  const [normal, folded] = [words.normal(text), words.folded(text)];
  const most = slack(normal);
  const first = [...normal][0];
  const isNear = (other: string): boolean =>
    [...words.normal(other)][0] === first && alignmentDistance(normal, words.normal(other), most) <= most;
  const passes: ((other: string) => boolean)[] = [
    (other) => words.normal(other) === normal,
    (other) => words.folded(other) === folded,
    ...(most > 0 ? [isNear] : []),
  ];
  for (const fits of passes) {
    const found = heaps.find(({ texts }) => texts.some(fits));
    if (found) return found.id;
  }
  return null;
}

/**
 * A heap taken apart: by what is alike, where it was laid together by hand; where all of it is alike, by its very words.
 * @param texts in the order in which they came in
 * @returns the texts of each part, the first with the first text
 */
export function partsOf(texts: readonly string[], language: string): string[][] {
  const words = new WordForms(language);
  const sorted = (fits: (text: string, parts: readonly Heap[]) => string | null): string[][] => {
    const parts: { id: string; texts: string[] }[] = [];
    texts.forEach((text, i) => {
      const id = fits(text, parts);
      const part = parts.find((one) => one.id === id);
      if (part) part.texts.push(text);
      else parts.push({ id: String(i), texts: [text] });
    });
    return parts.map((part) => part.texts);
  };
  const alike = sorted((text, parts) => heapFor(text, parts, language));
  if (alike.length > 1) return alike;
  return sorted((text, parts) => parts.find((part) => words.normal(part.texts[0]!) === words.normal(text))?.id ?? null);
}
