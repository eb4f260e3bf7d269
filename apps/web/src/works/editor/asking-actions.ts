import type { Hand } from './hand';
import type { Asking, EditorState } from './state';

/** What an answer leads to. */
interface Answers {
  link: (from: string, to: string) => void;
  hang: (ids: readonly string[], from: string) => void;
  reattach: (id: string, end: 'from' | 'to', topic: string) => void;
}

/** The topic or link that is held while another topic is asked for; of several that are to hang the first. */
export const heldIn = ({ map: { topics, links }, selection }: Pick<EditorState, 'map' | 'selection'>) =>
  [...topics, ...links].find(({ id }) => selection.includes(id));

/** Choosing on the map, and asking for a topic of it. */
export function askingActions({ get, set, selectedTopics }: Hand, { link, hang, reattach }: Answers) {
  const answerWith = (topic: string): void => {
    const { asking } = get();
    const held = heldIn(get());
    if (!held || !asking) return;
    if (asking === 'link') link(held.id, topic);
    else if (asking === 'hang') hang(selectedTopics(), topic);
    else reattach(held.id, asking, topic);
  };
  return {
    ask: (asking: Asking | null): void => set({ asking }),
    answerWith,
    /** While a topic is asked for, one that is pressed is the answer; a press on anything else ends the asking. */
    select: (selection: readonly string[]): void => {
      const { asking, map } = get();
      if (asking === null) return set({ selection });
      const [one, ...more] = selection;
      const isTopic = more.length === 0 && map.topics.some(({ id }) => id === one);
      if (!isTopic) set({ selection, asking: null });
      else if (one !== heldIn(get())?.id) answerWith(one!);
    },
  };
}
