/** @jest-environment jsdom */
import fc from 'fast-check';
import { noteDocument, noteOf } from './note-markdown';

const again = (note: string): string => noteOf(noteDocument(note));
const typed = (text: string): string =>
  noteOf({ type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text }] }] });

test('what was written as Markdown is written the same again', () => {
  for (const note of [
    'One paragraph.\n\nAnother, with *stress* and **weight** and `code`.',
    '- one\n- two\n  - deeper\n\nafter',
    '1. first\n2. second',
    '3. third\n4. fourth',
    '> said\n\nand done',
    '## Part\n\nwords',
    'A [page](https://example.org/a).',
    'line one  \nline two',
    '```js\na * b\n```',
    'a < b & c > d',
  ])
    expect(again(note)).toBe(note);
});

test('a line broken by hand stays broken, and pictures leave no hole', () => {
  expect(again('one\ntwo')).toBe('one  \ntwo');
  expect(again('![alt](http://example.org/x.png)after')).toBe('after');
  expect(again('<b>bold</b> <script>alert(1)</script>')).toBe('<b>bold</b> <script>alert(1)</script>');
});

test('signs that are typed stay signs', () => {
  const words = fc
    .stringMatching(/^[a-z*_`#>+\-.()[\]!\\~<&1 ]{1,30}$/)
    .filter((text) => text.trim() === text && text !== '');
  fc.assert(
    fc.property(words, (text) => {
      const { content } = noteDocument(typed(text));
      expect(content).toEqual([{ type: 'paragraph', content: [{ type: 'text', text }] }]);
    }),
    { numRuns: 500 },
  );
});
