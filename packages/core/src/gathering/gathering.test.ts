import fc from 'fast-check';
import { assignmentOf as frozen } from '../sheet/sheet.js';
import { starterFrom } from '../outline/starter.js';
import { OWN_LEGEND } from '../own-maps/own-legend.js';
import { normalForm } from '../words/normal-form.js';
import { asIdea, heapFor, partsOf } from './alike.js';
import { bankOfIdeas, newTerms, sheetOfIdeas, treeOfIdeas } from './made-of-ideas.js';
import type { Taken } from './made-of-ideas.js';

describe('ideas that are alike', () => {
  const heaps = [
    { id: 'h1', texts: ['Suspension bridges', 'a suspension bridge'] },
    { id: 'h2', texts: ['Rust'] },
    { id: 'h3', texts: ['Crust'] },
    { id: 'h4', texts: ['!!!'] },
  ];
  test.each([
    ['SUSPENSION  bridges!', 'h1'],
    ['suspension bridge', 'h1'],
    ['suspenson bridges', 'h1'],
    ['rust', 'h2'],
    // Four letters forgive nothing, and none is taken for another by its first.
    ['Rusk', null],
    ['Trust', null],
    ['crusts', 'h3'],
    ['!!!', 'h4'],
    ['', null],
    ['Iron', null],
  ])('“%s” falls into %s', (text, wanted) => {
    expect(heapFor(text, heaps, 'en')).toBe(wanted);
  });

  test('the very words count before a misspelling that stands earlier', () => {
    const near = [
      { id: 'h1', texts: ['Girders'] },
      { id: 'h2', texts: ['Girdles'] },
    ];
    expect(heapFor('girdles', near, 'en')).toBe('h2');
  });

  test('whatever is sent in whatever order, the same words are in one heap, and each idea is in one', () => {
    const idea = fc.oneof(fc.constantFrom('Arch', 'arches', 'ARCH ', 'Archs', 'Beam', 'Beams!', 'bean'), fc.string());
    fc.assert(
      fc.property(fc.array(idea, { maxLength: 30 }), (typed) => {
        const heaps: { id: string; texts: string[] }[] = [];
        const placed = typed.map(asIdea).filter((text) => text !== '');
        placed.forEach((text, i) => {
          const id = heapFor(text, heaps, 'en');
          const heap = heaps.find((one) => one.id === id);
          if (heap) heap.texts.push(text);
          else heaps.push({ id: String(i), texts: [text] });
        });
        expect(heaps.flatMap(({ texts }) => texts)).toHaveLength(placed.length);
        const homes = new Map<string, number>();
        heaps.forEach(({ texts }, h) =>
          texts.forEach((text) => {
            const form = normalForm(text);
            expect(homes.get(form) ?? h).toBe(h);
            homes.set(form, h);
          }),
        );
      }),
    );
  });

  test('what was laid together by hand comes apart as it was, and what fell together by its very words', () => {
    expect(partsOf(['Arch', 'Bow bridge', 'arches', 'bow-bridge'], 'en')).toEqual([
      ['Arch', 'arches'],
      ['Bow bridge', 'bow-bridge'],
    ]);
    expect(partsOf(['Girders', 'girders!', 'Girdles'], 'en')).toEqual([['Girders', 'girders!'], ['Girdles']]);
    expect([partsOf(['Arch', 'arch'], 'en'), partsOf([], 'en')]).toEqual([[['Arch', 'arch']], []]);
  });

  test('an idea is kept without blanks around it, on one line', () => {
    expect(asIdea('  two\n\t words ')).toBe('two words');
  });
});

describe('what is made of ideas', () => {
  const taken: Taken = {
    question: 'What do you know about bridges?',
    groups: ['Kinds', 'Dangers', 'Nobody'],
    ideas: [
      { text: 'Arch bridge', otherWords: ['arch bridges', 'Arch bridge', 'bow bridge'], group: 'Kinds' },
      { text: 'Rust', otherWords: [], group: 'Dangers' },
      { text: 'Grandma has one', otherWords: [], group: null },
      { text: 'kinds', otherWords: [], group: null },
    ],
  };

  test('a word bank counts other words, and not those that only look otherwise', () => {
    const terms = bankOfIdeas(taken, sheetOfIdeas(taken, 'bank', 'en').legend.legend);
    expect(terms.map(({ text, accept }) => [text, accept])).toEqual([
      ['Arch bridge', ['arch bridges', 'bow bridge']],
      ['Rust', undefined],
      ['Grandma has one', undefined],
      ['kinds', undefined],
    ]);
    expect(terms.every(({ place, kind }) => place === undefined && kind === 'term')).toBe(true);
  });

  test('a starter has the question, the groups that hold something below it, and their ideas below those', () => {
    const sheet = sheetOfIdeas(taken, 'starter', 'en');
    const map = starterFrom(frozen(sheet, { starter: null, reference: null }));
    const textOf = new Map(map.topics.map(({ id, text }) => [id, text]));
    expect(sheet.task).toMatchObject({ title: taken.question, focusQuestion: taken.question });
    expect(map.links.map(({ from, to }) => `${textOf.get(from)} > ${textOf.get(to)}`).toSorted()).toEqual([
      'Dangers > Rust',
      'Kinds > Arch bridge',
      'What do you know about bridges? > Dangers',
      'What do you know about bridges? > Grandma has one',
      'What do you know about bridges? > Kinds',
    ]);
    expect(new Map(map.topics.map(({ text, kind }) => [text, kind]))).toEqual(
      new Map([
        [taken.question, 'main'],
        ['Kinds', 'heading'],
        ['Dangers', 'heading'],
        ['Arch bridge', 'term'],
        ['Rust', 'term'],
        ['Grandma has one', 'term'],
      ]),
    );
  });

  test('outside an assignment the kinds are those of own maps', () => {
    const map = starterFrom({ ...treeOfIdeas(taken, OWN_LEGEND), legend: OWN_LEGEND });
    expect([...new Set(map.topics.map(({ kind }) => kind))].toSorted()).toEqual(['heading', 'idea']);
  });

  test('terms that a list has in any words are not added to it', () => {
    const more = [{ text: 'ARCH bridge' }, { text: 'Bow-bridge' }, { text: 'Rust' }];
    expect(newTerms([{ text: 'Arch bridge', accept: ['bow bridge'] }], more)).toEqual([{ text: 'Rust' }]);
  });
});
