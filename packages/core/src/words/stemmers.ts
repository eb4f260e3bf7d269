import snowball from 'snowball-stemmers';

/** BCP 47 primary subtags and the Snowball algorithm of each; "english" is Porter 2. */
const ALGORITHMS: Record<string, string> = {
  ar: 'arabic',
  hy: 'armenian',
  eu: 'basque',
  ca: 'catalan',
  cs: 'czech',
  da: 'danish',
  nl: 'dutch',
  en: 'english',
  fi: 'finnish',
  fr: 'french',
  de: 'german',
  hu: 'hungarian',
  it: 'italian',
  ga: 'irish',
  nb: 'norwegian',
  nn: 'norwegian',
  no: 'norwegian',
  pt: 'portuguese',
  ro: 'romanian',
  ru: 'russian',
  es: 'spanish',
  sl: 'slovene',
  sv: 'swedish',
  ta: 'tamil',
  tr: 'turkish',
};

const asItIs = (word: string): string => word;
/** Stemmers made so far: constants of their languages, costly to make. */
const made = new Map<string, (word: string) => string>();

/** The Snowball stemmer of a language; a language Snowball lacks leaves words as they are. */
export function stemmerFor(language: string): (word: string) => string {
  const algorithm = ALGORITHMS[language.toLowerCase().split(/[-_]/)[0] ?? ''];
  if (!algorithm) return asItIs;
  const known = made.get(algorithm);
  if (known) return known;
  const stemmer = snowball.newStemmer(algorithm);
  const stem = (word: string): string => stemmer.stem(word);
  made.set(algorithm, stem);
  return stem;
}
