/** Frames of the screen within which what was made, unfolded or turned to is there. */
const FRAMES = 30;

/** Puts the focus on something as soon as it is on the page; the words of a field are chosen, so that typing replaces them. */
export function focusOn(find: () => HTMLElement | null | undefined): void {
  const look = (left: number): void => {
    const there = find();
    if (!there) {
      if (left > 0) requestAnimationFrame(() => look(left - 1));
      return;
    }
    there.focus();
    if (there instanceof HTMLInputElement) there.select();
  };
  look(FRAMES);
}

/** Puts the focus into the first field of what has just been made. */
export const focusIn = (id: string): void =>
  focusOn(() => document.querySelector<HTMLElement>(`[data-made="${CSS.escape(id)}"] :is(input, textarea)`));
