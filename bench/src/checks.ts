import { checkMap, LiveCheck, readMapText, writeMap, understood } from '@ichnograph/core';
import type { CheckContext, TopicMap } from '@ichnograph/core';
import { ALL_PAIRS } from './all-pairs.js';
import { assignmentFor, mapOf } from './maps.js';
import { line, median, ms, timeOf, times, timesInTurn, title } from './measure.js';

const SIZES = [30, 300, 3000] as const;
/** How often each size is checked in a round, and how many rounds. */
const CALLS = [20, 6, 1] as const;
const ROUNDS = 15;
const SEED = 11;
const CONTEXT: CheckContext = {
  members: ['me', 'you'],
  due: '2026-01-01T10:00:00Z',
  handedIn: '2026-01-01T09:00:00Z',
};

/** How long checks take, as ratios within this run. */
export function benchChecks(): void {
  title('A whole check of all 52 types (links: 1.5 a topic, density and length of links fixed)');
  const maps = SIZES.map((size) => mapOf(size, SEED));
  const assignments = maps.map(assignmentFor);
  const whole = timesInTurn(
    maps.map((map, i) => ({ calls: CALLS[i]!, work: () => void checkMap(map, assignments[i]!, CONTEXT) })),
    ROUNDS,
  );
  maps.forEach(({ links }, i) => line(`${SIZES[i]} topics, ${links.length} links`, ms(whole[i]!)));
  line('3,000 topics : 300 topics', times(whole[2]! / whole[1]!), 'wanted: at most 12');
  besideJson();
  moving();
  againstAllPairs();
  title('Each type by itself: 30, 300 and 3,000 topics');
  assignments[0]!.requirements.forEach(({ type }, r) => {
    const found = timesInTurn(
      maps.map((map, i) => {
        const one = { ...assignments[i]!, requirements: [assignments[i]!.requirements[r]!] };
        return { calls: CALLS[i]!, work: () => void checkMap(map, one, CONTEXT) };
      }),
      5,
    );
    line(type, found.map(ms).join(' · '));
  });
}

/** One run of both, turn about, so that what else the machine does falls on both. */
function besideJson(): void {
  const map = mapOf(300, SEED);
  const assignment = assignmentFor(map);
  const [checks, texts]: [number[], number[]] = [[], []];
  const files: number[] = [];
  for (let i = 0; i < 200; i++) {
    const start = performance.now();
    checkMap(map, assignment, CONTEXT);
    const checked = performance.now();
    for (let k = 0; k < 20; k++) JSON.parse(JSON.stringify(map));
    const written = performance.now();
    for (let k = 0; k < 20; k++) understood(readMapText(JSON.stringify(writeMap(map))));
    if (i < 100) continue;
    checks.push(checked - start);
    texts.push(written - checked);
    files.push(performance.now() - written);
  }
  line(
    'a check of 300 topics : its JSON written and parsed 20 times',
    times(median(checks) / median(texts)),
    'wanted: below 1',
  );
  line('… : its file written and read, rules and all, 20 times', times(median(checks) / median(files)));
}

function moving(): void {
  const map = mapOf(300, SEED);
  const assignment = assignmentFor(map);
  const live = new LiveCheck(assignment, CONTEXT);
  const [wholes, moves]: [number[], number[]] = [[], []];
  let equal = true;
  for (let i = 0; i < 120; i++) {
    const moved: TopicMap = structuredClone({
      ...map,
      topics: map.topics.map((topic, t) => (t === i ? { ...topic, x: topic.x + 37 } : topic)),
    });
    live.check(map);
    const start = performance.now();
    const report = live.check(moved);
    const middle = performance.now();
    const again = checkMap(moved, assignment, CONTEXT);
    if (i >= 20) {
      wholes.push(performance.now() - middle);
      moves.push(middle - start);
    }
    equal &&= JSON.stringify(report) === JSON.stringify(again);
  }
  line('after moving 1 topic of 300 : a whole check', times(median(moves) / median(wholes)), 'wanted: at most 0.25');
  line('… and the two reports are the same to the last bit', equal ? 'yes' : 'NO');
}

function againstAllPairs(): void {
  title('Geometric types at 3,000 topics: every pair with every pair : with an index');
  const map = mapOf(3000, SEED);
  const assignment = assignmentFor(map);
  let [naive, indexed] = [0, 0];
  for (const [type, count] of Object.entries(ALL_PAIRS)) {
    const one = {
      ...assignment,
      requirements: assignment.requirements.filter((requirement) => requirement.type === type),
    };
    const start = performance.now();
    count(map, assignment);
    const slow = performance.now() - start;
    const fast = timeOf(() => void checkMap(map, one), 9);
    [naive, indexed] = [naive + slow, indexed + fast];
    line(type, times(slow / fast));
  }
  line('all of them', times(naive / indexed), 'wanted: at least 20');
}

/** Ten thousand checks one after the other, as a worker does that lives through a lesson. */
export function benchHeap(): void {
  title('Memory over 10,000 live checks of a map of 30 topics');
  const map = mapOf(30, SEED);
  const live = new LiveCheck(assignmentFor(map), CONTEXT);
  const collect = (globalThis as { gc?: () => void }).gc;
  const used = (): number => {
    collect?.();
    return process.memoryUsage().heapUsed / 2 ** 20;
  };
  let early = 0;
  for (let i = 1; i <= 10_000; i++) {
    const topics = map.topics.map((topic, t) =>
      t === i % 30 ? { ...topic, x: topic.x + (i % 7), text: `${topic.text} ${i % 50}` } : topic,
    );
    live.check({ ...map, topics });
    if (i === 1000) early = used();
  }
  const late = used();
  line('heap after 1,000 and after 10,000 checks', `${early.toFixed(1)} · ${late.toFixed(1)} MiB`, 'wanted: flat');
}
