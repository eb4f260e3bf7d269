import { TextDecoder, TextEncoder } from 'node:util';
import fc from 'fast-check';

// The same cases at each run, so that a failure is of the change at hand; `./test --thorough` tries others, and more.
fc.configureGlobal(process.env.ICHNOGRAPH_THOROUGH === '1' ? { numRuns: 1000 } : { seed: 20_261_125, numRuns: 100 });

// jsdom leaves out what every browser and Node.js have, and what it does not lay out it cannot scroll.
Object.assign(globalThis, { TextEncoder, TextDecoder });
globalThis.CSS ??= { escape: (text) => text.replace(/["\\]/g, '\\$&') };
const { Element: Elements } = globalThis;
if (Elements) {
  Elements.prototype.scrollIntoView ??= () => undefined;
  Elements.prototype.hasPointerCapture ??= () => false;
}
