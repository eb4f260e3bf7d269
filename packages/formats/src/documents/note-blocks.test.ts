import { noteBlocks } from './note-blocks.js';

const told = (note: string): string[] =>
  noteBlocks(note).map(({ runs, item }) => {
    const words = runs.map(
      ({ text, bold, italic }) => `${bold ? 'B' : ''}${italic ? 'I' : ''}${bold || italic ? ':' : ''}${text}`,
    );
    return `${item ? `${' '.repeat(item.level)}${item.number ?? '•'} ` : ''}${words.join('|')}`;
  });

test('signs become looks and lists, lines stay lines, and no HTML is more than text', () => {
  expect(told('One **two** *three*.\nfour\n\nfive')).toEqual(['One |B:two| |I:three|.\nfour', 'five']);
  expect(told('- a\n- b\n  - c\n\n3. d\n4. e')).toEqual(['• a', '• b', ' • c', '3. d', '4. e']);
  expect(told('## Head\n\n> said\n\n```\ncode\n```')).toEqual(['B:Head', 'said', 'code']);
  expect(told('<b>x</b> & <script>')).toEqual(['<b>|x|</b>| & |<script>']);
  expect(told('[page](https://example.org/a) <https://example.org/b> ![alt](x.png)')).toEqual([
    'page| (https://example.org/a)| |https://example.org/b| |alt',
  ]);
  expect([noteBlocks(undefined), noteBlocks('  ')]).toEqual([[], []]);
});
