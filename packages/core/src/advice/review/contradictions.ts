import type { Wanted } from '../../requirements/propositions/wanted-propositions.js';
import { plural } from '../../requirements/words.js';
import { normalForm, wordsOf } from '../../words/normal-form.js';
import { WordForms } from '../../words/word-forms.js';
import { finding } from './sheet.js';
import type { Asked, Finding, Rule, Sheet } from './sheet.js';

/** Two requirements that exclude each other. */

const exclude = (one: Asked, other: Asked): string => `“${one.sentence}” and “${other.sentence}” exclude each other`;
const kindsIn = ({ params }: Asked): string[] | undefined => params.kinds as string[] | undefined;

/** How many topics of each kind are asked for at least, null standing for none; and by which requirements. */
function askedTopics(sheet: Sheet): { terms: Map<string | null, number>; kinds: Map<string, Asked> } {
  const all = sheet.of('all-terms-present').filter(({ params }) => params.min === undefined);
  const terms = new Map<string | null, number>();
  for (const term of sheet.assignment.terms) {
    const kind = term.kind ?? null;
    if (!all.some((one) => !kindsIn(one) || (kind !== null && kindsIn(one)!.includes(kind)))) continue;
    terms.set(kind, (terms.get(kind) ?? 0) + 1);
  }
  const kinds = new Map<string, Asked>();
  for (const one of sheet.of('kind-count')) {
    const known = kinds.get(one.params.kind as string);
    if (!known || (known.params.min as number) < (one.params.min as number)) kinds.set(one.params.kind as string, one);
  }
  return { terms, kinds };
}

/** A cap on topics below the terms asked for, or below the kinds counted. */
export const capTooLow: Rule = (sheet) => {
  const { terms, kinds } = askedTopics(sheet);
  const allTerms = sheet.of('all-terms-present');
  const caps = [
    ...sheet.of('topic-count').map((cap) => ({ cap, counts: countedBy(cap, sheet) })),
    ...sheet.of('kind-count').map((cap) => ({ cap, counts: (kind: string | null) => kind === cap.params.kind })),
  ];
  return caps.flatMap(({ cap, counts }): Finding[] => {
    const max = cap.params.max as number | undefined;
    if (max === undefined) return [];
    const wanted = [...terms].filter(([kind]) => counts(kind)).reduce((sum, [, count]) => sum + count, 0);
    // When only some terms are asked for, any of them will do; where no kind is counted, that many are needed.
    const some = Math.max(
      0,
      ...allTerms
        .filter(({ params }) => params.min !== undefined && cap.type.id === 'topic-count' && !kindsIn(cap))
        .map(({ params }) => params.min as number),
    );
    if (Math.max(wanted, some) > max) {
      const of = plural(Math.max(wanted, some), 'term');
      return [
        finding('cap-below-terms', [cap, ...allTerms], `“${cap.sentence}” leaves no room for the ${of} asked for.`),
      ];
    }
    if (cap.type.id === 'kind-count') return [];
    const counted = [...kinds.values()].filter(({ params }) => counts(params.kind as string));
    const names = new Set<string | null>([...terms.keys(), ...counted.map(({ params }) => params.kind as string)]);
    const needed = [...names]
      .filter(counts)
      .reduce(
        (sum, kind) =>
          sum + Math.max(terms.get(kind) ?? 0, (kinds.get(kind ?? '')?.params.min as number | undefined) ?? 0),
        0,
      );
    return needed > max
      ? [
          finding(
            'cap-below-kinds',
            [cap, ...counted, ...(wanted > 0 ? allTerms : [])],
            `“${cap.sentence}” leaves no room for the ${needed} topics that the others ask for.`,
          ),
        ]
      : [];
  });
};

const countedBy = (cap: Asked, sheet: Sheet): ((kind: string | null) => boolean) => {
  const kinds = kindsIn(cap);
  return (kind) => (kinds ? kind !== null && kinds.includes(kind) : sheet.isStructural(kind));
};

export const cycleAndNone: Rule = (sheet) =>
  sheet.of('no-cycles').flatMap((none) =>
    sheet
      .of('forms-cycle')
      .filter(({ params }) => (params.min as number) >= 2)
      .map((some) =>
        finding('cycle-and-none', [none, some], `${exclude(none, some)}: a circle of arrows cannot be and not be.`),
      ),
  );

