import { isSvg, withoutFilters } from './is-svg.js';

const svg = (text: string): boolean => isSvg(Buffer.from(text));

test.each([
  '<svg>',
  '<svg xmlns="x">',
  '\uFEFF <?xml version="1.0"?>\n<!-- made by hand --><svg/>',
  '<!DOCTYPE svg PUBLIC "a" "b"><svg >',
  '<!DOCTYPE svg [ <!ENTITY a "b"> ]>\n<svg\n>',
])('%s is a drawing', (text) => expect(svg(text)).toBe(true));

test.each(['', '<svgx>', '<html><svg></svg></html>', 'an <svg> in words', '<!-- <svg> ', '<?xml <svg>'])(
  '%s is none',
  (text) => expect(svg(text)).toBe(false),
);

test('a file of comments takes no longer for each one more', () => {
  const begun = performance.now();
  expect(svg('<!---->'.repeat(1000))).toBe(false);
  expect(svg(`${'<!DOCTYPE['.repeat(700)}`)).toBe(false);
  // A pattern that goes back took seconds for thirty; this is a thousand, and ten thousand times that long.
  expect(performance.now() - begun).toBeLessThan(1000);
});

test('filters go, words that speak of them stay', () => {
  const drawing =
    '<svg><style>a{FILTER:url(#f)}</style><filter id="f"/><g filter="url(#f)" style="filter:blur(9px)"><text>A filter &lt; b</text></g></svg>';
  const plain = withoutFilters(drawing);
  expect(plain).toContain('>A filter &lt; b<');
  expect(plain.match(/filter/gi)).toHaveLength(1);
});
