import { focusOn } from '../common/focus-on';
import type { PageKey } from '../common/page-keys';
import { wayInto } from './criteria';

/** Puts the focus on something in the results, which are unfolded where they are a rail. */
export function inResults(find: () => HTMLElement | null | undefined): void {
  if (!find()) document.querySelector<HTMLElement>('[data-unfold=Results]')?.click();
  focusOn(find);
}

/** The first criterion without a level, else the first. */
export function toJudge(): HTMLElement | null | undefined {
  const open =
    document.querySelector('[data-criterion][data-judged=false]') ?? document.querySelector('[data-criterion]');
  return wayInto(open);
}

/** The first result that the computer leaves to a person: opened, at the way to let it stand; other points are beside it. */
export function toJudgeResult(): HTMLElement | null | undefined {
  const row = document.querySelector('[data-to-judge]');
  const opens = row?.querySelector<HTMLElement>('button[aria-expanded=false]');
  if (opens) opens.click();
  return row?.querySelector<HTMLElement>('[data-let-stand]');
}

/** The first sentence without a verdict, once the sentences stand beside the map. */
export function toJudgeSentence(): HTMLElement | null | undefined {
  const segment = [...document.querySelectorAll<HTMLElement>('[aria-label="Beside the map"] button')].at(-1);
  if (segment?.getAttribute('aria-pressed') === 'false') segment.click();
  const open = [...document.querySelectorAll('[aria-label=Sentences] [data-row]')];
  const first = open.find((row) => !row.querySelector('[aria-pressed=true]')) ?? open[0];
  return first?.querySelector<HTMLElement>('[data-verdict][tabindex="0"]');
}

/** What keys do while one marks; those of a sentence act while it has the focus. */
export const SENTENCE_KEYS: readonly PageKey[] = [
  { chords: ['1', '2', '3', '4'], name: 'On a sentence: sound, sound but thin, shaky, wrong; and on to the next' },
  { chords: ['0'], name: 'On a sentence: take the verdict back' },
  { chords: ['R'], name: 'On a sentence: write a remark' },
  { chords: ['ArrowDown', 'ArrowUp'], name: 'On a sentence: to the next, to the one before' },
];
