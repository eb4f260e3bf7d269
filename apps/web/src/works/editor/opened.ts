import { emptyMap } from '@ichnograph/core';
import type { Assignment, TopicMap } from '@ichnograph/core';
import { fillDocument, LiveMap } from '@ichnograph/livemap';
import * as Y from 'yjs';
import { createEditor } from './editor';

const ASSIGNMENT: Assignment = {
  title: 'Bridges',
  focusQuestion: '',
  brief: '',
  language: 'en',
  styleMode: 'guided',
  legend: {
    topicKinds: [],
    linkKinds: [
      { id: 'says', name: 'says' },
      { id: 'shows', name: 'shows', structural: false },
    ],
  },
  terms: [],
  starter: null,
  reference: null,
  requirements: [],
  criteria: [],
};

/** For tests: an editor on a live map that holds what is given, by whoever is `me`. */
export function openEditor(marks: Partial<TopicMap>, fields: Partial<Assignment> = {}) {
  const doc = new Y.Doc();
  fillDocument(doc, { ...emptyMap(), ...marks });
  const live = new LiveMap(doc, 'tab');
  const editor = createEditor(live, { ...ASSIGNMENT, ...fields }, 'me');
  const state = () => editor.store.getState();
  return {
    live,
    editor,
    actions: editor.actions,
    state,
    /** by words: where each hangs from, as `from phrase to` */
    said: (): string[] =>
      state().map.links.map(({ from, phrase, to }) => {
        const textOf = (id: string) => state().map.topics.find((one) => one.id === id)!.text;
        return `${textOf(from)} ${phrase || '…'} ${textOf(to)}`;
      }),
    say: (words: string): void => {
      editor.actions.type(words);
      editor.actions.commit();
    },
  };
}
