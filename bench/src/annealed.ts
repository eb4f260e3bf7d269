import { readFileSync, writeFileSync } from 'node:fs';
import { applyChanges, SCREEN, tidyMap } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { annealed, annealedInFrame, lettersOf } from './anneal.js';
import { line, title } from './measure.js';
import { seenOf } from './seen.js';
import { FRAMED, mostLetters, SETS } from './tidy-maps.js';

/** What annealing came to, by set of maps; kept, since it takes an hour. */
type Figures = Record<string, { crossings: number; throughWords: number; overlaps: number; letters: number[] }>;
const FILE = new URL('../annealed.json', import.meta.url);

export const boundByAnnealing = (): Figures => JSON.parse(readFileSync(FILE, 'utf8')) as Figures;

/** Looks for the bounds anew, from our own drawings, and keeps them. */
export function benchAnneal(): void {
  const figures: Figures = {};
  for (const [name, maps] of SETS) {
    title(`Annealed, ${name}`);
    const sum = { crossings: 0, throughWords: 0, overlaps: 0 };
    for (const map of maps) {
      const seen = seenOf(annealed(drawn(map, 'outward')));
      for (const what of Object.keys(sum) as (keyof typeof sum)[]) sum[what] += seen[what];
      line(`${map.topics.length} topics`, `${seen.crossings}`, `${seen.throughWords + seen.overlaps} things on others`);
    }
    const letters = FRAMED.map((m) => {
      const map = annealedInFrame(drawn(maps[m]!, 'downward', true));
      const share = lettersOf(map) / mostLetters(map);
      line(`${map.topics.length} topics in a frame`, `${share.toFixed(2)} of the most`);
      return Number(share.toFixed(2));
    });
    figures[name] = { ...sum, letters };
  }
  writeFileSync(FILE, `${JSON.stringify(figures, null, 2)}\n`);
}

function drawn(map: TopicMap, way: 'downward' | 'outward', isFramed = false): TopicMap {
  return applyChanges(map, tidyMap(map, { way, ...(isFramed && { frame: SCREEN }) }));
}
