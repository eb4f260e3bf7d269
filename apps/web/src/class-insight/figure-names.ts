import type { StructureFigures } from '@ichnograph/core';

export const FIGURE_NAMES: Record<keyof StructureFigures, string> = {
  topics: 'Topics',
  links: 'Links',
  levels: 'Levels',
  crossLinks: 'Cross-links',
  ownHeadings: 'Own headings',
  ownAdditions: 'Own additions',
  rehung: 'Re-hung terms',
};
