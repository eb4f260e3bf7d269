import { MapIndex } from '../map-index/map-index.js';
import type { Assignment, TopicMap } from '../map/types.js';
import { noteLength, noteUnits } from '../requirements/content/note-length.js';
import type { NoteParams } from '../requirements/content/note-length.js';
import { withDefaults } from '../requirements/params.js';

/** How many words are wanted somewhere: what the assignment asks, what the author set out to write, and what is there. */
export interface NoteAim {
  words: number;
  least: number | null;
  most: number | null;
}

/**
 * By topic, how long notes are asked to be: of the topic itself, or of it and all below it where the assignment counts by
 * branches. The first requirement on the length of notes counts.
 */
export function noteAims(map: TopicMap, assignment: Assignment): ReadonlyMap<string, NoteAim> {
  const asked = assignment.requirements.find(({ type }) => type === noteLength.id);
  if (!asked) return new Map();
  const params = withDefaults(noteLength, asked.params) as NoteParams;
  const units = noteUnits(params, new MapIndex(map, assignment), assignment);
  return new Map(units.map(({ topic, words, min, max }) => [topic.id, { words, least: min, most: max ?? null }]));
}
