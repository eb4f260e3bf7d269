import type { ShownMark } from './scale.js';

/** A mark as it is said. */
export function markWords(mark: ShownMark): string {
  switch (mark.as) {
    case 'points':
      return `${mark.sum} of ${mark.outOf}`;
    case 'percent':
      return `${mark.percent} %`;
    case 'named':
      return mark.name ?? 'under every threshold';
    case 'pass':
      return mark.passed ? 'passed' : 'not passed';
  }
}
