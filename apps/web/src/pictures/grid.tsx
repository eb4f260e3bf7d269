import { useRef } from 'react';
import type { KeyboardEvent } from 'react';
import { pictureHref } from '../common/picture-href';
import { carriable } from './carried';
import type { Chosen } from './choice';

/** Pictures side by side: one is chosen by pointer, or by arrows and Enter, or carried to the map; what is pointed at shows large beside them. */
export function PictureGrid({
  label,
  pictures,
  chosen,
  onLook,
  onChoose,
}: {
  label: string;
  pictures: readonly Chosen[];
  chosen: string | null;
  onLook: (picture: Chosen | null) => void;
  onChoose: (picture: Chosen) => void;
}) {
  const grid = useRef<HTMLDivElement>(null);
  const go = (event: KeyboardEvent): void => {
    const cells = [...(grid.current?.querySelectorAll<HTMLElement>('[role=option]') ?? [])];
    const at = cells.indexOf(event.target as HTMLElement);
    if (at < 0) return;
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      return cells[at]!.click();
    }
    const across = cells.findIndex((cell) => cell.offsetTop > cells[0]!.offsetTop);
    const step = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: across, ArrowUp: -across, Home: -at, End: cells.length }[
      event.key
    ];
    if (step === undefined) return;
    event.preventDefault();
    cells[Math.max(0, Math.min(cells.length - 1, at + step))]?.focus();
  };
  const home = pictures.some(({ src }) => src === chosen) ? chosen : pictures[0]?.src;
  return (
    <div
      ref={grid}
      role="listbox"
      aria-label={label}
      tabIndex={-1}
      className="grid grid-cols-[repeat(auto-fill,minmax(60px,1fr))] content-start gap-1"
      onKeyDown={go}
    >
      {pictures.map((picture) => (
        // No button: there are browsers in which a button cannot be carried.
        <div
          key={picture.src}
          {...carriable(picture)}
          role="option"
          aria-selected={picture.src === chosen}
          aria-label={picture.name}
          tabIndex={picture.src === home ? 0 : -1}
          className="grid aspect-square cursor-pointer place-items-center rounded-sm border border-transparent bg-white p-1.5 hover:border-rule aria-selected:border-action aria-selected:bg-wash"
          onPointerEnter={() => onLook(picture)}
          onPointerLeave={() => onLook(null)}
          onFocus={() => onLook(picture)}
          onBlur={() => onLook(null)}
          onClick={() => onChoose(picture)}
        >
          <img
            src={pictureHref(picture.src) ?? ''}
            alt=""
            draggable={false}
            loading="lazy"
            decoding="async"
            className="h-11 w-11 object-contain"
          />
        </div>
      ))}
    </div>
  );
}
