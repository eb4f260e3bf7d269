import { plainValue } from './plain.js';

const look = (value: unknown): [unknown, string[]] => {
  const reasons: string[] = [];
  return [plainValue(value, (why) => reasons.push(why)), reasons];
};
const nested = (levels: number): unknown => (levels === 0 ? 'end' : { in: nested(levels - 1) });

test('what is plain comes back as the very same value', () => {
  const value = { a: [1, 'two', null, { b: true }], gone: undefined };
  expect(look(value)).toEqual([value, []]);
  expect(look(value)[0]).toBe(value);
});

test('nothing is inherited from what a client wrote, under whatever name', () => {
  const written = JSON.parse('{"id":"a","__proto__":{"shape":"heart"}}') as { shape?: string };
  const inherits = Object.create({ shape: 'heart' }) as { shape?: string };
  for (const value of [written, inherits]) {
    const [plain, reasons] = look(value);
    expect((plain as { shape?: string }).shape).toBeUndefined();
    expect(Object.hasOwn(plain as object, '__proto__')).toBe(false);
    expect(reasons).toEqual(['no plain value']);
  }
});

test('depth has an end, and what lies deeper is left out', () => {
  expect(look(nested(11))[1]).toEqual([]);
  expect(look(nested(12))[1]).toEqual([]);
  expect(look(nested(13))[1]).toEqual(['nested too deep']);
});

test.each([[1n], [new Uint8Array(2)], [Symbol('x')], [() => 1], [new Map()]])(
  '%p is no JSON and is left out',
  (value) => {
    expect(look({ kept: 1, value })).toEqual([{ kept: 1 }, ['no plain value']]);
    expect(look([value, 2])[0]).toEqual([2]);
  },
);

test('half a character is replaced, in a name too it is none', () => {
  expect(look('a\ud800')[0]).toBe('a\ufffd');
  expect(look({ '\ud800': 1 })[0]).toEqual({});
});
