import fc from 'fast-check';
import { insistPlain } from './bodies.js';
import { Problem } from './problem.js';

const tooMany = (): Problem => new Problem(413, 'Refused', 'too many');
const looked = (text: string, most = 100): number | null => {
  try {
    insistPlain(Buffer.from(text), most, tooMany);
    return null;
  } catch (error) {
    return (error as Problem).getStatus();
  }
};

/** How many values a JSON value holds, itself among them, and how deep they lie. */
function sizeOf(value: unknown): { values: number; depth: number } {
  if (typeof value !== 'object' || value === null) return { values: 1, depth: 0 };
  const inner = Object.values(value).map(sizeOf);
  return {
    values: 1 + inner.reduce((sum, { values }) => sum + values, 0),
    depth: 1 + Math.max(0, ...inner.map(({ depth }) => depth)),
  };
}

test('whatever holds few values is let through, and what holds many is not, without being parsed', () => {
  fc.assert(
    fc.property(fc.jsonValue({ maxDepth: 5 }), (value) => {
      const { values } = sizeOf(value);
      // An empty list counts as if it held one.
      expect(looked(JSON.stringify(value), values * 2)).toBeNull();
      expect(looked(JSON.stringify(Array(300).fill(value)), 100)).toBe(413);
    }),
  );
});

test.each([
  ['[[[['.repeat(20), 400],
  ['{"a":'.repeat(41), 400],
  ['['.repeat(40), null],
  [`"${'['.repeat(100)}"`, null],
  [`{"a":"\\"${'{'.repeat(100)}"}`, null],
  [`["${','.repeat(1000)}"]`, null],
  ['', null],
  ['not json at all', null],
])('%s', (text, status) => {
  expect(looked(text)).toBe(status);
});

test('a million levels cost no stack', () => {
  expect(looked('['.repeat(1_000_000))).toBe(400);
});
