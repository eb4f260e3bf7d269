import type { PageKey } from '../../common/page-keys';
import type { View } from '../commands/command';

/** What keys do where the map is read as a list, beside those of the page. */
const OUTLINE: readonly PageKey[] = [
  { chords: ['Enter'], name: 'A new line beside this one; while it is written, the next' },
  { chords: ['Mod+Enter'], name: 'A new line below this one; while it is written too' },
  { chords: ['Tab', 'Shift+Tab'], name: 'While a new line is written: set it in, or out' },
  { chords: ['Alt+ArrowUp', 'Alt+ArrowDown'], name: 'Read the branch earlier, or later' },
  { chords: ['Alt+ArrowRight', 'Alt+ArrowLeft'], name: 'Set the line in, or out' },
  { chords: ['ArrowLeft', 'ArrowRight'], name: 'Fold, unfold, go to what it hangs from, to the next cell' },
  { chords: ['Alt+N'], name: 'Write its note' },
  { chords: ['Alt+K'], name: 'Tie it to another topic' },
  { chords: ['Delete'], name: 'Delete the line; what hangs from it hangs one higher' },
];
const SENTENCES: readonly PageKey[] = [
  { chords: ['Alt+V'], name: 'Go to the next sentence without words, or with vague ones' },
  { chords: ['F2', 'Enter'], name: 'Change this cell; in Checks, look at the requirement' },
  { chords: ['Alt+ArrowDown'], name: 'Choose the kind that stands in this cell' },
  { chords: ['Tab', 'Shift+Tab'], name: 'While it is changed: the next cell, the one before' },
  { chords: ['Shift+ArrowDown', 'Shift+ArrowUp'], name: 'Choose several: what is typed then is for all of them' },
  { chords: ['Space'], name: 'Choose the row, or not' },
  { chords: ['Delete'], name: 'Delete the chosen sentences' },
];
const TOUR: readonly PageKey[] = [
  { chords: ['PageDown', 'ArrowRight', 'Space'], name: 'While it plays: the next stop' },
  { chords: ['PageUp', 'ArrowLeft'], name: 'The stop before' },
  { chords: ['O'], name: 'The whole map, and back' },
  { chords: ['W'], name: 'Words of the stop, shown or not' },
  { chords: ['L'], name: 'The line of the tour, shown or not' },
  { chords: ['N'], name: 'The speaker’s window' },
  { chords: ['Escape'], name: 'End the tour' },
];

const LISTS: Partial<Record<View, readonly PageKey[]>> = { Outline: OUTLINE, Sentences: SENTENCES, Tour: TOUR };

/** The keys of the view that is shown; none of its own where the map is drawn. */
export const keysOfView = (view: View): readonly PageKey[] | undefined => LISTS[view];
