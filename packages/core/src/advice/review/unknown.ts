import type { RequirementId } from '../../requirements/registry.js';
import type { ParamRule } from '../../requirements/types.js';
import { quoted } from '../words.js';
import { finding } from './sheet.js';
import type { Asked, Finding, Rule, Sheet } from './sheet.js';

/** Kinds, link kinds, texts and places that nobody has. */

const TOPIC_KINDS = new Set<ParamRule['type']>(['kind', 'kinds', 'pairs']);
const LINK_KINDS = new Set<ParamRule['type']>(['linkKind', 'linkKinds']);

/** The ids that parameters of these rules name. */
function named({ type, params }: Asked, rules: ReadonlySet<ParamRule['type']>): string[] {
  return Object.entries(type.params as Record<string, ParamRule>).flatMap(([name, rule]) =>
    rules.has(rule.type) ? ([params[name] ?? []].flat(3) as string[]) : [],
  );
}

export const unknownKinds: Rule = ({ asked, assignment: { legend } }) =>
  asked.flatMap((one) => {
    const missing = (rules: ReadonlySet<ParamRule['type']>, kinds: readonly { id: string }[]): string[] => [
      ...new Set(named(one, rules).filter((id) => !kinds.some((kind) => kind.id === id))),
    ];
    return [
      ...missing(TOPIC_KINDS, legend.topicKinds).map((id) =>
        finding('unknown-kind', [one], `The legend has no kind ${quoted(id)}, which “${one.sentence}” is about.`),
      ),
      ...missing(LINK_KINDS, legend.linkKinds).map((id) =>
        finding(
          'unknown-link-kind',
          [one],
          `The legend has no link kind ${quoted(id)}, which “${one.sentence}” is about.`,
        ),
      ),
    ];
  });

/** A term's kind that the legend lacks makes right what no student can draw. */
export const unknownTermKinds: Rule = (sheet) => {
  const concerned = [...sheet.of('right-kind'), ...sheet.of('all-terms-present')];
  const missing = sheet.assignment.terms.filter(({ kind }) => kind != null && !sheet.kind(kind));
  if (concerned.length === 0) return [];
  return missing.map(({ text, kind }) =>
    finding(
      'unknown-kind',
      concerned,
      `The term ${quoted(text)} is of a kind ${quoted(kind!)} that the legend does not have.`,
    ),
  );
};

export const unknownTexts: Rule = (sheet) => {
  if (!sheet.hasTexts) return [];
  const texts = [
    ...[...sheet.of('propositions-present'), ...sheet.of('propositions-absent')].map((one) => ({
      one,
      named: one.params.propositions.flatMap(({ from, to }) => [from, to]),
    })),
    ...sheet.of('note-length').map((one) => ({ one, named: (one.params.each ?? []).map(({ branch }) => branch) })),
  ];
  return texts.flatMap(({ one, named }) =>
    [...new Set(named)]
      .filter((text) => !sheet.knows(text))
      .map((text) =>
        finding(
          'unknown-text',
          [one],
          `No term and no given topic is called ${quoted(text)}, so nothing can be matched to it.`,
        ),
      ),
  );
};

export const unknownRoot: Rule = (sheet) => {
  const { root, legend } = sheet.assignment;
  const concerned = sheet.asked.filter(({ type }) => type.needsRoot);
  if (concerned.length === 0) return [];
  if (root === undefined) {
    return legend.topicKinds.some((kind) => kind.root && kind.structural !== false)
      ? []
      : [
          finding(
            'no-root',
            concerned,
            'Nothing says where the map starts: name its starting topic, or mark a kind as that of the starting topic.',
          ),
        ];
  }
  return sheet.hasTexts && !sheet.knows(root)
    ? [
        finding(
          'unknown-text',
          concerned,
          `The map should start at ${quoted(root)}, but no term and no given topic is called so.`,
        ),
      ]
    : [];
};

export const unknownOrigins: Rule = (sheet) => {
  const { starter } = sheet.assignment;
  const given = new Set([...(starter?.topics ?? []), ...(starter?.links ?? [])].map(({ id }) => id));
  return sheet
    .of('blanks-filled')
    .flatMap((one): Finding[] =>
      one.params.answers
        .filter(({ origin }) => !given.has(origin))
        .map(({ origin }) =>
          finding('unknown-origin', [one], `The starter has no topic or link ${quoted(origin)} to be filled.`),
        ),
    );
};

/** Requirements that look at a part of the assignment which is not there, and so never apply. */
const NEEDS: Partial<Record<RequirementId, [has: (sheet: Sheet) => boolean, what: string]>> = {
  'all-terms-present': [({ assignment }) => assignment.terms.length > 0, 'gives no terms'],
  'terms-unchanged': [({ assignment }) => assignment.starter !== null, 'has no starter map'],
  'starter-rewired': [({ assignment }) => assignment.starter !== null, 'has no starter map'],
  'prompts-answered': [
    ({ assignment }) => assignment.starter?.topics.some((topic) => topic.toComplete) ?? false,
    'has no topic to be completed in its starter map',
  ],
  'like-reference': [({ assignment }) => assignment.reference !== null, 'has no reference map'],
};

export const nothingToLookAt: Rule = (sheet) =>
  sheet.asked.flatMap((one) => {
    const [has, what] = NEEDS[one.type.id] ?? [];
    return has && !has(sheet)
      ? [finding('nothing-to-look-at', [one], `“${one.sentence}” can never be checked: the assignment ${what}.`)]
      : [];
  });
