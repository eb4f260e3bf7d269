import type { Wanted } from '../../requirements/propositions/wanted-propositions.js';
import { plural } from '../words.js';
import { normalForm, wordsOf } from '../../words/normal-form.js';
import { WordForms } from '../../words/word-forms.js';
import { finding } from './sheet.js';
import type { Asked, AskedOf, Finding, Rule, Sheet } from './sheet.js';

/** Two requirements that exclude each other. */

const exclude = (one: Sentence, other: Sentence): string =>
  `“${one.sentence}” and “${other.sentence}” exclude each other`;
type Sentence = Pick<Asked, 'sentence'>;

/** Whether a requirement that may be about some kinds only is about this one. */
const isAbout = ({ params: { kinds } }: { params: { kinds?: readonly string[] } }, kind: string | null): boolean =>
  !kinds || (kind !== null && kinds.includes(kind));

/** How many topics of each kind are asked for at least, null standing for none; and by which requirements. */
function askedTopics(sheet: Sheet): { terms: Map<string | null, number>; kinds: Map<string, AskedOf<'kind-count'>> } {
  const all = sheet.of('all-terms-present').filter(({ params }) => params.min === undefined);
  const terms = new Map<string | null, number>();
  for (const term of sheet.assignment.terms) {
    const kind = term.kind ?? null;
    if (!all.some((one) => isAbout(one, kind))) continue;
    terms.set(kind, (terms.get(kind) ?? 0) + 1);
  }
  const kinds = new Map<string, AskedOf<'kind-count'>>();
  for (const one of sheet.of('kind-count')) {
    const known = kinds.get(one.params.kind);
    if (!known || known.params.min < one.params.min) kinds.set(one.params.kind, one);
  }
  return { terms, kinds };
}

/** A cap on topics below the terms asked for, or below the kinds counted. */
export const capTooLow: Rule = (sheet) => {
  const { terms, kinds } = askedTopics(sheet);
  const allTerms = sheet.of('all-terms-present');
  /** when only some terms are asked for, any of them will do; where no kind is counted, that many are needed */
  const someTerms = Math.max(0, ...allTerms.map(({ params }) => params.min ?? 0));
  const ofTerms = (cap: Asked, max: number, wanted: number): Finding[] => {
    const of = plural(wanted, 'term');
    return wanted > max
      ? [finding('cap-below-terms', [cap, ...allTerms], `“${cap.sentence}” leaves no room for the ${of} asked for.`)]
      : [];
  };
  const termsOf = (counts: (kind: string | null) => boolean): number =>
    [...terms].filter(([kind]) => counts(kind)).reduce((sum, [, count]) => sum + count, 0);
  return [
    ...sheet.of('topic-count').flatMap((cap): Finding[] => {
      const { max } = cap.params;
      if (max === undefined) return [];
      const counts = countedBy(cap, sheet);
      const wanted = termsOf(counts);
      const ofSome = ofTerms(cap, max, Math.max(wanted, cap.params.kinds ? 0 : someTerms));
      if (ofSome.length > 0) return ofSome;
      const counted = [...kinds.values()].filter(({ params }) => counts(params.kind));
      const names = new Set<string | null>([...terms.keys(), ...counted.map(({ params }) => params.kind)]);
      const needed = [...names]
        .filter(counts)
        .reduce((sum, kind) => sum + Math.max(terms.get(kind) ?? 0, kinds.get(kind ?? '')?.params.min ?? 0), 0);
      return needed > max
        ? [
            finding(
              'cap-below-kinds',
              [cap, ...counted, ...(wanted > 0 ? allTerms : [])],
              `“${cap.sentence}” leaves no room for the ${needed} topics that the others ask for.`,
            ),
          ]
        : [];
    }),
    ...sheet.of('kind-count').flatMap((cap) => {
      const { max, kind } = cap.params;
      return max === undefined
        ? []
        : ofTerms(
            cap,
            max,
            termsOf((one) => one === kind),
          );
    }),
  ];
};

const countedBy = (cap: AskedOf<'topic-count'>, sheet: Sheet): ((kind: string | null) => boolean) =>
  cap.params.kinds ? (kind) => isAbout(cap, kind) : (kind) => sheet.isStructural(kind);

export const cycleAndNone: Rule = (sheet) =>
  sheet.of('no-cycles').flatMap((none) =>
    sheet
      .of('forms-cycle')
      .filter(({ params }) => params.min >= 2)
      .map((some) =>
        finding('cycle-and-none', [none, some], `${exclude(none, some)}: a circle of arrows cannot be and not be.`),
      ),
  );

export const wantedAndUnwanted: Rule = (sheet) => {
  const { folded } = new WordForms(sheet.assignment.language);
  return sheet.of('propositions-present').flatMap((present) =>
    sheet.of('propositions-absent').flatMap((absent): Finding[] => {
      const both = present.params.propositions.filter((wanted) =>
        absent.params.propositions.some((unwanted) => isForbidden(wanted, unwanted, folded)),
      );
      const min = present.params.min ?? present.params.propositions.length;
      const [first] = both;
      return first && present.params.propositions.length - both.length < min
        ? [
            finding(
              'wanted-and-unwanted',
              [present, absent],
              `“${first.from} → ${first.to}” is both wanted and unwanted.`,
            ),
          ]
        : [];
    }),
  );
};

