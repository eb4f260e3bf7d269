// Writes the JSON Schemas of the map, assignment and context files from core's one definition of their fields
// (packages/core/src/map/types.ts). Run it after a build when that has changed; a test says when it was forgotten.
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { fileSchemas } from '../packages/core/dist/formats/schemas.js';

const folder = path.join(path.dirname(path.dirname(fileURLToPath(import.meta.url))), 'packages/core/schemas');
for (const [name, schema] of Object.entries(fileSchemas()))
  writeFileSync(path.join(folder, `${name}.schema.json`), `${JSON.stringify(schema, null, 1)}\n`);
