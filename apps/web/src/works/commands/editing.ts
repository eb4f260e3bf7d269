import { hangsBy } from '@ichnograph/core';
import { announce } from '../../common/announcer';
import { nextLink } from '../../map';
import { act } from './command';
import type { Command } from './command';
import { anything, copying, hasBranch, one, oneTopic, picturesIn, shownIn, someLink } from './selected';

/** A browser may keep its clipboard from a page; what was copied can still be pasted here. */
const toClipboard = (words: string): void => void navigator.clipboard?.writeText(words).catch(() => undefined);

/** The commands that make, change and copy. */
export const EDITING: readonly Command[] = [
  act(
    'undo',
    'Undo',
    ['Mod+Z'],
    'page',
    ({ canUndo }) => canUndo,
    (a) => a.undo(),
  ),
  act(
    'redo',
    'Redo',
    ['Mod+Shift+Z', 'Mod+Y'],
    'page',
    ({ canRedo }) => canRedo,
    (a) => a.redo(),
  ),
  {
    id: 'make',
    name: 'Make a topic in the middle of the view',
    keys: ['Insert'],
    where: 'canvas',
    edits: true,
    run: ({ editor, centre }) => editor.actions.make(centre()),
  },
  act('grow', 'Grow a topic from the selected one', ['Tab'], 'canvas', oneTopic, (a) => a.grow(false)),
  act('sibling', 'Make a sibling of the selected topic', ['Enter'], 'canvas', oneTopic, (a) => a.grow(true)),
  {
    id: 'words',
    name: 'Change the words of what is selected',
    keys: ['F2', 'Enter'],
    where: 'canvas',
    edits: true,
    can: one,
    run: ({ editor }) => editor.actions.edit(editor.store.getState().selection[0]!),
  },
  act('link', 'Link the selected topic to another', ['Alt+K'], 'canvas', oneTopic, (a) => a.ask('link')),
  {
    id: 'up',
    name: 'Go to what the selected topic hangs from',
    keys: ['Alt+U'],
    where: 'canvas',
    can: oneTopic,
    run: ({ editor: { store, actions } }) => {
      const { map, selection } = store.getState();
      const over = hangsBy(map).get(selection[0]!)?.from;
      if (over === undefined) announce('It hangs from nothing.');
      else actions.select([over]);
    },
  },
  {
    id: 'next-link',
    name: 'Go to the next link of the selected topic',
    keys: ['Alt+J'],
    where: 'canvas',
    can: one,
    run: ({ editor: { store, actions } }) => {
      const { map, selection } = store.getState();
      nextLink(map, selection, actions.select);
    },
  },
  act('turn', 'Turn the selected links round', [], 'canvas', someLink, (a) => a.turn()),
  {
    id: 'look-large',
    name: 'Look at its picture large',
    keys: [],
    where: 'canvas',
    can: (state) => shownIn(state).length > 0,
    run: ({ editor: { store, actions } }) => actions.lookLarge(shownIn(store.getState())[0] ?? null),
  },
  act(
    'as-topic',
    'Make the picture a topic, to link it',
    [],
    'canvas',
    (state) => picturesIn(state).length > 0,
    (a) => a.picturesAsTopics(),
  ),
  act('as-its-kind', 'Draw as its kind again', [], 'canvas', anything, (a) => a.asItsKind()),
  act('delete', 'Delete what is selected', ['Delete', 'Backspace'], 'canvas', anything, (a) => a.remove()),
  // Their keys come as events of the clipboard, which alone may be written and read without asking.
  act('copy', 'Copy', [], 'canvas', copying, (a) => toClipboard(a.copy())),
  act('cut', 'Cut', [], 'canvas', copying, (a) => {
    toClipboard(a.copy());
    a.remove();
  }),
  act('paste', 'Paste what was copied here', [], 'canvas', undefined, (a) => a.paste()),
  act('copy-branch', 'Copy with all that hangs from it', [], 'canvas', hasBranch, (a) => {
    a.chooseBranch();
    toClipboard(a.copy());
  }),
  act('cut-branch', 'Cut with all that hangs from it', [], 'canvas', hasBranch, (a) => {
    a.chooseBranch();
    toClipboard(a.copy());
    a.remove();
  }),
  act('delete-branch', 'Delete with all that hangs from it', [], 'canvas', hasBranch, (a) => {
    a.chooseBranch();
    a.remove();
  }),
  act('duplicate', 'Duplicate', ['Mod+D'], 'canvas', copying, (a) => a.duplicate()),
];
