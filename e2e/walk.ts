import { expect } from '@playwright/test';
import type { Page } from '@playwright/test';

interface Stop {
  /** what it is, for whoever reads a fault */
  called: string;
  /** what is wrong with it, if anything */
  faults: string[];
  /** whether it is where the walk began, or nothing at all */
  isEnd: boolean;
}

/** More stops than any page has. */
const MOST = 500;

/** In the page: looks at what has the focus. Stands alone, as it is sent there. */
function lookAtFocus(isFirst: boolean): Stop {
  const kept = window as unknown as { walked?: Element[] };
  if (isFirst) kept.walked = [];
  const walked = (kept.walked ??= []);
  const at = document.activeElement;
  const before = walked.at(-1);
  // A field of several parts, such as a date, is a stop for each.
  if (at && at === before) return { called: 'the same', faults: [], isEnd: false };
  if (!at || at === document.body || walked.includes(at)) return { called: 'the end', faults: [], isEnd: true };
  walked.push(at);
  const words = (at.getAttribute('aria-label') ?? at.textContent ?? '').trim().slice(0, 60);
  const called = `${at.tagName.toLowerCase()}${at.getAttribute('role') ? ` (${at.getAttribute('role')})` : ''} “${words}”`;
  const faults: string[] = [];
  // A ring of its own, or of the box around it.
  const rings = [at, at.parentElement, at.parentElement?.parentElement, at.nextElementSibling].filter((one) => !!one);
  const hasRing = rings.some((one) => {
    const { outlineStyle, outlineWidth } = getComputedStyle(one);
    return outlineStyle !== 'none' && parseFloat(outlineWidth) >= 2;
  });
  if (!hasRing) faults.push('has no ring');
  const box = at.getBoundingClientRect();
  const isUnseen = box.width <= 1 || box.height <= 1 || getComputedStyle(at).opacity === '0';
  const [left, right] = [Math.max(0, box.left), Math.min(innerWidth, box.right)];
  const [top, bottom] = [Math.max(0, box.top), Math.min(innerHeight, box.bottom)];
  if (!isUnseen && (right - left < 2 || bottom - top < 2)) faults.push('is out of sight');
  else if (!isUnseen) {
    const spots = [
      [0.5, 0.5],
      [0.1, 0.2],
      [0.9, 0.2],
      [0.1, 0.8],
      [0.9, 0.8],
    ].map(([x, y]) => [left + x! * (right - left), top + y! * (bottom - top)] as const);
    const clear = spots.filter(([x, y]) => {
      const seen = document.elementFromPoint(x, y);
      return seen && (at.contains(seen) || seen.contains(at) || seen.closest('label')?.contains(at));
    });
    if (clear.length < 3) {
      const over = document.elementFromPoint(...spots[0]!);
      faults.push(`is covered by ${over?.tagName.toLowerCase()} ${over?.className.toString().slice(0, 60)}`);
    }
  }
  // A card comes after the button in a rail that it belongs to, and the rail goes on after it.
  const isOutOfCard = before?.closest('[data-card]') && !at.closest('[data-card]');
  if (
    before &&
    !isOutOfCard &&
    document.contains(before) &&
    !(before.compareDocumentPosition(at) & Node.DOCUMENT_POSITION_FOLLOWING)
  )
    faults.push(`comes before ${before.outerHTML.slice(0, 80)}, which was left`);
  return { called, faults, isEnd: false };
}

/** Windows: a usual one, and that of somebody who sees it at twice the size. */
const SIZES = [
  { width: 1280, height: 800 },
  { width: 640, height: 400 },
];

/** What runs over the right edge of the window, where the page can be pushed sideways. */
const runsOver = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    document.documentElement.scrollWidth <= innerWidth
      ? []
      : [...document.querySelectorAll('body *')]
          .filter((one) => one.getBoundingClientRect().right > innerWidth + 1 && !one.closest('.react-flow'))
          .map((one) => one.outerHTML.slice(0, 100)),
  );

/** As somebody sees a usual window at four times its size, and with the text set wide (WCAG 2.2, 1.4.10 and 1.4.12). */
async function enlarged(page: Page, state: string): Promise<void> {
  await page.setViewportSize({ width: 320, height: 640 });
  expect.soft(await runsOver(page), `${state} at 320`).toEqual([]);
  await page.setViewportSize(SIZES[1]!);
  const wide = await page.addStyleTag({
    content: '* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important; }',
  });
  expect.soft(await runsOver(page), `${state}, set wide`).toEqual([]);
  await wide.evaluate((style) => (style as HTMLElement).remove());
}

/**
 * Goes through a page by Tab from its beginning to its end, at two sizes: at each stop there is a ring, nothing lies over it,
 * and it comes after the one before; and back again from the last.
 * @returns how many stops there are in the usual window
 */
export async function walk(page: Page, state: string): Promise<number> {
  const counts: number[] = [];
  for (const size of SIZES) {
    await page.setViewportSize(size);
    counts.push(await throughBy(page, `${state} at ${size.width}`));
  }
  await enlarged(page, state);
  await page.setViewportSize(SIZES[0]!);
  return counts[0]!;
}

async function throughBy(page: Page, state: string): Promise<number> {
  await expect(page.locator('[data-waiting]')).toHaveCount(0);
  await page.keyboard.press('Escape');
  await page.evaluate(() => {
    scrollTo(0, 0);
    document.querySelector<HTMLElement>('a[href], button, input')?.focus();
  });
  const stops: Stop[] = [];
  for (let i = 0; i < MOST; i++) {
    if (i > 0) await page.keyboard.press('Tab');
    const stop = await page.evaluate(lookAtFocus, i === 0);
    if (stop.isEnd) break;
    stops.push(stop);
  }
  const faults = stops.flatMap(({ called, faults: its }) => its.map((fault) => `${called} ${fault}`));
  expect.soft(faults, state).toEqual([]);
  expect.soft(stops.length, `stops of ${state}`).toBeGreaterThan(2);
  expect.soft(stops.length, `stops of ${state}`).toBeLessThan(MOST);
  expect.soft(await backOneStep(page), `back from the last of ${state}`).toBe(true);
  return stops.length;
}

/** Whether the way back leads into what was gone through. */
const backOneStep = async (page: Page): Promise<boolean> => {
  await page.keyboard.press('Shift+Tab');
  const isIt = await page.evaluate(() => {
    const { walked } = window as unknown as { walked: Element[] };
    return walked.includes(document.activeElement!);
  });
  return isIt;
};
