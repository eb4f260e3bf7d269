import type { Point } from '../geometry/points.js';
import { sharedShift } from '../comparison/shift.js';
import type { Topic } from '../map/types.js';
import type { Reading } from './reading.js';

/** How alike two maps are, by position: in what they say of their own, and in where they put it. Accuses nobody. */
export interface Likeness {
  a: number;
  b: number;
  /** 0 to 1, rare features weighing more */
  likeness: number;
  /** share of shared concepts that lie alike; 0 when fewer than six are compared */
  placement: number;
}

const LEAST_COMPARED = 6;
/** Canvas units, in x and in y. */
const NEAR = 4;
/** Canvas units: what lies so near its starter topic was not placed by anybody. */
const UNMOVED = 1;
const CLOSE = 1e-9;

/** For each two maps, most alike first. @param starter the starter map, read as they are */
export function likenessOf(readings: readonly Reading[], starter: Reading | null): Likeness[] {
  const features = readings.map((reading) => ownFeatures(reading, starter));
  const counts = new Map<string, number>();
  for (const own of features) for (const feature of own) counts.set(feature, (counts.get(feature) ?? 0) + 1);
  const shares = new WeightedShares(counts, readings.length);
  const pairs = readings.flatMap((_, a) =>
    readings.slice(a + 1).map((__, i): Likeness => {
      const b = a + 1 + i;
      return {
        a,
        b,
        likeness: shares.of(features[a]!, features[b]!),
        placement: placementOf(readings[a]!, readings[b]!, starter),
      };
    }),
  );
  // What only rounding sets apart is as alike.
  const key = ({ likeness }: Likeness): number => Math.round(likeness / CLOSE);
  return pairs.sort((x, y) => key(y) - key(x) || x.a - y.a || x.b - y.b);
}

/** What a map says that the starter does not: its propositions, and its concepts that are no term's. */
function ownFeatures({ topics, propositions }: Reading, starter: Reading | null): ReadonlySet<string> {
  const own = [...topics.keys()].filter((concept) => concept.startsWith('text:') && !starter?.topics.has(concept));
  const said = [...propositions.keys()].filter((key) => !starter?.propositions.has(key));
  return new Set([...own, ...said]);
}

/** Shares of features, each weighing ln((maps + 1) / maps that have it). */
class WeightedShares {
  constructor(
    private readonly counts: ReadonlyMap<string, number>,
    private readonly maps: number,
  ) {}

  of(one: ReadonlySet<string>, other: ReadonlySet<string>): number {
    const both = [...one].filter((feature) => other.has(feature));
    const either = [...one, ...[...other].filter((feature) => !one.has(feature))];
    const sum = this.sum(either);
    return sum === 0 ? 0 : this.sum(both) / sum;
  }

  /** By counts, so that the same features give the same sum in whatever order they stand. */
  private sum(features: readonly string[]): number {
    const many = new Map<number, number>();
    for (const feature of features) {
      const count = this.counts.get(feature)!;
      many.set(count, (many.get(count) ?? 0) + 1);
    }
    return [...many]
      .sort(([a], [b]) => a - b)
      .reduce((total, [count, times]) => total + times * Math.log((this.maps + 1) / count), 0);
  }
}

function placementOf(one: Reading, other: Reading, starter: Reading | null): number {
  const given = (topic: Topic) => (topic.origin === undefined ? undefined : starter?.index.topicById.get(topic.origin));
  const compared = [...one.topics].flatMap(([concept, [before]]) => {
    const [after] = other.topics.get(concept) ?? [];
    if (!before || !after) return [];
    const [from, to] = [given(before), given(after)];
    const isUntouched =
      from && from === to && [before, after].every((topic) => distance(topic, from) <= UNMOVED + CLOSE);
    return isUntouched ? [] : [{ before, after }];
  });
  if (compared.length < LEAST_COMPARED) return 0;
  const shift = sharedShift(compared);
  const alike = compared.filter(({ before, after }) =>
    (['x', 'y'] as const).every((axis) => Math.abs(after[axis] - before[axis] - shift[axis]) <= NEAR + CLOSE),
  );
  return alike.length / compared.length;
}

const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);
