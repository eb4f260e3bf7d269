import { readFontsFor } from './paper-fonts.js';
import { MARGIN, Typesetter } from './typesetter.js';

const AT = new Date('2026-09-01T08:00:00Z');

beforeAll(() => readFontsFor('Łucja'));

/** A document of so many remarks, and how far down its last page they reach. */
function set(remarks: number): { typesetter: Typesetter; pages: number; reach: number } {
  const typesetter = new Typesetter('Bridges', AT);
  typesetter.text((text) => {
    text.heading('Remarks');
    for (let i = 0; i < remarks; i++) text.paragraph(`${i + 1}  Say what carries the load here.`);
  });
  return { typesetter, pages: typesetter.doc.bufferedPageRange().count, reach: typesetter.doc.y };
}

test('no page holds a few lines alone where a page is just full', () => {
  const sets = [46, 47, 48, 49, 50, 51, 52, 53, 54, 58].map(set);
  for (const { pages, reach } of sets) if (pages > 1) expect(reach).toBeGreaterThan(MARGIN + 72);
  expect(sets.map(({ pages }) => pages)).toEqual(sets.map(({ pages }) => pages).sort());
  expect(sets.at(0)!.pages).toBe(1);
  expect(sets.at(-1)!.pages).toBe(2);
});

test('what fits on its pages as it is keeps its size', async () => {
  const { typesetter, pages } = set(12);
  expect(pages).toBe(1);
  const text = Buffer.from(await typesetter.end((page, of) => `${page} of ${of}`)).toString('latin1');
  expect(text.match(/\/Type \/Page\b/g)).toHaveLength(1);
});

test('the same twice is the same file, to the byte', async () => {
  const foot = (page: number, of: number): string => `${page} of ${of}`;
  const [one, other] = await Promise.all([set(70).typesetter.end(foot), set(70).typesetter.end(foot)]);
  expect(Buffer.from(one).equals(Buffer.from(other))).toBe(true);
});

test('letters of another part of the font stand in the line they belong to, and are as wide as they are drawn', () => {
  const typesetter = new Typesetter('Bridges', AT);
  typesetter.page('portrait');
  const [plain, other] = ['Zofia', 'Łucja'].map((name) => typesetter.widthOf(name));
  expect(plain).toBeGreaterThan(0);
  expect(other).toBeGreaterThan(0);
  expect(typesetter.widthOf('Zofia Łucja')).toBeGreaterThan(plain! + other!);
  expect(typesetter.widthOf('Zofia', { face: 'bold' })).not.toBe(plain);
});

test('control characters of what people wrote do not reach the page', () => {
  const typesetter = new Typesetter('Bridges', AT);
  typesetter.page('portrait');
  expect(typesetter.widthOf('a\u0000b')).toBeCloseTo(typesetter.widthOf('a b'), 6);
  expect(() => typesetter.paragraph('')).not.toThrow();
});
