import { emptyMap } from '@ichnograph/core';
import type { BankEntry, Group, Legend, Link, Region, Topic, TopicMap, Tour } from '@ichnograph/core';
import fc from 'fast-check';

/** Texts in which some format or other has a sign of its own. */
const WORDS = [
  'Kiln',
  'Fire & draught',
  'Clay\nbody',
  '-20 degrees',
  '=SUM(A1)',
  "'=x",
  '"quoted"',
  'back\\slash\\',
  '<b>bold</b>',
  '→ an arrow',
  '*stars* and _lines_',
  '# no heading',
  '- no item',
  '1. no number',
  '(iv) Roman',
  '1.2 dotted',
  'a | b',
  'a;b,c\td',
  '{field}|{field}',
  '\\N \\n',
  '&amp; &#65;',
  '`code` [link](x)',
  'Глина',
  'طين',
  '粘土',
  '🔥',
  'ends with a space ',
  '  begins with two',
  'two  spaces',
  'bell\u0007',
  '~~~',
  '> quoted',
  '1)',
  '+',
  '***',
  'a\u00a0b',
];
const NOTES = [
  'Plain.',
  'Two\n\nparagraphs with **stars**.',
  '> a quotation\n\n- and\n- a list',
  '```\ncode\n```\n\nafter',
  '# A heading\n\n    indented',
];

const text = fc.constantFrom(...WORDS, '', ' ');
export const LEGEND: Legend = {
  topicKinds: [
    { id: 'thing', name: 'Thing', purpose: '', givenBy: 'teacher', shape: 'rectangle', fill: '#d7e7ec' },
    { id: 'change', name: 'Change & more', purpose: '', givenBy: 'student', shape: 'capsule', fill: '#f6dcd2' },
  ],
  linkKinds: [
    { id: 'does', name: 'does' },
    { id: 'needs', name: 'needs', dash: 'dashed', colour: '#7a2e5d', arrow: 'both' },
  ],
};

const looks = fc.record(
  {
    shape: fc.constantFrom('rectangle', 'capsule', 'ellipse', 'hexagon', 'signpost', 'trapezoid', 'plain'),
    fill: fc.constantFrom('#ffe0aa', '#AABBCC', 'none'),
    outline: fc.constantFrom('#102030'),
    fontSize: fc.constantFrom(10, 18, 13.5),
    bold: fc.boolean(),
  },
  { requiredKeys: [] },
);
const bearing = fc.record(
  {
    note: fc.constantFrom(...NOTES),
    source: fc.constantFrom('Workshop book, p. 12', 'A "quoted" <source>'),
    weblinks: fc.constantFrom<NonNullable<Topic['weblinks']>[]>(
      [{ url: 'https://example.org/a?b=1&c=2' }],
      [{ url: 'https://example.org/x', title: 'X' }, { url: 'http://example.org/y' }],
    ),
    sequence: fc.integer(),
    marks: fc.constantFrom<string[][]>(['kept'], ['star', 'question']),
  },
  { requiredKeys: [] },
);
const id = (i: number): fc.Arbitrary<string> =>
  fc
    .constantFrom(`t${i}`, `cold crack ${i}`, `"${i}`, `from-${i}`, `ä${i}`, `map`, `from`, `phrase-1`, `a\\b${i}`)
    .map((one) =>
      // Ids are unique in a map.
      /\d/.test(one) && one !== 'phrase-1' ? one : `${one}${i === 0 ? '' : `.${i}`}`,
    );
const links = (ids: readonly string[]): fc.Arbitrary<Link[]> =>
  fc
    .array(
      fc.record({
        ends: fc.tuple(fc.nat(ids.length - 1), fc.nat(ids.length - 1)),
        phrase: text,
        kind: fc.constantFrom('does', 'needs', null, null),
        looks: fc.record(
          {
            arrow: fc.constantFrom('both', 'none', 'forward'),
            dash: fc.constantFrom('dotted', 'solid'),
            width: fc.constantFrom(0.5, 3),
            route: fc.constantFrom('curved', 'elbow'),
            bend: fc.constantFrom(-0.25, 0.5),
          },
          { requiredKeys: [] },
        ),
      }),
      { maxLength: 14 },
    )
    .map((rows) =>
      rows.flatMap(({ ends: [a, b], looks: own, ...rest }, i): Link[] =>
        a === b ? [] : [{ id: `l${i}`, from: ids[a]!, to: ids[b]!, ...rest, ...own }],
      ),
    );

/** Maps with all that a map may have, and with words that are hard to write. */
export const anyMap: fc.Arbitrary<TopicMap> = fc
  .integer({ min: 1, max: 9 })
  .chain((size) => fc.tuple(...Array.from({ length: size }, (_, i) => id(i))))
  .chain((ids) =>
    fc.record({
      title: text,
      author: text,
      focusQuestion: text,
      topics: fc.tuple(
        ...ids.map((own) =>
          fc
            .record({
              text,
              kind: fc.constantFrom('thing', 'change', null, 'unknown'),
              x: fc.integer({ min: -2000, max: 2000 }),
              y: fc.double({ min: -2000, max: 2000, noNaN: true }).map((y) => Math.round(y * 100) / 100 + 0),
              width: fc.integer({ min: 20, max: 400 }),
              height: fc.integer({ min: 20, max: 200 }),
              looks,
              bearing,
            })
            .map(({ looks: seen, bearing: borne, ...rest }): Topic => ({ id: own, ...rest, ...seen, ...borne })),
        ),
      ),
      links: links(ids),
      regions: fc.constantFrom<Region[][]>([], [{ id: 'r1', topics: ids.slice(0, 2), title: 'Heat', fill: '#f4f5f1' }]),
      groups: fc.constantFrom<Group[][]>([], [{ id: 'g1', topics: [...ids] }]),
      tours: fc.constantFrom<Tour[][]>([], [{ id: 'w1', title: 'Way', stops: [{ topic: ids[0]!, words: 'Here.' }] }]),
      wordBank: fc.constantFrom<BankEntry[][]>([], [{ id: 'bank-1', text: 'Glaze', note: 'later' }]),
      legend: fc.constant(LEGEND),
    }),
  )
  .map((map) => ({ ...emptyMap(), ...map }));
