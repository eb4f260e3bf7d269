import { branchOf } from '@ichnograph/core';
import type { Choice, Edge, Layer, TidyWay } from '@ichnograph/core';
import { act } from './command';
import type { Command } from './command';
import type { Editor, EditorState } from '../editor';
import { anything, oneLink, oneTopic, several, someTopic } from './selected';

/** The commands that arrange, choose and hang. Those with a letter are reached by it after the leader key. */

const isMap = ({ map }: EditorState): boolean => map.topics.length > 0;

type Run = (actions: Editor['actions']) => void;
const arranging = (id: string, leader: string | null, name: string, can: Command['can'], run: Run): Command => ({
  ...act(id, name, [], 'canvas', can, run),
  ...(leader !== null && { leader }),
  group: 'arrange',
});

const LINES: readonly (readonly [Edge, string, string])[] = [
  ['left', 'L', 'Line up left edges'],
  ['centre', 'C', 'Line up centres, one below the other'],
  ['right', 'E', 'Line up right edges'],
  ['top', 'U', 'Line up upper edges'],
  ['middle', 'M', 'Line up middles, side by side'],
  ['bottom', 'D', 'Line up lower edges'],
];
const LAYERS: readonly (readonly [Layer, string, string])[] = [
  ['front', '1', 'Draw before all others'],
  ['forward', '2', 'Draw one step further forward'],
  ['back', '3', 'Draw one step further back'],
  ['behind', '4', 'Draw behind all others'],
];
const TIDY: readonly (readonly [TidyWay, string, string])[] = [
  ['downward', 'T', 'Tidy downward'],
  ['outward', 'O', 'Tidy outward from the middle'],
  ['sideways', 'Y', 'Tidy sideways'],
  ['timeline', 'I', 'Tidy along time'],
];
const LEVELS: readonly (readonly [number, string])[] = [
  [1, 'Fold to the first level'],
  [2, 'Fold to the second level'],
  [3, 'Fold to the third level'],
];
const CHOICES: readonly (readonly [Choice, string])[] = [
  ['branch', 'Select all that hangs from it'],
  ['links that leave', 'Select the links that leave'],
  ['links that arrive', 'Select the links that arrive'],
  ['same kind', 'Select all of the same kind'],
  ['same looks', 'Select all that look the same'],
];

export const LEADER = 'Alt+A';

export const ARRANGING: readonly Command[] = [
  {
    id: 'lead',
    name: 'Arrange: then a letter',
    keys: [LEADER],
    where: 'canvas',
    edits: true,
    run: ({ editor }) => editor.actions.lead(true),
  },
  ...TIDY.map(([way, letter, name]): Command => ({
    ...arranging(`tidy-${way}`, letter, name, isMap, () => undefined),
    run: ({ editor, frame, fit, bringIn }) =>
      void editor.actions.tidy(way, frame()).then((tidied) => {
        if (tidied === 'all') fit();
        else if (tidied === 'some') bringIn();
      }),
  })),
  arranging('row', 'R', 'Set in a row', several, (a) => a.setInRow('x')),
  arranging('stack', 'S', 'Stack', several, (a) => a.setInRow('y')),
  arranging('wider', '+', 'Space them wider', several, (a) => a.space(1)),
  arranging('closer', '-', 'Space them closer', several, (a) => a.space(-1)),
  ...LINES.map(([edge, letter, name]) => arranging(`line-${edge}`, letter, name, several, (a) => a.lineUp(edge))),
  arranging('same-width', 'W', 'Make as wide as the widest', several, (a) => a.sameSize('width')),
  arranging('same-height', 'H', 'Make as high as the highest', several, (a) => a.sameSize('height')),
  arranging('room-below', 'B', 'Make room below', someTopic, (a) => a.makeRoom('y')),
  arranging('room-right', 'G', 'Make room at the right', someTopic, (a) => a.makeRoom('x')),
  arranging('room-line-below', null, 'Pull a line below it to make room', someTopic, (a) => a.askRoom('y')),
  arranging('room-line-right', null, 'Pull a line at its right to make room', someTopic, (a) => a.askRoom('x')),
  arranging('clear', 'K', 'Move clear of what it lies on', someTopic, (a) => a.moveClear()),
  arranging('pull-apart', 'J', 'Pull lines and words apart', isMap, (a) => void a.pullApart()),
  arranging('uncross', 'X', 'Make the one move that takes most crossings away', isMap, (a) => a.uncross()),
  arranging('moves', null, 'Show the moves that take crossings away', isMap, (a) => a.showMoves(true)),
  arranging('keep', 'N', 'Keep where it is, or let it go', someTopic, (a) => a.toggleMark('kept')),
  arranging('colour-branches', 'P', 'Give each branch a fill of its own', isMap, (a) => a.colourBranches()),
  {
    id: 'whole-looks',
    group: 'arrange',
    name: 'Looks of the whole map …',
    keys: [],
    where: 'page',
    edits: true,
    can: isMap,
    run: ({ show }) => show('looks'),
  },
  {
    ...arranging('fold', 'F', 'Fold or unfold what hangs from it', someTopic, () => undefined),
    run: ({ editor: { store, actions }, bringIn }) => {
      actions.fold();
      const { map, selection } = store.getState();
      bringIn(branchOf(map, selection));
    },
  },
  ...LEVELS.map(([level, name]): Command => ({
    ...arranging(`fold-to-${level}`, null, name, isMap, () => undefined),
    run: ({ editor: { actions }, fit }) => {
      actions.foldToLevel(level);
      requestAnimationFrame(fit);
    },
  })),
  arranging(
    'unfold',
    'A',
    'Unfold everything',
    ({ map }) => map.topics.some(({ folded }) => folded),
    (a) => a.unfoldAll(),
  ),
  ...LAYERS.map(([to, letter, name]) => arranging(`layer-${to}`, letter, name, anything, (a) => a.setLayer(to))),
];