function isForbidden(wanted: Wanted, unwanted: Wanted, folded: (text: string) => string): boolean {
  const same = (a: string, b: string): boolean => normalForm(a) === normalForm(b);
  const straight = same(wanted.from, unwanted.from) && same(wanted.to, unwanted.to);
  const turned = same(wanted.from, unwanted.to) && same(wanted.to, unwanted.from);
  if (unwanted.direction === 'either' ? !straight && !turned : wanted.direction === 'either' || !straight) return false;
  const wordsIn = (phrase: string): string[] => folded(phrase).split(' ').filter(Boolean);
  const [asked, hated] = [wanted.phrases ?? [], unwanted.phrases ?? []];
  if (hated.length === 0) return true;
  const holds = (phrase: string, words: string): boolean =>
    wordsIn(words).every((word) => wordsIn(phrase).includes(word));
  return asked.length > 0 && asked.every((phrase) => hated.some((words) => holds(phrase, words)));
}

/** Allowed pairs that forbid a link which another requirement asks for. */
export const pairsForbid: Rule = (sheet) =>
  sheet.of('allowed-links').flatMap((allowed) => {
    const pairs = new Set(allowed.params.pairs.map((pair) => JSON.stringify(pair)));
    const may = (from: string, to: string): boolean => pairs.has(JSON.stringify([from, to]));
    const mayEither = (a: string, b: string): boolean => may(a, b) || may(b, a);
    const propositions = sheet.of('propositions-present').filter(({ params: { propositions: wanted, min } }) => {
      const barred = wanted.filter(({ from, to, direction }) => {
        const [a, b] = [sheet.kindOfText(from), sheet.kindOfText(to)];
        return a !== undefined && b !== undefined && !(direction === 'either' ? mayEither(a, b) : may(a, b));
      });
      return wanted.length - barred.length < (min ?? wanted.length);
    });
    const under = sheet
      .of('sits-under')
      .filter(({ params: { kinds, parents, direction } }) =>
        kinds.some(
          (kind) => !parents.some((parent) => (direction === 'in' ? may(parent, kind) : mayEither(kind, parent))),
        ),
      );
    const anchors = sheet.of('anchor-links').filter(({ params: { kind, targets, linkKind: id, count } }) => {
      const linkKind = sheet.assignment.legend.linkKinds.find((one) => one.id === id);
      // Links beside the structure are no concern of the allowed pairs.
      if (!targets || count === 0 || !sheet.isStructural(kind) || linkKind?.structural === false) return false;
      return !targets.some((target) => !sheet.isStructural(target) || mayEither(kind, target));
    });
    return [...propositions, ...under, ...anchors].map((other) =>
      finding(
        'pairs-forbid',
        [allowed, other],
        `“${allowed.sentence}” forbids links that “${other.sentence}” asks for.`,
      ),
    );
  });

/** Short topics, where a given wording is longer. */
export const shortBelowTerms: Rule = (sheet) => {
  const { terms } = sheet.assignment;
  const asking = sheet.of('all-terms-present').filter(({ params }) => params.min === undefined);
  return sheet.of('short-topics').flatMap((short) =>
    asking.flatMap((all): Finding[] => {
      const isLooked = (kind: string | null): boolean => {
        return isAbout(all, kind) && (short.params.kinds ? isAbout(short, kind) : sheet.isStructural(kind));
      };
      const long = terms.filter(
        ({ text, accept = [], kind }) =>
          isLooked(kind ?? null) &&
          Math.min(...[text, ...accept].map((wording) => wordsOf(wording).length)) > short.params.maxWords,
      );
      return long.length > 0
        ? [
            finding(
              'short-below-terms',
              [short, all],
              `“${long[0]!.text}” is a given term and longer than “${short.sentence}” allows.`,
            ),
          ]
        : [];
    }),
  );
};

/** Levels, or children, below what main branches and what crosses between them need. */
export const levelsTooFew: Rule = (sheet) => {
  const needLevel = [
    ...sheet.of('main-branches').filter(({ params }) => (params.min ?? 0) > 0),
    ...sheet.of('cross-links').filter(({ params }) => params.min > 0),
  ];
  const shallow = sheet.of('depth').filter(({ params }) => params.max === 0);
  const narrow = sheet.of('branching').flatMap((branching) =>
    sheet
      .of('main-branches')
      .filter(({ params }) => (params.min ?? 0) > branching.params.maxChildren)
      .map((main) => finding('branches-over-branching', [branching, main], exclude(branching, main) + '.')),
  );
  const few = sheet
    .of('main-branches')
    .filter(({ params }) => params.max !== undefined && params.max < 2)
    .flatMap((main) =>
      sheet
        .of('cross-links')
        .filter(({ params }) => params.min > 0)
        .map((cross) =>
          finding('levels-too-few', [main, cross], `${exclude(main, cross)}: ties run between two main branches.`),
        ),
    );
  return [
    ...shallow.flatMap((depth) =>
      needLevel.map((other) =>
        finding('levels-too-few', [depth, other], `${exclude(depth, other)}: main branches are the first level.`),
      ),
    ),
    ...narrow,
    ...few,
  ];
};
