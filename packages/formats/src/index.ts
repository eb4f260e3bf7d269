export { COLUMN_NAMES, DOCUMENT_PARTS, FORMAT_NAMES, Unreadable } from './format.js';
export type {
  DocumentPart,
  Wish,
  Wishes,
  ColumnName,
  Columns,
  Facts,
  Format,
  FormatName,
  Reading,
  Said,
  Understood,
  Writing,
  Written,
} from './format.js';
export { MOST_FILE_BYTES, readFile, READING_LIMITS, writeFile } from './reading-and-writing.js';
export { DRAWN_FORMATS } from './drawn-formats.js';
export { droppedOf } from './dropped.js';
export { formatOf, FORMATS } from './registry.js';
export { unzipped } from './files/zip.js';
export { whoseFiles } from './whose-files.js';
