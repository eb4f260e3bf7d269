import { Search } from 'lucide-react';
import { useDeferredValue, useMemo, useState } from 'react';
import { Button } from '../ui/button';
import type { Chosen } from './choice';
import { PictureGrid } from './grid';
import { useLibrary } from './library';

/** So many are shown at first, and so many more each time one asks. */
const AT_ONCE = 160;

/** The shipped pictures, by category and by word. */
export function LibraryPanel({
  language,
  words,
  onWords,
  chosen,
  onLook,
  onChoose,
}: {
  language: string;
  words: string;
  onWords: (words: string) => void;
  chosen: string | null;
  onLook: (picture: Chosen | null) => void;
  onChoose: (picture: Chosen) => void;
}) {
  const { open, isLost } = useLibrary(language);
  const [category, setCategory] = useState<string | null>(null);
  const [shown, setShown] = useState(AT_ONCE);
  const sought = useDeferredValue(words);
  const found = useMemo(() => open?.search({ words: sought, category }) ?? [], [open, sought, category]);
  const pictures = useMemo(
    () => found.slice(0, shown).map(({ id, name }): Chosen => ({ src: id, name, width: null, height: null })),
    [found, shown],
  );
  if (isLost) return <p className="p-3 text-quiet">The library could not be opened. Close this and try again.</p>;
  return (
    <div className="grid h-full min-h-0 grid-cols-[10.5rem_1fr] gap-3">
      <nav aria-label="Categories" className="overflow-y-auto border-r border-rule pr-2">
        {[null, ...(open?.library.categories ?? [])].map((one) => (
          <button
            key={one ?? 'all'}
            type="button"
            aria-pressed={one === category}
            className="block min-h-7 w-full rounded-sm px-2 text-left text-sm hover:bg-canvas aria-pressed:bg-wash aria-pressed:font-semibold"
            onClick={() => {
              setCategory(one);
              setShown(AT_ONCE);
            }}
          >
            {one ?? 'All pictures'}
          </button>
        ))}
      </nav>
      <div className="flex min-h-0 flex-col gap-2">
        <label className="flex items-center gap-2 border border-[#8b9389] bg-white px-2 focus-within:outline-2 focus-within:outline-action">
          <Search aria-hidden size={15} className="text-quiet" />
          <input
            data-autofocus
            type="search"
            aria-label="Look for a picture by word"
            placeholder="What should it show?"
            className="min-h-8 w-full bg-transparent outline-none"
            value={words}
            maxLength={100}
            onChange={({ target }) => {
              onWords(target.value);
              setShown(AT_ONCE);
            }}
          />
        </label>
        <p role="status" className="text-xs text-quiet">
          {!open
            ? 'Opening the library …'
            : found.length === 0
              ? `No picture is found by “${sought}”. Try another word, or draw one yourself.`
              : `${found.length.toLocaleString('en')} ${found.length === 1 ? 'picture' : 'pictures'}`}
        </p>
        <div className="min-h-0 flex-1 overflow-y-auto">
          <PictureGrid label="Pictures" pictures={pictures} chosen={chosen} onLook={onLook} onChoose={onChoose} />
          {found.length > shown && (
            <Button small className="my-2" onClick={() => setShown(shown + 2 * AT_ONCE)}>
              Show more
            </Button>
          )}
        </div>
      </div>
    </div>
  );
}

/** Who made the pictures, for all to see where they are chosen. */
export function Credits({ language }: { language: string }) {
  const { open } = useLibrary(language);
  if (!open) return null;
  return (
    <p className="text-xs text-quiet">
      Pictures from{' '}
      {open.library.sets.map(({ id, title, author, licence, url }, i) => (
        <span key={id}>
          {i > 0 && ', '}
          <a href={url} target="_blank" rel="noopener noreferrer" className="underline">
            {title}
          </a>{' '}
          ({author}, {licence})
        </span>
      ))}
      .
    </p>
  );
}
