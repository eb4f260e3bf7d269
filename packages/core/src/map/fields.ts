/**
 * What a field may hold, said once: its type, the test that live documents are mended by, and its JSON Schema (draft
 * 2020-12), by which files are read.
 */
export interface Field<T> {
  schema: Readonly<Record<string, unknown>>;
  /** whether a value that anybody may have written is one */
  allows: (value: unknown) => boolean;
  /** only for the compiler: the type of its values */
  readonly type?: T;
}

export type ValueOf<F> = F extends Field<infer T> ? T : never;
export type Fields = Readonly<Record<string, Field<unknown>>>;
type Values<Needs extends Fields, May extends Fields> = { [K in keyof Needs]: ValueOf<Needs[K]> } & {
  [K in keyof May]?: ValueOf<May[K]>;
};

/** A record is a field too. Names that it does not know are kept as they are. */
export interface RecordField<Needs extends Fields, May extends Fields> extends Field<Values<Needs, May>> {
  needs: Needs;
  may: May;
}

/** Lengths count UTF-16 units, as the database does. */
export const text = (most: number, least = 0): Field<string> => ({
  schema: { type: 'string', ...(least > 0 && { minLength: least }), maxLength: most },
  allows: (value) => typeof value === 'string' && value.length >= least && value.length <= most,
});

export const written = (pattern: RegExp): Field<string> => ({
  schema: { type: 'string', pattern: pattern.source },
  allows: (value) => typeof value === 'string' && pattern.test(value),
});

interface Range {
  least?: number;
  /** in place of `least`: the bound itself is not allowed */
  above?: number;
  most?: number;
}
export const number = ({ least = -Infinity, above = -Infinity, most = Infinity }: Range = {}): Field<number> => ({
  schema: {
    type: 'number',
    ...(least > -Infinity && { minimum: least }),
    ...(above > -Infinity && { exclusiveMinimum: above }),
    ...(most < Infinity && { maximum: most }),
  },
  allows: (value) =>
    typeof value === 'number' && Number.isFinite(value) && value >= least && value > above && value <= most,
});

export const oneOf = <const V extends readonly string[]>(values: V): Field<V[number]> => ({
  schema: { enum: values },
  allows: (value) => values.includes(value as string),
});

export const oneOfNumbers = <const V extends readonly number[]>(values: V): Field<V[number]> => ({
  schema: { enum: values },
  allows: (value) => values.includes(value as number),
});

export const boolean: Field<boolean> = { schema: { type: 'boolean' }, allows: (value) => typeof value === 'boolean' };

export const orNull = <T>({ schema, allows }: Field<T>): Field<T | null> => ({
  schema: { ...schema, type: [schema.type, 'null'] },
  allows: (value) => value === null || allows(value),
});

export const listOf = <T>(member: Field<T>, { least = 0, most = Infinity } = {}): Field<T[]> => ({
  schema: {
    type: 'array',
    items: member.schema,
    ...(least > 0 && { minItems: least }),
    ...(most < Infinity && { maxItems: most }),
  },
  allows: (value) =>
    Array.isArray(value) && value.length >= least && value.length <= most && value.every(member.allows),
});

/** @param may fields that can be left out */
export function record<const Needs extends Fields, const May extends Fields = Record<never, never>>(
  needs: Needs,
  may: May = {} as May,
): RecordField<Needs, May> {
  const schemas = Object.entries({ ...needs, ...may }).map(([name, { schema }]) => [name, schema]);
  return {
    needs,
    may,
    schema: { type: 'object', properties: Object.fromEntries(schemas), required: Object.keys(needs) },
    allows: (value) =>
      typeof value === 'object' && value !== null && fits(value, needs) && fits(value, may, 'where it is there'),
  };
}

/** Whether an object's own fields hold what they may. */
export const fits = (item: object, fields: Fields, when?: 'where it is there'): boolean =>
  Object.entries(fields).every(([name, { allows }]) => {
    const value = Object.hasOwn(item, name) ? (item as Record<string, unknown>)[name] : undefined;
    return (when !== undefined && value === undefined) || allows(value);
  });

/** An object of any fields, looked at elsewhere. */
export const anyRecord: Field<Record<string, unknown>> = {
  schema: { type: 'object' },
  allows: (value) => typeof value === 'object' && value !== null && !Array.isArray(value),
};
