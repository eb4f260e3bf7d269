import { DRAWN_FORMATS, FORMATS } from '@ichnograph/formats';
import type { Facts, FormatName } from '@ichnograph/formats';

const ALL: readonly Facts[] = [...FORMATS, ...Object.values(DRAWN_FORMATS)];

export const factsOf = (name: FormatName): Facts => ALL.find((facts) => facts.name === name)!;

/** Formats by what people want of a file. */
export const FAMILIES: readonly { name: string; formats: readonly FormatName[] }[] = [
  { name: 'To look at and print', formats: ['pdf', 'png', 'jpg', 'svg', 'html'] },
  { name: 'To write on', formats: ['docx', 'md', 'txt'] },
  { name: 'As a table of sentences', formats: ['xlsx', 'csv'] },
  { name: 'For other programs', formats: ['opml', 'graphml', 'dot', 'xtm'] },
  { name: 'To open here again', formats: ['json'] },
];
