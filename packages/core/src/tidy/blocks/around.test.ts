import { around } from './around.js';
import type { Block } from './blocks.js';

const block = (width: number, height: number): Block => ({ width, height, head: { x: 0, y: 0 }, put: () => undefined });
const twig = { box: 0, width: 10, height: 10, words: null, beside: null };

test('small quarters beside one that holds nearly everything do not take its choice of shapes away', () => {
  const large = [block(400, 900), block(600, 600), block(900, 400)];
  const small = [block(60, 40)];
  const drawn = around(twig, [small, small, small, large]);
  expect(drawn.map(({ width, height }) => `${width} × ${height}`)).toEqual(
    expect.arrayContaining(['460 × 940', '660 × 640', '960 × 440']),
  );
});
