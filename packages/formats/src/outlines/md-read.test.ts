import { draftOfMarkdown } from './md-read.js';

/** Topics with their notes, links as they read, and what was left out. */
function read(text: string): { topics: string[]; links: string[]; said: string[] } {
  const said: string[] = [];
  const { topics, links } = draftOfMarkdown(text, (about, reason) => said.push(`${about} ${reason}`));
  const name = new Map(topics.map(({ key, text: own }) => [key, own]));
  return {
    topics: topics.map(({ text: own, note }) => (note === undefined ? own : `${own} | ${note}`)),
    links: links.map(({ from, to, phrase }) => `${name.get(from)} ${phrase}> ${name.get(to)}`),
    said,
  };
}

test('what is neither heading nor item is the note of what stands above it, as it was written', () => {
  expect(read('## Arch\n\nLine one\nline *two*\n\n> said\n> > within\nlazily').topics).toEqual([
    'Arch | Line one\nline *two*\n\nsaid\n> within\nlazily',
  ]);
  expect(read('- a\n\n  ```js\n  code\n    more\n  ```\n\n  ***\n\n  <div>\n  x\n  </div>').topics).toEqual([
    'a | ```js\ncode\n  more\n```\n\n***\n\n<div>\nx\n</div>',
  ]);
  expect(read('- a\n\n      set in\n        more\n- b').topics).toEqual(['a |     set in\n      more', 'b']);
  // What stands on the line of an item that says nothing.
  expect(read('- a\n  - > said\n  - ***\n  - ```\n    code\n    ```').topics).toEqual([
    'a | said\n\n***\n\n```\ncode\n```',
  ]);
  expect(read('- a\n  - b\n\n    # Head\n\n    C# - under\n    ---').topics).toEqual([
    'a',
    'b | # Head\n\nC# - under\n---',
  ]);
});

test('signs are taken off words, entities are signs, and a break is a space', () => {
  expect(read('## A &amp; **B** `c` \\* <b>x</b> ![alt](p.png) [t](u)').topics).toEqual(['A & B c * <b>x</b> alt t']);
  expect(read('- a\\\n  b\n- c  \n  d\n- e\n  f').topics).toEqual(['a b', 'c d', 'e f']);
});

test('a phrase in italics leads to its topic, an arrow to one elsewhere', () => {
  expect(read('## A\n- *is* B\n- *only*\n- **C**\n- → *to* B\n- *→ p* D\n- &rarr; E\n- → New').links).toEqual([
    'A is> B',
    'A > only',
    'A > C',
    'A to> B',
    'A → p> D',
    'A > → E',
    'A > New',
  ]);
});

test('what is said of links apart from the words, and what stands above every topic, is told', () => {
  expect(read('words\n\n## A\n\n[see][one] it\n\n[One]: http://example.org')).toEqual({
    topics: ['A | [see][one] it'],
    links: [],
    said: ['[one] left out: where a link leads is not kept', 'words left out: it stands above every topic'],
  });
});

test('a title and its question are no topics; several first headings are', () => {
  const draft = draftOfMarkdown('# Title\n*Why?*\n\n## A\n', () => undefined);
  expect([draft.title, draft.focusQuestion, draft.topics.length]).toEqual(['Title', 'Why?', 1]);
  expect(read('# A\n# B').topics).toEqual(['A', 'B']);
});
