import { bearersOf, isBlank } from '@ichnograph/core';
import type { Borne as BorneWords, Topic, TopicMap } from '@ichnograph/core';
import { Paperclip } from 'lucide-react';
import { useMemo } from 'react';
import { pictureHref } from '../../common/picture-href';
import { Prose } from '../../ui/prose';

/** What a topic bears to be read: its note in full, where that is from, addresses and files, each opened by one click. */
export function Borne({ of: { note, source, weblinks = [], files = [] } }: { of: BorneWords }) {
  return (
    <div className="grid gap-1.5">
      {!isBlank(note) && <Prose text={note!} />}
      {!isBlank(source) && <p className="words text-quiet">Source: {source}</p>}
      {weblinks.map(({ url, title }) => (
        <p key={url} className="words">
          <a className="text-action underline" href={url} target="_blank" rel="noopener noreferrer nofollow">
            {title ?? url}
          </a>
        </p>
      ))}
      {files.map(({ src, name = 'File without a name' }) => (
        <p key={src} className="words">
          <FileLink href={pictureHref(src)} name={name} />
        </p>
      ))}
    </div>
  );
}

function FileLink({ href, name }: { href: string | null; name: string }) {
  const words = (
    <>
      <Paperclip aria-hidden size={12} className="shrink-0 self-center" />
      {name}
    </>
  );
  const look = 'inline-flex items-baseline gap-1';
  // What names nothing here cannot be opened; that there was a file is said all the same.
  if (href === null) return <span className={`${look} text-quiet`}>{words}</span>;
  return (
    <a className={`${look} text-action underline`} href={href} download={name}>
      {words}
    </a>
  );
}

/** Everything that stands behind the topics of a map, to be read through. */
export function NotesView({ map, onGo }: { map: TopicMap; onGo: (id: string) => void }) {
  const bearers = useMemo(() => bearersOf(map), [map]);
  return (
    <div className="h-full overflow-y-auto bg-paper px-6 py-5" data-testid="notes">
      <h2 className="mb-2 text-lg font-semibold">Notes, sources and files · {bearers.length}</h2>
      {bearers.length === 0 && (
        <p className="text-quiet">No topic of this map has a note, a source, an address or a file.</p>
      )}
      <ul className="grid gap-4">
        {bearers.map((topic) => (
          <li key={topic.id}>
            <button
              type="button"
              className="words mb-1 text-left font-semibold hover:underline"
              onClick={() => onGo(topic.id)}
            >
              {topic.text}
            </button>
            <div className="border-l-2 border-rule pl-3">
              <Borne of={topic} />
            </div>
          </li>
        ))}
      </ul>
    </div>
  );
}

/**
 * What a topic bears, in a corner of its map. While it is only pointed at nothing of the card is in the way of the hand; once
 * the topic is chosen the card is read to its end and what is in it opened.
 */
export function BorneCard({ topic, isChosen }: { topic: Topic; isChosen: boolean }) {
  return (
    <aside
      aria-label={`What ${topic.text} bears`}
      data-testid="note-card"
      // It may scroll, so it can be reached by key.
      tabIndex={isChosen ? 0 : undefined}
      className={`card nowheel absolute bottom-3 left-3 z-20 max-h-[45%] max-w-80 p-3 text-sm ${isChosen ? 'overflow-y-auto' : 'pointer-events-none overflow-hidden'}`}
    >
      <Borne of={topic} />
    </aside>
  );
}
