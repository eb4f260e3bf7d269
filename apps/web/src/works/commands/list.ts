import { DRAWING_TOOLS, isStructural, LIMITS } from '@ichnograph/core';
import type { Assignment, DrawingTool } from '@ichnograph/core';
import { createContext, useContext } from 'react';
import { api, sentenceOfError } from '../../common/api';
import { showChord } from '../../common/chords';
import { refresh } from '../../common/queries';
import { tell } from '../../common/told';
import { ARRANGING, CHOOSING, HANGING } from './arranging';
import type { Command, DeskHand } from './command';
import { EDITING } from './editing';
import { useEditorState } from '../editor';
import type { EditorState } from '../editor';
import { LOOKING } from './looking';
import { oneTopic, someLink, someTopic } from './selected';
import { hasVersions } from '../use-live-work';
import type { OpenWork } from '../use-live-work';

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
        someTopic(store.getState()) ? actions.setTopicKind(id) : actions.chooseTopicKind(id),
    })),
    ...legend.linkKinds.map(({ id, name }): Command => ({
      id: `link-kind-${id}`,
      name: `${name}: the kind of the selected links, or of the next one`,
      keys: [],
      where: 'canvas',
      edits: true,
      run: ({ editor: { store, actions } }) =>
        someLink(store.getState()) ? actions.setLinkKind(id) : actions.chooseLinkKind(id),
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
/** What another program drew, or a list or a table: laid beside what is drawn here. */
const BRING_FILE: Command = {
  id: 'bring-file',
  group: 'map',
  name: 'Bring in a file: outline, table, graph, map …',
  keys: [],
  where: 'page',
  edits: true,
  run: ({ show }) => show('bring in'),
};
const SHARE: Command = {
  id: 'share',
  group: 'map',
  name: 'Share it: with people, a class, or by a link …',
  keys: [],
  where: 'page',
  run: ({ show }) => show('share'),
};
const SHOW: Command = {
  id: 'show',
  group: 'map',
  name: 'Show it to a class, live …',
  keys: [],
  where: 'page',
  run: ({ show }) => show('show'),
};
const TASK: Command = {
  id: 'task',
  group: 'map',
  name: 'As a task: how far it is, until when, who …',
  keys: [],
  where: 'page',
  edits: true,
  can: oneTopic,
  run: ({ show }) => show('task'),
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

const copyShared = (fromShare: string): Command =>
  keepCopy('Keep a copy among your own maps', () => ({ title: '', fromShare }));

const changeLegend = (run: () => void): Command => ({
  id: 'legend',
  group: 'map',
  name: 'Change the legend of this map …',
  keys: [],
  where: 'page',
  edits: true,
  run,
});

/** What speaks of an assignment: on a map of one's own it would do nothing. */
const OF_ASSIGNMENTS = new Set(['brief', 'next-flag', 'flag-before', 'choose-flagged']);

/** Every command of the map page, in the order in which the palette lists them. */
export function commandsFor(
  assignment: Assignment,
  {
    mayEdit,
    mayHandIn,
    of = 'work',
    workId = '',
    isShared = false,
    onLegend,
  }: Pick<DeskHand, 'mayEdit' | 'mayHandIn'> &
    Partial<Pick<OpenWork, 'of' | 'onLegend'>> & {
      workId?: string;
      /** whether several draw on it */
      isShared?: boolean;
    },
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
    ...(onLegend ? [changeLegend(onLegend)] : []),
    ...(of === 'work'
      ? [keepOwn(workId)]
      : of === 'mine'
        ? [copyOwn(workId)]
        : of === 'shared'
          ? [copyShared(workId)]
          : []),
    ...(of === 'mine' || of === 'work' ? [SHARE, SHOW] : []),
    ...(isShared ? [TASK] : []),
    ...(of === 'mine' || assignment.drawing?.ownMaps ? [BRING_OWN] : []),
    ...(of !== 'work' || assignment.drawing?.ownMaps ? [BRING_FILE] : []),
    ...(mayHandIn ? [handIn] : []),
  ].filter(
    (command) =>
      (mayEdit || !command.edits) &&
      ((of !== 'mine' && of !== 'shared') || !OF_ASSIGNMENTS.has(command.id)) &&
      (command.id !== 'versions' || hasVersions(of)) &&
      (command.id !== 'makers' || isShared) &&
      (mayTidy || !command.id.startsWith('tidy-')) &&
      (!tools || isGiven(command, tools)),
  );
}

/** The commands of each tool that a teacher may leave out. */
const OF_TOOL: Record<DrawingTool, (command: Command) => boolean> = {
  arrange: ({ id, group }) => group === 'arrange' || id === 'lead',
  looks: ({ id }) => ['as-its-kind', 'copy-looks', 'give-looks', 'whole-looks'].includes(id),
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
