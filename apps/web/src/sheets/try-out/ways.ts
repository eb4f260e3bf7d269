import type { WayName } from '@ichnograph/core';

/** What a button that spoils a copy says. */
export const WAY_WORDS: Readonly<Record<WayName, string>> = {
  'drop-terms': 'Drop terms',
  'misspell-terms': 'Misspell terms',
  'rename-terms': 'Rename terms',
  'cut-loose': 'Cut loose',
  'strip-phrases': 'Strip words',
  'vague-phrases': 'Make words vague',
  'turn-arrows': 'Turn arrows',
  'cross-lines': 'Cross lines',
  'overlap-topics': 'Overlap topics',
  'lines-over-text': 'Lines over words',
  'lose-kinds': 'Lose kinds',
  recolour: 'Recolour',
  'dark-fills': 'Fill dark',
  'tiny-text': 'Tiny letters',
  'double-topic': 'Double a topic',
  'all-to-root': 'All to the middle',
};
