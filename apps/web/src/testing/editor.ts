import { emptyMap } from '@ichnograph/core';
import type { Assignment, Link, Topic, TopicMap } from '@ichnograph/core';
import { fillDocument, LiveMap } from '@ichnograph/livemap';
import * as Y from 'yjs';
import { createEditor } from '../works/editor';

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

/** A topic of 80 by 40 whose words are its id. */
export const topic = (id: string, x: number, y: number, fields: Partial<Topic> = {}): Topic => ({
  id,
  text: id,
  kind: null,
  x,
  y,
  width: 80,
  height: 40,
  ...fields,
});
/** A link with the id `from-to`. */
export const link = (from: string, to: string, fields: Partial<Link> = {}): Link => ({
  id: `${from}-${to}`,
  from,
  to,
  phrase: '',
  kind: 'says',
  ...fields,
});

/** An editor on a live map that holds what is given, by whoever is `me`. */
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
