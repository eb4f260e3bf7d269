import { readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { line, title } from './measure.js';

const dist = new URL('../../apps/web/dist/', import.meta.url);
const kilobytes = (bytes: number): string => `${(bytes / 1000).toFixed(0)} kB`;

/** What a browser must fetch and run before the first page can be used, compressed. */
export function benchSizes(): void {
  title('Scripts of the first page, gzip');
  const page = readFileSync(new URL('index.html', dist), 'utf8');
  const first = [...page.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map(([, file]) => file!);
  const sizeOf = (file: string): number => gzipSync(readFileSync(new URL(file, dist))).length;
  // Today, in the frame of who is signed in, is the page that everybody sees first.
  const today = readdirSync(new URL('assets/', dist)).filter((name) => /^(today-page|frame)-.*\.js$/.test(name));
  const reached = new Set([...first, ...today.map((name) => `assets/${name}`)]);
  for (const file of reached) {
    const text = readFileSync(new URL(file, dist), 'utf8');
    // Static imports of a chunk; those behind import() come when their page is opened.
    for (const [, name] of text.matchAll(/(?:^|[;}])import[^"'()]*["']\.\/([^"']+\.js)["']/g))
      reached.add(`assets/${name}`);
  }
  line(
    'all that the first page needs',
    kilobytes([...reached].reduce((sum, file) => sum + sizeOf(file), 0)),
    'wanted: below 160 kB',
  );
}
