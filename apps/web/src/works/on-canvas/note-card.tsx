import { isBlank } from '@ichnograph/core';
import { Brief } from '../../assignments';
import { useEditorState } from '../editor';

/** What a topic bears, read on pointing at it or choosing it. */
export function NoteCard() {
  const topic = useEditorState(({ map, hovered, selection, typing, about, leading }) => {
    if (typing || about || leading) return undefined;
    const id = hovered ?? (selection.length === 1 ? selection[0] : null);
    return map.topics.find((one) => one.id === id);
  });
  if (!topic) return null;
  const { note, source, weblinks = [], files = [], text } = topic;
  if (isBlank(note) && isBlank(source) && weblinks.length === 0 && files.length === 0) return null;
  return (
    <aside
      aria-label={`What ${text} bears`}
      data-testid="note-card"
      className="card pointer-events-none absolute bottom-3 left-3 z-20 max-h-[45%] max-w-80 overflow-hidden p-3 text-sm"
    >
      {!isBlank(note) && <Brief text={note!} />}
      {!isBlank(source) && <p className="words mt-1.5 text-quiet">Source: {source}</p>}
      {weblinks.map(({ url, title }) => (
        <p key={url} className="words mt-1 text-quiet">
          {title ? `${title}: ` : ''}
          {url}
        </p>
      ))}
      {files.map(({ src, name }) => (
        <p key={src} className="words mt-1 text-quiet">
          File: {name ?? 'without a name'}
        </p>
      ))}
    </aside>
  );
}
