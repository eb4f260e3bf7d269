import { useEffect } from 'react';

/** Frames of the screen within which what was unfolded, or turned to, is there. */
const FRAMES = 30;

/** Puts the focus on something in the results, which are unfolded where they are a rail. */
export function inResults(find: () => HTMLElement | null | undefined): void {
  if (!find()) document.querySelector<HTMLElement>('[data-unfold=Results]')?.click();
  const look = (left: number): void => {
    const there = find();
    if (there) there.focus();
    else if (left > 0) requestAnimationFrame(() => look(left - 1));
  };
  look(FRAMES);
}

/** The first criterion without a level, else the first. */
export function toJudge(): HTMLElement | null | undefined {
  const open =
    document.querySelector('[data-criterion][data-judged=false]') ?? document.querySelector('[data-criterion]');
  return open?.querySelector<HTMLElement>('[role=radio][tabindex="0"]');
}

/** The first sentence without a verdict, once the sentences stand beside the map. */
export function toJudgeSentence(): HTMLElement | null | undefined {
  const segment = [...document.querySelectorAll<HTMLElement>('[aria-label="Beside the map"] button')].at(-1);
  if (segment?.getAttribute('aria-pressed') === 'false') segment.click();
  const open = [...document.querySelectorAll('[aria-label=Sentences] [data-row]')];
  const first = open.find((row) => !row.querySelector('[aria-pressed=true]')) ?? open[0];
  return first?.querySelector<HTMLElement>('[data-verdict][tabindex="0"]');
}

/** Keys that act wherever one is on the page; plain Page Up and Page Down scroll what has the focus. */
export function useMarkingKeys(keys: Readonly<Record<string, () => void>>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!event.altKey || event.ctrlKey || event.metaKey) return;
      const act = keys[`Alt+${event.key.length === 1 ? event.key.toUpperCase() : event.key}`];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
