import { branchOf, DRAWING_TOOLS, hangsBy, isStructural, LIMITS } from '@ichnograph/core';
import type { Assignment, DrawingTool } from '@ichnograph/core';
import { createContext, useContext } from 'react';
import { announce } from '../common/announcer';
import { api, sentenceOfError } from '../common/api';
import { showChord } from '../common/chords';
import { refresh } from '../common/queries';
import { tell } from '../common/told';
import { flagSteps, nextLink, nextStep } from '../map';
import { useEditorState } from './editor';
import type { Editor, EditorState } from './editor';
import { ARRANGING, CHOOSING, HANGING } from './arranging';
import { act } from './command';
import type { Command, DeskHand } from './command';
import type { OpenWork } from './use-live-work';

const topicsIn = ({ map, selection }: EditorState): number =>
  map.topics.filter(({ id }) => selection.includes(id)).length;
const linksIn = ({ map, selection }: EditorState): number =>
  map.links.filter(({ id }) => selection.includes(id)).length;
const anything = ({ selection }: EditorState): boolean => selection.length > 0;
const oneTopic = (state: EditorState): boolean => state.selection.length === 1 && topicsIn(state) === 1;
const one = (state: EditorState): boolean => state.selection.length === 1;
const hasBranch = ({ map, selection }: EditorState): boolean => {
  const topics = map.topics.flatMap(({ id }) => (selection.includes(id) ? [id] : []));
  return topics.length > 0 && branchOf(map, topics).length > topics.length;
};
const picturesIn = ({ map, selection }: EditorState): EditorState['map']['pictures'] =>
  map.pictures.filter(({ id }) => selection.includes(id));
const copying = (state: EditorState): boolean => topicsIn(state) > 0 || picturesIn(state).length > 0;
/** Pictures of what is selected: loose ones, and those in topics. */
const shownIn = (state: EditorState): string[] => [
  ...picturesIn(state).map(({ src }) => src),
  ...state.map.topics.flatMap(({ id, pictures = [] }) =>
    state.selection.includes(id) ? pictures.map(({ src }) => src) : [],
  ),
];

/** A browser may keep its clipboard from a page; what was copied can still be pasted here. */
const toClipboard = (words: string): void => void navigator.clipboard?.writeText(words).catch(() => undefined);

