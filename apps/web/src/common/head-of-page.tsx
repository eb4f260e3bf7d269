import { createContext, useContext, useEffect, useState } from 'react';
import type { ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { Link } from 'react-router';

interface Room {
  /** the place in the head of the window that a page may fill */
  slot: HTMLElement | null;
  setSlot: (slot: HTMLElement | null) => void;
  isFilled: boolean;
  setFilled: (is: boolean) => void;
  hasMap: boolean;
  setHasMap: (has: boolean) => void;
}
const HeadRoom = createContext<Room | null>(null);

const useRoom = (): Room => {
  const room = useContext(HeadRoom);
  if (!room) throw new Error('The head of the page has no room outside the shell.');
  return room;
};

/** Around all pages: what a page may put into the head of the window. */
export function WithHead({ children }: { children: ReactNode }) {
  const [slot, setSlot] = useState<HTMLElement | null>(null);
  const [isFilled, setFilled] = useState(false);
  const [hasMap, setHasMap] = useState(false);
  return <HeadRoom value={{ slot, setSlot, isFilled, setFilled, hasMap, setHasMap }}>{children}</HeadRoom>;
}

/** Where the page's way and actions come to stand, and what stands there where a page has none. */
export function HeadSlot({ fallback }: { fallback: ReactNode }) {
  const { setSlot, isFilled } = useRoom();
  return (
    <>
      <div ref={setSlot} className="contents" />
      {!isFilled && fallback}
    </>
  );
}

/** Whether a map is drawn on this page now, to be skipped to. */
export const useHasMap = (): boolean => useRoom().hasMap;

/** Says that a map is drawn as long as this part of the page stands. */
export function useMapIsHere(): void {
  const { setHasMap } = useRoom();
  useEffect(() => {
    setHasMap(true);
    return () => setHasMap(false);
  }, [setHasMap]);
}

interface Head {
  crumbs: { name: string; to?: string }[];
  middle?: ReactNode;
  actions?: ReactNode;
}

/** Pages with a canvas put their way and their actions into the head of the window, so that none of it is lost to rows. */
export function HeadOfPage({ crumbs, middle, actions }: Head) {
  const { slot, setFilled } = useRoom();
  useEffect(() => {
    setFilled(true);
    return () => setFilled(false);
  }, [setFilled]);
  if (!slot) return null;
  return createPortal(
    <>
      <nav aria-label="Where you are" className="flex min-w-0 flex-1 items-baseline gap-2 max-md:sr-only">
        {crumbs.map(({ name, to }, i) => (
          <span
            key={name}
            // Where it is narrow the way here is cut first, the name of what is open last: a hair less, and it would be cut as well.
            className={`flex min-w-0 items-baseline gap-2 ${i === crumbs.length - 1 ? 'shrink font-semibold' : 'shrink-[100000] text-quiet'}`}
          >
            {i > 0 && (
              <span aria-hidden className="text-quiet">
                /
              </span>
            )}
            {i === crumbs.length - 1 ? (
              <h1 className="truncate">{name}</h1>
            ) : to ? (
              <Link className="truncate hover:underline" to={to}>
                {name}
              </Link>
            ) : (
              <span className="truncate">{name}</span>
            )}
          </span>
        ))}
      </nav>
      {middle}
      {actions && <div className="flex shrink-0 items-center gap-2 max-md:shrink max-md:flex-wrap">{actions}</div>}
    </>,
    slot,
  );
}
