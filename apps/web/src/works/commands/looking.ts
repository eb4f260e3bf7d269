import { announce } from '../../common/announcer';
import { sentenceOfError } from '../../common/api';
import { flagSteps, nextStep } from '../../map';
import { copyAs, COPIES } from '../../saving-as';
import type { CopyForm } from '../../saving-as';
import type { Command } from './command';
import type { Editor } from '../editor';
import { anything } from './selected';

/** The commands that look, and change nothing of the map. */
export const LOOKING: readonly Command[] = [
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
    name: 'Find on the map, and go there',
    keys: ['Mod+F'],
    where: 'page',
    run: ({ find }) => find(),
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
  looking('makers', 'Show or hide who made what', (a) => a.toggleMakers()),
  looking('tour-line', 'Show or hide the line of the tour', (a) => a.toggleTourLine()),
  looking('blank-topics', 'Hide the words of topics, to test yourself', (a) => a.toggleBlank('topics')),
  looking('blank-phrases', 'Hide the words of links, to test yourself', (a) => a.toggleBlank('phrases')),
  { id: 'fit', name: 'Show the whole map', keys: [], where: 'page', run: ({ fit }) => fit() },
  { id: 'map', name: 'Show the map', keys: [], where: 'page', run: ({ show }) => show('Map') },
  { id: 'sentences', name: 'Show the sentences', keys: [], where: 'page', run: ({ show }) => show('Sentences') },
  { id: 'outline', name: 'Show the outline', keys: [], where: 'page', run: ({ show }) => show('Outline') },
  { id: 'tree', name: 'Show the map as a tree', keys: [], where: 'page', run: ({ show }) => show('Tree') },
  { id: 'tour', name: 'Show the tours', keys: [], where: 'page', run: ({ show }) => show('Tour') },
  {
    id: 'print',
    group: 'map',
    name: 'On paper: print, grey and pale, a worksheet …',
    keys: ['Mod+P'],
    where: 'page',
    run: ({ show }) => show('print'),
  },
  {
    id: 'save-as',
    group: 'map',
    name: 'Save it as a file: picture, document, table, graph …',
    keys: [],
    where: 'page',
    run: ({ show }) => show('save as'),
  },
  ...(Object.keys(COPIES) as CopyForm[]).map(copying),
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

/** The map onto the clipboard, for a document or a spreadsheet. */
function copying(form: CopyForm): Command {
  return {
    id: `copy-as-${form}`,
    group: 'map',
    name: COPIES[form],
    keys: [],
    where: 'page',
    run: ({ editor: { store, actions, assignment } }) => {
      copyAs(form, store.getState().map, assignment.legend).then(
        () => announce('It is copied.'),
        (error: unknown) => actions.refuse(sentenceOfError(error)),
      );
    },
  };
}

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