const EDITING: readonly Command[] = [
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
  act(
    'turn',
    'Turn the selected links round',
    [],
    'canvas',
    (state) => linksIn(state) > 0,
    (a) => a.turn(),
  ),
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

const LOOKING: readonly Command[] = [
  {
    id: 'select-all',
    name: 'Select everything',
    keys: ['Mod+A'],
    where: 'canvas',
    run: ({ editor }) => editor.actions.selectAll(),
  },
  {
    id: 'let-go',
    name: 'Select nothing; once more, leave the canvas',
    keys: ['Escape'],
    where: 'canvas',
    run: ({ editor, leaveCanvas }) => (anything(editor.store.getState()) ? editor.actions.select([]) : leaveCanvas()),
  },
  {
    id: 'find',
    group: 'map',
    name: 'Find on the map',
    keys: ['Mod+F'],
    where: 'page',
    run: ({ editor, show }) => {
      show('Map');
      editor.actions.seek(editor.store.getState().sought ?? '');
    },
  },
  flagged('next-flag', 'Go to the next thing that is flagged', 'Alt+F', 1),
  flagged('flag-before', 'Go to the flagged thing before', 'Alt+Shift+F', -1),
  {
    id: 'alone',
    name: 'Look at its branch alone, or at everything again',
    keys: ['Alt+L'],
    where: 'canvas',
    run: ({ editor, fit }) => {
      const { alone, selection } = editor.store.getState();
      editor.actions.showAlone(alone === null ? (selection[0] ?? null) : null);
      requestAnimationFrame(fit);
    },
  },
  looking('overview', 'Show or hide the overview', (a) => a.toggleOverview()),
  looking('blank-topics', 'Hide the words of topics, to test yourself', (a) => a.toggleBlank('topics')),
  looking('blank-phrases', 'Hide the words of links, to test yourself', (a) => a.toggleBlank('phrases')),
  { id: 'fit', name: 'Show the whole map', keys: [], where: 'page', run: ({ fit }) => fit() },
  { id: 'map', name: 'Show the map', keys: [], where: 'page', run: ({ show }) => show('Map') },
  { id: 'sentences', name: 'Show the sentences', keys: [], where: 'page', run: ({ show }) => show('Sentences') },
  { id: 'outline', name: 'Show the outline', keys: [], where: 'page', run: ({ show }) => show('Outline') },
  {
    id: 'print',
    group: 'map',
    name: 'On paper: print, grey and pale, a worksheet …',
    keys: ['Mod+P'],
    where: 'page',
    run: ({ show }) => show('print'),
  },
  {
    id: 'paper',
    group: 'map',
    name: 'Lay a map drawn on paper under it …',
    keys: [],
    where: 'page',
    edits: true,
    run: ({ show }) => show('paper'),
  },
  {
    id: 'spelling',
    group: 'map',
    name: 'Look through the spelling of your words …',
    keys: [],
    where: 'page',
    edits: true,
    run: ({ show }) => show('spelling'),
  },
  { id: 'brief', group: 'map', name: 'Read the brief', keys: [], where: 'page', run: ({ show }) => show('brief') },
  {
    id: 'versions',
    name: 'Versions: look back, go back',
    keys: [],
    where: 'page',
    run: ({ show }) => show('versions'),
  },
  { id: 'keys', name: 'Show the keys of this page', keys: ['?'], where: 'page', run: ({ show }) => show('keys') },
  {
    id: 'palette',
    group: 'map',
    name: 'Find a command: all that can be done here …',
    keys: ['Mod+K'],
    where: 'page',
    run: ({ show }) => show('palette'),
  },
];

function looking(id: string, name: string, run: (actions: Editor['actions']) => void): Command {
  return { id, name, keys: [], where: 'page', group: 'map', run: ({ editor }) => run(editor.actions) };
}

/** From one flagged thing to the next, through all requirements in the order of their numbers. */
function flagged(id: string, name: string, key: string, by: 1 | -1): Command {
  return {
    id,
    name,
    keys: [key],
    where: 'page',
    can: ({ report }) => report !== null,
    run: ({ editor: { store, actions }, go }) => {
      const { report, requirement, selection } = store.getState();
      const steps = flagSteps(report!);
      const now = steps.find((step) => step.requirement === requirement && step.mark === selection[0]) ?? null;
      const next = nextStep(steps, now, by);
      if (!next) return announce('Nothing is flagged.');
      actions.showRequirement(next.requirement);
      go([next.mark]);
      announce(next.words);
    },
  };
}

/** A kind by its place in the legend: of what is selected, else of the next mark. */
function kindCommands({ legend }: Assignment): Command[] {
  const own = legend.topicKinds.filter((kind) => kind.givenBy === 'student' && isStructural(kind));
  return [
    ...own.slice(0, 9).map(({ id, name }, i): Command => ({
      id: `kind-${id}`,
      name: `${name}: the kind of the selected topics, or of the next one`,
      keys: [`Alt+${i + 1}`],
      where: 'canvas',
      edits: true,
      run: ({ editor: { store, actions } }) =>
        topicsIn(store.getState()) > 0 ? actions.setTopicKind(id) : actions.chooseTopicKind(id),
    })),
    ...legend.linkKinds.map(({ id, name }): Command => ({
      id: `link-kind-${id}`,
      name: `${name}: the kind of the selected links, or of the next one`,
      keys: [],
      where: 'canvas',
      edits: true,
      run: ({ editor: { store, actions } }) =>
        linksIn(store.getState()) > 0 ? actions.setLinkKind(id) : actions.chooseLinkKind(id),
    })),
  ];
}

/** Own maps and the map of an assignment: one goes into the other only as a copy. */
const BRING_OWN: Command = {
  id: 'bring-own',
  group: 'map',
  name: 'Bring in one of your own maps …',
  keys: [],
  where: 'page',
  edits: true,
  run: ({ show }) => show('own maps'),
};
/** A copy of what is saved of this map, among one's own. */
const keepCopy = (name: string, wanted: (title: string) => object): Command => ({
  id: 'keep-own',
  group: 'map',
  name,
  keys: [],
  where: 'page',
  run: ({ editor }) =>
    void api.post('own-maps', wanted(editor.store.getState().map.title)).then(
      () => {
        void refresh(['own-maps']);
        tell('A copy of what is saved lies among your own maps.');
      },
      (error: unknown) => editor.actions.refuse(sentenceOfError(error)),
    ),
});
const keepOwn = (fromWork: string): Command =>
  keepCopy('Keep a copy among your own maps', () => ({ title: '', fromWork }));
const copyOwn = (copyOf: string): Command =>
  keepCopy('Make a copy of this map', (title) => ({ title: `${title} (copy)`.slice(0, LIMITS.text), copyOf }));

/** What speaks of an assignment: on a map of one's own it would do nothing. */
const OF_ASSIGNMENTS = new Set(['brief', 'versions', 'next-flag', 'flag-before', 'choose-flagged']);

/** Every command of the map page, in the order in which the palette lists them. */
export function commandsFor(
  assignment: Assignment,
  {
    mayEdit,
    mayHandIn,
    of = 'work',
    workId = '',
  }: Pick<DeskHand, 'mayEdit' | 'mayHandIn'> & { of?: OpenWork['of']; workId?: string },
) {
  const mayTidy = assignment.drawing?.tidy !== false;
  const tools = assignment.drawing?.tools;
  const handIn: Command = {
    id: 'hand-in',
    name: 'Hand in …',
    keys: [],
    where: 'page',
    run: ({ show }) => show('hand in'),
  };
  return [
    ...EDITING,
    ...HANGING,
    ...ARRANGING,
    ...CHOOSING,
    ...kindCommands(assignment),
    ...LOOKING,
    ...(of === 'work' ? [keepOwn(workId)] : of === 'mine' ? [copyOwn(workId)] : []),
    ...(of === 'mine' || assignment.drawing?.ownMaps ? [BRING_OWN] : []),
    ...(mayHandIn ? [handIn] : []),
  ].filter(
    (command) =>
      (mayEdit || !command.edits) &&
      (of !== 'mine' || !OF_ASSIGNMENTS.has(command.id)) &&
      (mayTidy || !command.id.startsWith('tidy-')) &&
      (!tools || isGiven(command, tools)),
  );
}

/** The commands of each tool that a teacher may leave out. */
const OF_TOOL: Record<DrawingTool, (command: Command) => boolean> = {
  arrange: ({ id, group }) => group === 'arrange' || id === 'lead',
  looks: ({ id }) => ['as-its-kind', 'copy-looks', 'give-looks'].includes(id),
  notes: ({ id }) => id === 'about',
  pictures: ({ id }) => ['picture', 'sketch', 'paper'].includes(id),
  regions: ({ id }) => ['region', 'group', 'ungroup'].includes(id),
};
const isGiven = (command: Command, tools: readonly DrawingTool[]): boolean =>
  DRAWING_TOOLS.every((tool) => tools.includes(tool) || !OF_TOOL[tool](command));

/** The command that a chord runs, if it can act now. */
export const commandOf = (
  chord: string,
  where: Command['where'],
  commands: readonly Command[],
  state: EditorState,
): Command | undefined =>
  commands.find((command) => command.where === where && command.keys.includes(chord) && (command.can?.(state) ?? true));

interface Registry {
  commands: readonly Command[];
  desk: DeskHand;
}
const CommandsContext = createContext<Registry | null>(null);
export const CommandsProvider = CommandsContext.Provider;

export function useCommands(): Registry {
  const registry = useContext(CommandsContext);
  if (!registry) throw new Error('this part belongs on the map page');
  return registry;
}

/** A command as a button of a bar has it. */
export function useCommand(id: string): { name: string; title: string; disabled: boolean; onClick: () => void } {
  const { commands, desk } = useCommands();
  const command = commands.find((candidate) => candidate.id === id);
  const can = useEditorState((state) => command !== undefined && (command.can?.(state) ?? true));
  const [first] = command?.keys ?? [];
  const name = command?.name ?? '';
  return {
    name,
    title: first ? `${name} (${showChord(first)})` : name,
    disabled: !can,
    onClick: () => command?.run(desk),
  };
}
