import type { Frame } from '@ichnograph/core';
import type { Editor, EditorState, Spot } from '../editor';

/** What of the map page opens over it. */
export type Shown =
  | 'brief'
  | 'hand in'
  | 'keys'
  | 'palette'
  | 'versions'
  | 'own maps'
  | 'bring in'
  | 'print'
  | 'save as'
  | 'share'
  | 'show'
  | 'task'
  | 'spelling'
  | 'paper'
  | 'looks';

/** The ways to look at a map. */
export const VIEWS = ['Map', 'Outline', 'Sentences', 'Tree', 'Tour'] as const;
export type View = (typeof VIEWS)[number];

/** What a command may use of the page it acts on. */
export interface DeskHand {
  editor: Editor;
  mayEdit: boolean;
  mayHandIn: boolean;
  /** the middle of what is seen of the map */
  centre: () => Spot;
  leaveCanvas: () => void;
  /** opens what finds words in the view that is shown */
  find: () => void;
  fit: () => void;
  /** what of the screen the map has, in units of a map at full size */
  frame: () => Frame;
  /** brings into sight what is selected, or what is named */
  bringIn: (ids?: readonly string[]) => void;
  /** selects things and brings them into view */
  go: (ids: readonly string[]) => void;
  show: (what: Shown | View) => void;
}

/**
 * One thing a person can do on the map page: what it is called, its keys, whether it can act now, and the act. Keys, bars,
 * palette and the list of keys all read this.
 */
export interface Command {
  id: string;
  name: string;
  /** chords as `chordOf` writes them */
  keys: readonly string[];
  /** on the canvas its keys act only while that has the focus; on the page wherever nothing is being typed */
  where: 'canvas' | 'page';
  edits?: boolean;
  /** the key that runs it after the leader key */
  leader?: string;
  /** the menu that shows it */
  group?: 'arrange' | 'choose' | 'map';
  can?: (state: EditorState) => boolean;
  run: (desk: DeskHand) => void;
}

/** A command that changes the map by one action of the editor. */
export function act(
  id: string,
  name: string,
  keys: readonly string[],
  where: Command['where'],
  can: Command['can'],
  run: (actions: Editor['actions']) => void,
): Command {
  return { id, name, keys, where, edits: true, ...(can && { can }), run: ({ editor }) => run(editor.actions) };
}
