import { contrast, luminance } from '../../map/colour.js';
import { CLOSE, isStructural } from '../../map/kinds.js';
import { topicStyle } from '../../map/style.js';
import type { TopicKind } from '../../map/types.js';
import { listed, quoted } from '../words.js';
import { finding } from './sheet.js';
import type { Asked, Finding, Rule } from './sheet.js';

/** What the legend’s own looks make impossible, where a kind brings its looks along. */

const names = (kinds: readonly { name: string }[]): string => listed(kinds.map(({ name }) => quoted(name)));

const looksOf = (kind: TopicKind) =>
  topicStyle(
    { id: '', text: '', kind: kind.id, x: 0, y: 0, width: 1, height: 1 },
    { topicKinds: [kind], linkKinds: [] },
  );

export const kindFails: Rule = (sheet) => {
  const failing = (one: Asked, isGood: (kind: TopicKind) => boolean): Finding[] => {
    const kinds = sheet.assignment.legend.topicKinds.filter((kind) => !isGood(kind));
    return kinds.length > 0
      ? [finding('legend-fails', [one], `The legend’s own ${names(kinds)} does not meet “${one.sentence}”.`)]
      : [];
  };
  return [
    ...sheet.of('ink-contrast').flatMap((one) =>
      failing(one, (kind) => {
        const { ink, fill } = looksOf(kind);
        return contrast(ink, fill) >= one.params.min - CLOSE;
      }),
    ),
    ...sheet
      .of('pale-fills')
      .flatMap((one) => failing(one, ({ fill }) => luminance(fill) >= one.params.minLuminance - CLOSE)),
    ...sheet.of('text-size').flatMap((one) => failing(one, (kind) => looksOf(kind).fontSize >= one.params.min - CLOSE)),
  ];
};

export const arrowAgainstLegend: Rule = (sheet) => {
  if (sheet.assignment.styleMode !== 'guided') return [];
  const kinds = sheet.assignment.legend.linkKinds.filter(
    (kind) => isStructural(kind) && kind.arrow !== undefined && kind.arrow !== 'forward',
  );
  return kinds.length === 0
    ? []
    : sheet
        .of('arrowed-links')
        .map((one) =>
          finding(
            'arrow-against-legend',
            [one],
            `Links of the kind ${names(kinds)} have no arrow forward, but “${one.sentence}” wants one on each.`,
          ),
        );
};

/** Fans want widths and colours of their own, which a link kind that sets them takes away. */
export const fanAgainstLegend: Rule = (sheet) => {
  if (sheet.assignment.styleMode !== 'guided') return [];
  const kinds = sheet.assignment.legend.linkKinds.filter(isStructural);
  return sheet.of('fan-style').flatMap((one): Finding[] => {
    const coloured = one.params.distinct ? kinds.filter(({ colour }) => colour !== undefined) : [];
    const thin = kinds.filter(({ width }) => width !== undefined && width < one.params.minWidth - CLOSE);
    return [
      ...(coloured.length > 0
        ? [
            finding(
              'colour-against-legend',
              [one],
              `The link kind ${names(coloured)} sets a colour, but “${one.sentence}” wants busy topics’ links to differ in theirs.`,
            ),
          ]
        : []),
      ...(thin.length > 0
        ? [
            finding(
              'width-against-legend',
              [one],
              `The link kind ${names(thin)} is thinner than “${one.sentence}” wants busy topics’ links to be.`,
            ),
          ]
        : []),
    ];
  });
};

/** The same contradiction between two requirements. */
export const fanAgainstStyle: Rule = (sheet) =>
  sheet.of('link-style').flatMap((style) => {
    const kind = sheet.assignment.legend.linkKinds.find(({ id }) => id === style.params.linkKind);
    const arrows: Asked[] =
      kind && isStructural(kind) && kind.arrow !== undefined && kind.arrow !== 'forward'
        ? sheet.of('arrowed-links')
        : [];
    const fans: Asked[] =
      kind && isStructural(kind) && kind.colour !== undefined
        ? sheet.of('fan-style').filter(({ params }) => params.distinct)
        : [];
    return [
      ...arrows.map((one) =>
        finding(
          'arrow-against-style',
          [style, one],
          `“${style.sentence}” and “${one.sentence}” want different arrows.`,
        ),
      ),
      ...fans.map((one) =>
        finding(
          'colour-against-style',
          [style, one],
          `“${style.sentence}” and “${one.sentence}” want different colours.`,
        ),
      ),
    ];
  });
