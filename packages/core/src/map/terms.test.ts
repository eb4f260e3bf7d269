import fc from 'fast-check';
import { topic } from '../testing/make.js';
import { alignmentDistance } from '../words/edit-distance.js';
import { WordForms } from '../words/word-forms.js';
import { matchTerms, matchText } from './terms.js';

const texts = (...list: string[]) => list.map((text, i) => topic(`t${i}`, { text }));
const found = (terms: (string | { text: string; accept: string[] })[], topics: string[], language = 'en') =>
  matchTerms(
    terms.map((term) => (typeof term === 'string' ? { text: term } : term)),
    texts(...topics),
    language,
  ).map((match) => match && `${match.topic.text}${match.near ? ' (near)' : ''}`);

test.each<[string, (string | { text: string; accept: string[] })[], string[], (string | null)[]]>([
  ['the same words', ['Arch'], ['arch'], ['arch']],
  ['another ending', ['Dead load'], ['dead loads'], ['dead loads']],
  ['another wording', [{ text: 'Foundation', accept: ['footing'] }], ['footings'], ['footings']],
  ['a misspelling', ['Abutment'], ['Abuttment'], ['Abuttment (near)']],
  ['two misspellings in a long word', ['Expansion joint'], ['Expanson jont'], ['Expanson jont (near)']],
  ['none in a short word', ['Beam'], ['Bean'], [null]],
  ['another first letter', ['Keystone'], ['Geystone'], [null]],
  ['nothing blank', ['Arch'], ['  '], [null]],
  ['a topic serves one term', ['Arch', 'arch'], ['Arch'], ['Arch', null]],
  ['equal words before endings, whatever the order of terms', ['Loads', 'Load'], ['load'], [null, 'load']],
  ['not near to what is another term’s wording', ['Tension', 'Tensing'], ['tensing'], [null, 'tensing']],
  ['in file order', ['Pier'], ['pier', 'Pier'], ['pier']],
])('%s', (_, terms, topics, wanted) => expect(found(terms, topics)).toEqual(wanted));

test.each([
  ['Straße', 'strasse', 'de', 'strasse'],
  ['Straße', 'strasse', 'en', null],
  ['ISI', 'ısı', 'tr', null],
  ['Isı', 'ısı', 'tr', null],
  ['Brücke', 'Brucke', 'de', 'Brucke'],
  ['橋', '橋', 'ja', '橋'],
  ['גשר', 'גשר', 'he', 'גשר'],
  ['crème', 'crème', 'fr', 'crème'],
])('other scripts: %s and %s in %s', (term, text, language, wanted) =>
  expect(found([term], [text], language)).toEqual([wanted]),
);

test('a text named elsewhere brings the other wordings of the first term of its form', () => {
  const terms = [
    { text: 'Foundation', accept: ['footing'] },
    { text: 'foundation', accept: ['base'] },
  ];
  expect(matchText('FOUNDATION', terms, texts('Footing'), 'en')?.topic.id).toBe('t0');
  expect(matchText('FOUNDATION', terms, texts('Base'), 'en')).toBeNull();
});

/** The three passes as their rule says them, with no index and nothing remembered. */
function plainly(terms: { text: string; accept: string[] }[], topics: string[]): (string | null)[] {
  const words = new WordForms('en');
  const wordings = terms.map(({ text, accept }) => [text, ...accept]);
  const taken = new Set<number>();
  const found: (string | null)[] = terms.map(() => null);
  const slack = (form: string): number => ([...form].length < 5 ? 0 : [...form].length < 12 ? 1 : 2);
  const passes: ((wording: string, topic: string, term: number) => boolean)[] = [
    (wording, topic) => words.normal(wording) === words.normal(topic),
    (wording, topic) => words.folded(wording) === words.folded(topic),
    (wording, topic, term) => {
      const [a, b] = [words.normal(wording), words.normal(topic)];
      const anothers = wordings.some(
        (list, other) => other !== term && list.some((one) => words.folded(one) === words.folded(topic)),
      );
      return [...a][0] === [...b][0] && alignmentDistance(a, b, 9) <= slack(a) && !anothers;
    },
  ];
  for (const agrees of passes) {
    wordings.forEach((list, term) => {
      if (found[term] !== null) return;
      for (const wording of list) {
        const at = topics.findIndex((topic, i) => !taken.has(i) && topic.trim() !== '' && agrees(wording, topic, term));
        if (at < 0) continue;
        taken.add(at);
        found[term] = `t${at}`;
        return;
      }
    });
  }
  return found;
}

test('whatever the terms and the topics, the passes find what their rule says', () => {
  const wording = fc.constantFrom(
    ...['arch', 'Arches', 'arhc', 'arcs', 'load', 'loads', 'Loads!', 'lode', 'dead load', 'dead loads', 'dead laod'],
    ...[
      'tension',
      'tensions',
      'tensoin',
      'torsion',
      'extension',
      'expansion joint',
      'expansoin jiont',
      'pier',
      'piers',
    ],
  );
  const term = fc.record({ text: wording, accept: fc.array(wording, { maxLength: 2 }) });
  fc.assert(
    fc.property(
      fc.array(term, { maxLength: 6 }),
      fc.array(fc.oneof(wording, fc.constantFrom(' ', 'bridge')), { maxLength: 8 }),
      (terms, topics) => {
        const matches = matchTerms(terms, texts(...topics), 'en');
        expect(matches.map((match) => match?.topic.id ?? null)).toEqual(plainly(terms, topics));
      },
    ),
    { numRuns: 1500 },
  );
});
