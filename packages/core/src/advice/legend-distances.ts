import {
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  filterGrayscale,
  formatHex,
  parse,
} from 'culori';
import { colourDistance } from '../map/colour.js';
import type { Legend, TopicKind } from '../map/types.js';
import { listed, quoted } from './words.js';

/** How a legend is looked at. */
export const EYES = ['normal', 'protan', 'deutan', 'tritan', 'grey'] as const;
export type Eyes = (typeof EYES)[number];

export interface KindDistance {
  kinds: [string, string];
  sameShape: boolean;
  /** CIEDE2000 between the two fills, as each pair of eyes sees them; Infinity where only one has a fill */
  distances: Record<Eyes, number>;
  /** of two of one shape: for which eyes they are hard to tell apart, and a sentence for the teacher */
  close: Eyes[];
  sentence: string | null;
}

/** Under this distance two fills of one shape are easily taken for each other. */
const TOLD_APART = 12;

/**
 * How each sees a colour. Protan, deutan and tritan eyes in full strength after Machado, Oliveira and Fernandes (2009), “A
 * physiologically-based model for simulation of color vision deficiency”; grey print by luminance.
 */
const SEEN: Record<Eyes, (hex: string) => string> = {
  normal: (hex) => hex,
  protan: through(filterDeficiencyProt(1)),
  deutan: through(filterDeficiencyDeuter(1)),
  tritan: through(filterDeficiencyTrit(1)),
  grey: through(filterGrayscale(1)),
};

const NAMES: Record<Eyes, string> = {
  normal: 'for anybody',
  protan: 'for eyes that lack red',
  deutan: 'for eyes that lack green',
  tritan: 'for eyes that lack blue',
  grey: 'in grey print',
};

function through(filter: ReturnType<typeof filterGrayscale>): (hex: string) => string {
  return (hex) => (hex === 'none' ? hex : (formatHex(filter(parse(hex)!)) ?? hex));
}

/** How far every two kinds of a legend are apart, for all eyes and in grey print. */
export function legendDistances({ topicKinds }: Pick<Legend, 'topicKinds'>): KindDistance[] {
  return topicKinds.flatMap((one, i) => topicKinds.slice(i + 1).map((other) => between(one, other)));
}

function between(one: TopicKind, other: TopicKind): KindDistance {
  const distances = Object.fromEntries(
    EYES.map((eyes) => [eyes, colourDistance(SEEN[eyes](one.fill), SEEN[eyes](other.fill))]),
  ) as Record<Eyes, number>;
  const sameShape = one.shape === other.shape;
  const close = sameShape ? EYES.filter((eyes) => distances[eyes] < TOLD_APART) : [];
  return {
    kinds: [one.id, other.id],
    sameShape,
    distances,
    close,
    sentence:
      close.length === 0
        ? null
        : `${quoted(one.name)} and ${quoted(other.name)} have one shape and are hard to tell apart ${listed(close.map((eyes) => NAMES[eyes]))}.`,
  };
}
