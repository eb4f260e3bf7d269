// Asks of every pattern in code that reads what people send whether somebody could make it go back and forth for ever.
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { checkSync } from 'recheck';
import ts from 'typescript';
import { root } from './lib/commands.mjs';

const FOLDERS = [
  'apps/server/src',
  'packages/contract/src',
  'packages/core/src',
  'packages/formats/src',
  'packages/livemap/src',
];
/** Milliseconds; what is not answered by then counts as no answer, and is said. */
const PATIENCE = 4000;

function* files(folder) {
  for (const entry of readdirSync(path.join(root, folder), { withFileTypes: true })) {
    const file = path.join(folder, entry.name);
    if (entry.isDirectory()) yield* files(file);
    else if (/\.ts$/.test(entry.name) && !/\.test\.ts$|font-tables/.test(entry.name)) yield file;
  }
}

function* patterns(file) {
  const source = ts.createSourceFile(file, readFileSync(path.join(root, file), 'utf8'), ts.ScriptTarget.ES2022, true);
  const found = [];
  const look = (node) => {
    if (ts.isRegularExpressionLiteral(node)) found.push(node.text);
    ts.forEachChild(node, look);
  };
  look(source);
  for (const text of found) {
    const end = text.lastIndexOf('/');
    yield { pattern: text.slice(1, end), flags: text.slice(end + 1) };
  }
}

let [checked, bad] = [0, 0];
for (const folder of FOLDERS)
  for (const file of files(folder))
    for (const { pattern, flags } of patterns(file)) {
      checked += 1;
      const { status, complexity } = checkSync(pattern, flags.replace('v', 'u'), { timeout: PATIENCE });
      if (status === 'safe') continue;
      if (status === 'vulnerable') bad += 1;
      console.error(`${file}: /${pattern}/${flags}: ${status}${complexity ? `, ${complexity.summary}` : ''}`);
    }
console.error(`${checked} patterns, ${bad} of them can be attacked`);
process.exitCode = bad > 0 ? 1 : 0;
