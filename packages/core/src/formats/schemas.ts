import { ASSIGNMENT, CONTEXT, MAP } from '../map/types.js';

interface Fields {
  schema: Readonly<Record<string, unknown>>;
}

function fileSchema(name: string, title: string, { schema }: Fields): Record<string, unknown> {
  const { properties, required } = schema as { properties: object; required: readonly string[] };
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: `ichnograph-${name}`,
    title: `Ichnograph ${title}, version 1`,
    type: 'object',
    properties: { format: { const: `ichnograph-${name}` }, version: { const: 1 }, ...properties },
    required: ['format', 'version', ...required],
  };
}

/** The JSON Schemas (draft 2020-12) of the files that are read, by name. `schemas/` beside `src` holds them as files. */
export const fileSchemas = (): Record<string, Record<string, unknown>> => ({
  map: fileSchema('map', 'map file', MAP),
  assignment: fileSchema('assignment', 'assignment file', ASSIGNMENT),
  context: fileSchema('context', 'check context file', CONTEXT),
});
