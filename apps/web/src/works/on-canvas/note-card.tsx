import { bearsWords } from '@ichnograph/core';
import { BorneCard } from '../../map';
import { useEditorState } from '../editor';

/** What a topic bears, read on pointing at it; on choosing it, opened from there too. */
export function NoteCard() {
  const topic = useEditorState(({ map, hovered, selection, typing, about, leading }) => {
    if (typing || about || leading) return undefined;
    const id = hovered ?? (selection.length === 1 ? selection[0] : null);
    return map.topics.find((one) => one.id === id);
  });
  const isChosen = useEditorState(({ selection }) => selection.length === 1 && selection[0] === topic?.id);
  if (!topic || !bearsWords(topic)) return null;
  return <BorneCard key={topic.id} topic={topic} isChosen={isChosen} />;
}
