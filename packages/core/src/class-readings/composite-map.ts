import { fitTopic } from '../geometry/fit.js';
import { isStructural } from '../map/kinds.js';
import { kindOfTopic } from '../map/style.js';
import { emptyMap } from '../map/types.js';
import type { Assignment, Link, Topic, TopicMap } from '../map/types.js';
import type { Composite, Tie } from './composite.js';

/** Type sizes of what hardly anybody and of what everybody has, canvas units. */
const SIZES = [13, 18] as const;
/** Widths of what one and of what everybody drew. */
const WIDTHS = [1, 9] as const;

const between = ([least, most]: readonly [number, number], share: number): number =>
  Math.round((least + (most - least) * share) * 2) / 2;

/** Names a tie, as its link's id on the map of a composite. */
export const tieId = ({ a, b }: Pick<Tie, 'a' | 'b'>): string => JSON.stringify([a, b]);

export interface CompositeLooks {
  colourOf?: (tie: Tie) => string | undefined;
  worded?: number;
}

/**
 * A composite as a map, not laid out yet: topics the larger, links the wider, the more maps have them, each tie with its
 * commonest phrase, the way most drew it. Ids are concepts, and of links `tieId`.
 * @param maps how many maps there are
 * @param looks.colourOf the colour of a tie's link; left out, its kind's
 * @param looks.worded how many ties have their words on the map, those most drew first; left out, all
 */
export function compositeMap(
  { topics, ties }: Composite,
  { legend, title, focusQuestion }: Pick<Assignment, 'legend' | 'title' | 'focusQuestion'>,
  maps: number,
  { colourOf = () => undefined, worded = Infinity }: CompositeLooks = {},
): TopicMap {
  const share = (drawn: number): number => (maps <= 1 ? 1 : (drawn - 1) / (maps - 1));
  // What stands beside the structure has no ties here, and is judged by what was chosen to show it.
  const drawn = topics.filter(({ kind }) => isStructural(kindOfTopic(legend, kind)));
  const there = new Set(drawn.map(({ concept }) => concept));
  const withWords = new Set([...ties].sort((one, other) => other.maps - one.maps).slice(0, worded));
  return {
    ...emptyMap(),
    title,
    focusQuestion,
    legend,
    topics: drawn.map(({ concept, label, kind, maps: having }): Topic => {
      const topic = {
        id: concept,
        text: label,
        kind,
        x: 0,
        y: 0,
        width: 1,
        height: 1,
        fontSize: between(SIZES, share(having)),
      };
      return { ...topic, ...fitTopic(topic, legend) };
    }),
    links: ties
      .filter(({ a, b }) => there.has(a) && there.has(b))
      .map((tie): Link => {
        const [first] = tie.phrases;
        const from = first?.from ?? tie.a;
        const colour = colourOf(tie);
        return {
          id: tieId(tie),
          from,
          to: from === tie.a ? tie.b : tie.a,
          phrase: (withWords.has(tie) && first?.phrase) || '',
          kind: null,
          width: between(WIDTHS, share(tie.maps)),
          ...(colour !== undefined && { colour }),
        };
      }),
  };
}
