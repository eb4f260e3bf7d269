import snowball from 'snowball-stemmers';

/** BCP 47 primary subtags and the Snowball algorithm of each; "english" is Porter 2. */
const ALGORITHMS: Record<string, string> = {
  ar: 'arabic', hy: 'armenian', eu: 'basque', ca: 'catalan', cs: 'czech', da: 'danish', nl: 'dutch', en: 'english',
  fi: 'finnish', fr: 'french', de: 'german', hu: 'hungarian', it: 'italian', ga: 'irish', nb: 'norwegian',
  nn: 'norwegian', no: 'norwegian', pt: 'portuguese', ro: 'romanian', ru: 'russian', es: 'spanish', sl: 'slovene',
  sv: 'swedish', ta: 'tamil', tr: 'turkish',
};

/** The Snowball stemmer of a language; a language Snowball lacks leaves words as they are. */
export function stemmerFor(language: string): (word: string) => string {
  const algorithm = ALGORITHMS[language.toLowerCase().split(/[-_]/)[0] ?? ''];
  if (!algorithm) return (word) => word;
  const stemmer = snowball.newStemmer(algorithm);
  return (word) => stemmer.stem(word);
}
