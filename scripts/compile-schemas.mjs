// Compiles the JSON Schemas of packages/core/schemas into plain functions, so that no page needs `unsafe-eval`.
// Output: packages/core/generated/validators.js, remade at each build, never edited.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import Ajv from 'ajv/dist/2020.js';
import standaloneCode from 'ajv/dist/standalone/index.js';

const core = path.join(path.dirname(path.dirname(fileURLToPath(import.meta.url))), 'packages/core');
const names = ['map', 'assignment', 'context', 'report', 'stored-report'];
const exported = (name) => name.replace(/-(\w)/g, (_, letter) => letter.toUpperCase());
const schemas = names.map((name) => JSON.parse(readFileSync(path.join(core, `schemas/${name}.schema.json`), 'utf8')));
// `unicode: false` counts UTF-16 units, as the database and mend do, and keeps the output free of imports.
const ajv = new Ajv.default({
  schemas,
  code: { source: true, esm: true },
  allowUnionTypes: true,
  unicode: false,
  logger: false,
});
const code = standaloneCode.default(
  ajv,
  Object.fromEntries(names.map((name) => [exported(name), `ichnograph-${name}`])),
);
if (/\brequire\(/.test(code)) throw new Error('the compiled schemas must not import anything');
mkdirSync(path.join(core, 'generated'), { recursive: true });
writeFileSync(
  path.join(core, 'generated/validators.js'),
  `// Made by scripts/compile-schemas.mjs. Do not edit.\n${code}\n`,
);
writeFileSync(
  path.join(core, 'generated/validators.d.ts'),
  [
    'interface SchemaError { instancePath: string; keyword: string; params: Record<string, unknown>; message?: string }',
    'interface Validator { (data: unknown): boolean; errors?: SchemaError[] | null }',
    `export const ${names.map((name) => `${exported(name)}: Validator`).join(', ')};\n`,
  ].join('\n'),
);
