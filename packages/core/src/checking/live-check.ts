import { Drawings } from '../map-index/drawings.js';
import { MapIndex } from '../map-index/map-index.js';
import { reconciled } from '../map-index/reconciled.js';
import type { Assignment, CheckContext, TopicMap } from '../map/types.js';
import { WordForms } from '../words/word-forms.js';
import { reportOf, resultOf, timerOf } from './check-map.js';
import type { CheckOptions } from './check-map.js';
import { requirementTypeOf } from '../requirements/registry.js';
import type { Report, Result } from '../requirements/types.js';

/**
 * Checks one map again and again as it is drawn. Each report is, to the last bit, the one that `checkMap` gives; what a
 * change cannot have touched is taken over from the one before. When things were only moved, that is every requirement
 * that does not read places, and the drawing of every link but those that moved.
 */
export class LiveCheck {
  private readonly words: WordForms;
  private readonly drawings: Drawings;
  private before: { index: MapIndex; results: Result[] } | null = null;

  constructor(
    private readonly assignment: Assignment,
    private readonly context?: CheckContext,
    private readonly options: CheckOptions = {},
  ) {
    this.words = new WordForms(assignment.language);
    this.drawings = new Drawings(assignment.legend);
  }

  /** @param next a mended, sorted snapshot */
  check(next: TopicMap): Report {
    const { before } = this;
    const { map, onlyMoved } = before ? reconciled(before.index.map, next) : { map: next, onlyMoved: false };
    if (before && map === before.index.map) return reportOf(before.results);
    let undone = false;
    const options: CheckOptions = {
      ...this.options,
      onFault: (requirement, fault) => {
        undone = true;
        this.options.onFault?.(requirement, fault);
      },
    };
    const timer = timerOf(this.options);
    const index = new MapIndex(map, this.assignment, timer.pulse, this.words, this.drawings);
    if (before && onlyMoved) index.takeStructureOf(before.index);
    const results = this.assignment.requirements.map((requirement, i) => {
      const known = before?.results[i];
      if (known && onlyMoved && !requirementTypeOf(requirement.type)?.readsPlaces) return known;
      timer.begin();
      return resultOf(requirement, index, this.context, options);
    });
    // What was left undone, for want of time perhaps, is tried again at the next change.
    this.before = undone ? null : { index, results };
    return reportOf(results);
  }
}