export const wantedAndUnwanted: Rule = (sheet) => {
  const { folded } = new WordForms(sheet.assignment.language);
  const propositionsOf = ({ params }: Asked): Wanted[] => params.propositions as Wanted[];
  return sheet.of('propositions-present').flatMap((present) =>
    sheet.of('propositions-absent').flatMap((absent): Finding[] => {
      const both = propositionsOf(present).filter((wanted) =>
        propositionsOf(absent).some((unwanted) => isForbidden(wanted, unwanted, folded)),
      );
      const min = (present.params.min as number | undefined) ?? propositionsOf(present).length;
      const [first] = both;
      return first && propositionsOf(present).length - both.length < min
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
    const pairs = new Set((allowed.params.pairs as [string, string][]).map((pair) => JSON.stringify(pair)));
    const may = (from: string, to: string): boolean => pairs.has(JSON.stringify([from, to]));
    const mayEither = (a: string, b: string): boolean => may(a, b) || may(b, a);
    const against = (other: Asked): Finding =>
      finding(
        'pairs-forbid',
        [allowed, other],
        `“${allowed.sentence}” forbids links that “${other.sentence}” asks for.`,
      );
    const forbidden = (other: Asked): boolean => {
      const { params } = other;
      switch (other.type.id) {
        case 'propositions-present': {
          const wanted = params.propositions as Wanted[];
          const barred = wanted.filter(({ from, to, direction }) => {
            const [a, b] = [sheet.kindOfText(from), sheet.kindOfText(to)];
            return a !== undefined && b !== undefined && !(direction === 'either' ? mayEither(a, b) : may(a, b));
          });
          return wanted.length - barred.length < ((params.min as number | undefined) ?? wanted.length);
        }
        case 'sits-under':
          return (params.kinds as string[]).some(
            (kind) =>
              !(params.parents as string[]).some((parent) =>
                params.direction === 'in' ? may(parent, kind) : mayEither(kind, parent),
              ),
          );
        case 'anchor-links': {
          const [kind, targets] = [params.kind as string, params.targets as string[] | undefined];
          const linkKind = sheet.assignment.legend.linkKinds.find(({ id }) => id === params.linkKind);
          // Links beside the structure are no concern of the allowed pairs.
          if (!targets || params.count === 0 || !sheet.isStructural(kind) || linkKind?.structural === false)
            return false;
          return !targets.some((target) => !sheet.isStructural(target) || mayEither(kind, target));
        }
        default:
          return false;
      }
    };
    return sheet.asked.filter(forbidden).map(against);
  });

/** Short topics, where a given wording is longer. */
export const shortBelowTerms: Rule = (sheet) => {
  const { terms } = sheet.assignment;
  const asking = sheet.of('all-terms-present').filter(({ params }) => params.min === undefined);
  return sheet.of('short-topics').flatMap((short) =>
    asking.flatMap((all): Finding[] => {
      const isLooked = (kind: string | null): boolean => {
        const kinds = kindsIn(short);
        const isAsked = !kindsIn(all) || (kind !== null && kindsIn(all)!.includes(kind));
        return isAsked && (kinds ? kind !== null && kinds.includes(kind) : sheet.isStructural(kind));
      };
      const long = terms.filter(
        ({ text, accept = [], kind }) =>
          isLooked(kind ?? null) &&
          Math.min(...[text, ...accept].map((wording) => wordsOf(wording).length)) > (short.params.maxWords as number),
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
    ...sheet.of('main-branches').filter(({ params }) => ((params.min as number | undefined) ?? 0) > 0),
    ...sheet.of('cross-links').filter(({ params }) => (params.min as number) > 0),
  ];
  const shallow = sheet.of('depth').filter(({ params }) => params.max === 0);
  const narrow = sheet.of('branching').flatMap((branching) =>
    sheet
      .of('main-branches')
      .filter(({ params }) => ((params.min as number | undefined) ?? 0) > (branching.params.maxChildren as number))
      .map((main) => finding('branches-over-branching', [branching, main], exclude(branching, main) + '.')),
  );
  const few = sheet
    .of('main-branches')
    .filter(({ params }) => params.max !== undefined && (params.max as number) < 2)
    .flatMap((main) =>
      sheet
        .of('cross-links')
        .filter(({ params }) => (params.min as number) > 0)
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
