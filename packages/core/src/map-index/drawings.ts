import { drawnSolid, phraseBlocks, phraseBoxOn, visibleLine } from '../geometry/draw-link.js';
import { partOutside, solidOf } from '../geometry/drawn-part.js';
import { findHits, Hits } from '../geometry/hits.js';
import type { HitFinder } from '../geometry/hits.js';
import { polyline } from '../geometry/points.js';
import type { Box, Point, Polyline } from '../geometry/points.js';
import { isBlank } from '../words/normal-form.js';
import { linkStyle } from '../map/style.js';
import type { Legend, Link, Topic } from '../map/types.js';

interface Drawing {
  link: Link;
  from: Topic;
  to: Topic;
  part: Polyline;
  /** undefined: not asked for yet */
  phrase?: Box | null;
}

/**
 * How links are drawn, remembered for as long as link and ends are the very same objects. One may serve many checks of a
 * map that changes little from one to the next; all of one legend.
 */
export class Drawings {
  private readonly drawings = new Map<string, Drawing>();
  private readonly blocks = phraseBlocks();
  private readonly solids = onTopics((topic) => solidOf(topic, this.legend));
  private readonly outlines = onTopics((topic) => drawnSolid(topic, this.legend, this.solids(topic)));

  /** Where drawn parts meet; which run into topics; what words on links lie on. */
  readonly meetings;
  readonly linesInTopics;
  readonly phrasesOnTopics;
  readonly phrasesOnPhrases;
  readonly linesInPhrases;

  /** @param remembers whether it serves more than one check */
  constructor(
    private readonly legend: Legend,
    remembers = true,
  ) {
    const finder = <R>(): HitFinder<R> => (remembers ? new Hits<R>() : { find: findHits });
    this.meetings = finder<Point>();
    this.linesInTopics = finder<true>();
    this.phrasesOnTopics = finder<true>();
    this.phrasesOnPhrases = finder<true>();
    this.linesInPhrases = finder<true>();
  }

  /** The drawn part of a link: canvas units, possibly of no points. */
  part(link: Link, from: Topic, to: Topic): Polyline {
    return this.of(link, from, to).part;
  }

  phraseBox(link: Link, from: Topic, to: Topic): Box | null {
    const drawing = this.of(link, from, to);
    return drawing.phrase === undefined ? (drawing.phrase = this.layPhrase(drawing)) : drawing.phrase;
  }

  private layPhrase({ link, from, to, part }: Drawing): Box | null {
    if (isBlank(link.phrase)) return null;
    const style = linkStyle(link, this.legend);
    const ends = [this.outlines(from), this.outlines(to)];
    const isAsChecked = ends[0] === this.solids(from) && ends[1] === this.solids(to);
    const line = isAsChecked ? part.points : visibleLine(style, from, to, ends);
    return phraseBoxOn(line, style.phraseAt, this.blocks(link));
  }

  private of(link: Link, from: Topic, to: Topic): Drawing {
    const known = this.drawings.get(link.id);
    if (known?.link === link && known.from === from && known.to === to) return known;
    const ends = [this.solids(from), this.solids(to)];
    const drawing: Drawing = { link, from, to, part: polyline(partOutside(link, from, to, this.legend, ends)) };
    this.drawings.set(link.id, drawing);
    return drawing;
  }
}

function onTopics<T>(compute: (topic: Topic) => T): (topic: Topic) => T {
  const known = new Map<string, { topic: Topic; value: T }>();
  return (topic) => {
    const before = known.get(topic.id);
    if (before?.topic === topic) return before.value;
    const value = compute(topic);
    known.set(topic.id, { topic, value });
    return value;
  };
}