export const CHOOSING: readonly Command[] = [
  ...CHOICES.map(([choice, name]): Command => ({
    ...act(`choose-${choice}`, name, [], 'canvas', anything, (a) => a.choose(choice)),
    edits: false,
    group: 'choose',
  })),
  {
    ...act(
      'choose-flagged',
      'Select all that the chosen requirement flags',
      [],
      'canvas',
      ({ requirement }) => requirement !== null,
      (a) => a.chooseFlagged(),
    ),
    edits: false,
    group: 'choose',
  },
];

export const HANGING: readonly Command[] = [
  act(
    'between',
    'Make a topic in between',
    ['Alt+B'],
    'canvas',
    (state) => oneLink(state) || oneTopic(state),
    (a) => a.between(),
  ),
  act('hang', 'Hang it, with all that hangs from it, elsewhere', ['Alt+H'], 'canvas', someTopic, (a) => a.ask('hang')),
  {
    ...act(
      'drag-branch',
      'Take a topic’s branch along when it is dragged, or not',
      [],
      'canvas',
      isMap,
      () => undefined,
    ),
    group: 'arrange',
    run: ({ editor: { store, actions } }) => actions.takeBranch(!store.getState().withBranch),
  },
  act('cut-loose', 'Cut it loose', [], 'canvas', someTopic, (a) => a.cutLoose()),
  act('from', 'Let the link begin at another topic', [], 'canvas', oneLink, (a) => a.ask('from')),
  act('to', 'Let the link lead to another topic', [], 'canvas', oneLink, (a) => a.ask('to')),
  act('all-to-one', 'Link all selected to the last one', [], 'canvas', several, (a) => a.linkAll('to one')),
  act('one-to-all', 'Link the last selected to all others', [], 'canvas', several, (a) => a.linkAll('from one')),
  {
    id: 'about',
    name: 'Notes, pictures, addresses, files, marks',
    keys: ['Alt+N'],
    where: 'canvas',
    edits: true,
    can: someTopic,
    run: ({ editor }) => editor.actions.about(true),
  },
  act('picture', 'Put a picture into it, or onto the map', ['Alt+I'], 'page', undefined, (a) =>
    a.openPictures('Library'),
  ),
  act('sketch', 'Draw a sketch', ['Alt+S'], 'page', undefined, (a) => a.openPictures('Sketch')),
  act('region', 'Draw a region around it', ['Alt+R'], 'canvas', someTopic, (a) => a.askRegion('new')),
  act('group', 'Group: let them move as one', ['Mod+G'], 'canvas', several, (a) => a.group()),
  act('ungroup', 'Ungroup', ['Mod+Shift+G'], 'canvas', someTopic, (a) => a.ungroup()),
  act(
    'copy-looks',
    'Copy the looks',
    ['Mod+Alt+C'],
    'canvas',
    (state) => state.selection.length === 1,
    (a) => a.copyLooks(),
  ),
  act('give-looks', 'Give the copied looks', ['Mod+Alt+V'], 'canvas', anything, (a) => a.giveLooks()),
];
