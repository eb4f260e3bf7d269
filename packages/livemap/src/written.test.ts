import fc from 'fast-check';
import * as Y from 'yjs';
import { mergedWords, rewrite } from './written.js';

test('what is wanted is written, whatever was there, half letters and all', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), fc.string({ unit: 'grapheme' }), (before, wanted) => {
      const text = new Y.Doc().getText('words');
      text.insert(0, before);
      rewrite(text, wanted);
      expect(text.toJSON()).toBe(wanted);
    }),
  );
});

test.each([
  ['Arch', 'Stone arch', 'Arch bridge', 'Stone arch bridge'],
  ['Arch', 'Arch', 'Arches', 'Arches'],
  ['Arch', 'Arches', 'Arch', 'Arches'],
  ['', 'one', 'one', 'one'],
  ['pushes on', 'pushes outward on', 'pushes on hard', 'pushes outward on hard'],
  ['a 🌉 here', 'a 🌉 over there', 'a 🌊 here', 'a 🌊 over there'],
])('of %j somebody made %j and I %j: %j', (before, theirs, mine, both) => {
  expect(mergedWords(before, theirs, mine).words).toBe(both);
});

test('nothing that either of the two wrote is lost, and nothing that both left is', () => {
  const words = fc.array(fc.constantFrom('load', 'arch', 'pier', 'deck'), { maxLength: 5 });
  fc.assert(
    fc.property(words, words, words, (before, left, right) => {
      const base = before.join(' ');
      const { words: both } = mergedWords(base, `${left.join(' ')}<${base}`, `${base}>${right.join(' ')}`);
      expect(both).toBe(`${left.join(' ')}<${base}>${right.join(' ')}`);
    }),
  );
});

test('the caret stays between the letters it stood between', () => {
  const { words, at } = mergedWords('Arch', 'Stone Arch', 'Arch br');
  expect(words).toBe('Stone Arch br');
  expect([1, 4, 7].map(at).map((place) => words.slice(place))).toEqual(['rch br', ' br', '']);
});
