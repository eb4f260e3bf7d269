import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect } from './school';

export const pileOf = async (page: Page): Promise<string> =>
  (await page.getByRole('link', { name: 'Open the pile: How bridges carry loads' }).first().getAttribute('href'))!;

const STANDARDS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

const OVER_IT = '[role=dialog], [role=alertdialog]';

/** No violation of WCAG 2.2 A and AA, in this state of this page; what lies over it alone, where the page was looked at before. */
export async function accessible(page: Page, state: string): Promise<void> {
  const builder = new AxeBuilder({ page });
  if ((await page.locator(OVER_IT).count()) > 0) builder.include(OVER_IT);
  const { violations } = await builder
    .options({ runOnly: { type: 'tag', values: STANDARDS }, resultTypes: ['violations'] })
    // Pages have no frames: what is found need not be gathered in a page of its own.
    .setLegacyMode()
    .analyze();
  expect(
    violations.map(({ id, nodes }) => `${state}: ${id}: ${nodes.map(({ html }) => html.slice(0, 140)).join(' | ')}`),
  ).toEqual([]);
}

/** Nothing scrolls sideways, at either size. */
async function fits(page: Page, state: string): Promise<void> {
  for (const size of [
    { width: 1024, height: 768 },
    { width: 1280, height: 800 },
  ]) {
    await page.setViewportSize(size);
    const wide = await page.evaluate(() => {
      const { scrollWidth, clientWidth } = document.documentElement;
      const panels = [...document.querySelectorAll('section, main, nav, header, td, li')].filter(
        (element) =>
          element.scrollWidth > element.clientWidth + 1 &&
          getComputedStyle(element).overflowX !== 'visible' &&
          !element.closest('.react-flow') &&
          !element.classList.contains('sr-only'),
      );
      return [
        ...(scrollWidth > clientWidth ? [`the page by ${scrollWidth - clientWidth}`] : []),
        ...panels.map((element) => element.outerHTML.slice(0, 120)),
      ];
    });
    expect(wide.map((what) => `${state} at ${size.width}: ${what}`)).toEqual([]);
  }
}

export async function sound(page: Page, state: string): Promise<void> {
  await fits(page, state);
  await accessible(page, state);
}
