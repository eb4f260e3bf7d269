import { checkMap } from '@ichnograph/core';
import { assignmentFor, mapOf } from './maps.js';
for (const n of [30, 300, 3000]) {
  const map = mapOf(n, 1);
  const a = assignmentFor(map);
  const ctx = { members: ['me', 'you'], due: '2026-01-01T10:00:00Z', handedIn: '2026-01-01T09:00:00Z' };
  const t = (f: () => void, k = 5) => {
    const xs = [];
    for (let i = 0; i < k; i++) {
      const s = performance.now();
      f();
      xs.push(performance.now() - s);
    }
    return xs.sort((x, y) => x - y)[k >> 1]!;
  };
  console.log(
    n,
    t(() => void checkMap(map, a, ctx)),
    JSON.stringify(map).length,
    t(() => {
      for (let i = 0; i < 20; i++) JSON.parse(JSON.stringify(map));
    }),
  );
  console.log(
    a.requirements
      .map((r) => [r.type, t(() => void checkMap(map, { ...a, requirements: [r] }, ctx))] as const)
      .sort((x, y) => y[1] - x[1])
      .slice(0, 16)
      .map(([k, v]) => `${k} ${v.toFixed(2)}`)
      .join('\n'),
  );
  console.log(JSON.stringify(checkMap(map, a, ctx).results.map((r) => [r.type, r.fraction])));
}
