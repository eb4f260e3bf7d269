import type { Format } from './format.js';
import { dot } from './graphs/dot.js';
import { graphml } from './graphs/graphml.js';
import { xtm } from './graphs/xtm.js';
import { json } from './json.js';
import { md } from './outlines/md.js';
import { opml } from './outlines/opml.js';
import { txt } from './outlines/txt.js';
import { csv } from './tables/csv.js';
import { xlsx } from './tables/xlsx.js';

/** Every format there is; menus, the preview, the page on what each carries, `convert` and tests read it. */
export const FORMATS: readonly Format[] = [json, graphml, dot, xtm, opml, md, txt, csv, xlsx];

/** The format that a file's name tells by its ending, in any case. */
export const formatOf = (fileName: string): Format | undefined => amongBy(FORMATS, fileName);

export function amongBy(formats: readonly Format[], fileName: string): Format | undefined {
  const ending = /\.([^./\\]+)$/.exec(fileName)?.[1]?.toLowerCase();
  return formats.find(({ endings }) => endings.some((one) => one === ending));
}
