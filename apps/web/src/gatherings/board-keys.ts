import type { GatheringDetail, Idea } from '@ichnograph/contract';
import type { KeyboardEvent } from 'react';
import type { PageKey } from '../common/page-keys';
import type { BoardActs } from './board-acts';

const cards = (): HTMLElement[] => [...document.querySelectorAll<HTMLElement>('[data-idea]')];
const here = (): HTMLElement | null => document.activeElement?.closest<HTMLElement>('[data-idea]') ?? null;

/** To the nearest card in a direction, by where cards stand. */
function walk(dx: number, dy: number): void {
  const from = here();
  if (!from) return;
  const all = cards();
  const middle = (card: HTMLElement) => {
    const { left, top, width, height } = card.getBoundingClientRect();
    return { x: left + width / 2, y: top + height / 2 };
  };
  const at = middle(from);
  let best: { card: HTMLElement; cost: number } | null = null;
  for (const card of all) {
    const { x, y } = middle(card);
    const along = (x - at.x) * dx + (y - at.y) * dy;
    // Half a pixel: cards of one row are level.
    if (card === from || along <= 0.5) continue;
    const aside = Math.abs((x - at.x) * dy) + Math.abs((y - at.y) * dx);
    const cost = along + 3 * aside;
    if (!best || cost < best.cost) best = { card, cost };
  }
  best?.card.focus();
}

const WAYS: Record<string, [dx: number, dy: number]> = {
  ArrowDown: [0, 1],
  ArrowUp: [0, -1],
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
};

/** Keys that are the card's alone: elsewhere on the page Enter presses what has the focus, and arrows scroll. */
export function onCardKey(event: KeyboardEvent, idea: Idea, acts: BoardActs): void {
  if (event.target !== event.currentTarget || event.altKey || event.ctrlKey || event.metaKey) return;
  const way = WAYS[event.key];
  if (way) walk(...way);
  else if (event.key !== 'Enter') return;
  else if (acts.merging === null) acts.take(idea);
  else acts.mergeInto(idea);
  event.preventDefault();
}

/** The keys of the board: over the cards with arrows, and what is done with the one that has the focus. */
export function useBoardKeys({ ideas, groups }: GatheringDetail, acts: BoardActs, onMake: () => void): PageKey[] {
  const withIdea = (run: (idea: Idea) => void) => (): void => {
    const idea = ideas.find(({ id }) => id === here()?.dataset.idea);
    if (idea) run(idea);
  };
  return [
    { chords: ['ArrowDown', 'ArrowUp', 'ArrowLeft', 'ArrowRight'], name: 'From idea to idea' },
    { chords: ['Enter'], name: 'Take the idea, or leave it; while merging, the idea they fall together with' },
    { chords: ['H'], name: 'Hide the idea, or show it again', run: withIdea((idea) => acts.hide(idea)) },
    { chords: ['G'], name: 'Merge the idea with another', run: withIdea(acts.beginMerge) },
    { chords: ['Escape'], name: 'Leave merging', run: acts.endMerge },
    { chords: ['P'], name: 'Take the idea apart', run: withIdea((idea) => acts.part(idea)) },
    {
      chords: ['F2'],
      name: 'Call the idea otherwise',
      run: withIdea(({ id }) =>
        document
          .querySelector(`[data-idea="${id}"]`)
          ?.dispatchEvent(new MouseEvent('dblclick', { bubbles: true, cancelable: true })),
      ),
    },
    { chords: ['0'], name: 'Into no group', run: withIdea((idea) => acts.sort(idea, null)) },
    ...groups.slice(0, 9).map((group, i): PageKey => ({
      chords: [String(i + 1)],
      name: `Into “${group.name}”`,
      run: withIdea((idea) => acts.sort(idea, group.id)),
    })),
    { chords: ['M'], name: 'Make something of the ideas', run: onMake },
    { chords: ['Mod+Z'], name: 'Take back what was done last' },
  ];
}
