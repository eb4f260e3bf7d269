import { benchAnneal } from './annealed.js';
import { benchChecks, benchHeap } from './checks.js';
import { benchClass } from './class.js';
import { benchEditor } from './editor.js';
import { benchFormats } from './formats.js';
import { benchLive } from './live.js';
import { benchPile } from './pile.js';
import { benchRush } from './rush.js';
import { benchSaving } from './saving.js';
import { benchSizes } from './sizes.js';
import { benchTidy } from './tidy.js';

const PARTS: Record<string, () => void | Promise<void>> = {
  anneal: benchAnneal,
  checks: benchChecks,
  class: benchClass,
  editor: benchEditor,
  formats: benchFormats,
  heap: benchHeap,
  live: benchLive,
  pile: benchPile,
  rush: benchRush,
  saving: benchSaving,
  tidy: benchTidy,
  sizes: benchSizes,
};

const part = PARTS[process.argv[2] ?? ''];
if (!part) throw new Error(`there is no part ${process.argv[2]}; there are ${Object.keys(PARTS).join(', ')}`);
await part();
