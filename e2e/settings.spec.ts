import type { Page } from '@playwright/test';
import { expect, enter, MapDesk, test } from './school';
import { accessible, pileOf } from './sound';

test('reading pages work on a narrow screen', async ({ browser, school }) => {
  const page = await enter(browser, school, 'noor', { viewport: { width: 390, height: 800 } });
  const kofi = await enter(browser, school, 'kofi', { viewport: { width: 390, height: 800 } });
  const maren = await enter(browser, school, 'maren', { viewport: { width: 390, height: 800 } });
  await kofi.getByRole('link', { name: 'Read the comments' }).click();
  await expect(kofi.getByRole('complementary', { name: 'Margin' })).toBeVisible();
  const [feedback, pile] = [new URL(kofi.url()).pathname, await pileOf(maren)];
  for (const [who, place] of [
    [page, '/'],
    [page, '/password'],
    [kofi, feedback],
    [maren, '/'],
    [maren, '/assignments'],
    [maren, '/people'],
    [maren, pile],
  ] as const) {
    await who.goto(`${school.url}${place}`);
    await expect(who.getByRole('heading', { level: 1 })).toBeAttached();
    const over = await who.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect([place, over]).toEqual([place, 0]);
  }
  for (const who of [page, kofi, maren]) await who.context().close();
});

/** Every button and link that can be seen can be hit where its middle is: nothing lies over it. */
async function uncovered(page: Page, state: string): Promise<void> {
  const covered = await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('button, a[href], input, textarea, select')]
      .filter((element) => element.checkVisibility({ opacityProperty: true, visibilityProperty: true }))
      .flatMap((element) => {
        const { left, top, width, height } = element.getBoundingClientRect();
        const [x, y] = [left + width / 2, top + height / 2];
        if (width < 2 || x < 0 || y < 0 || x >= innerWidth || y >= innerHeight) return [];
        const hit = document.elementFromPoint(x, y);
        const isOn = hit !== null && (element.contains(hit) || hit.contains(element));
        return isOn || element.closest('.sr-only') ? [] : [element.outerHTML.slice(0, 100)];
      }),
  );
  expect(covered.map((what) => `${state}: ${what}`)).toEqual([]);
}

test.describe('in other settings of a person’s machine', () => {
  for (const [setting, options] of [
    ['forced colours', { forcedColors: 'active' }],
    ['a dark system that asks for contrast', { colorScheme: 'dark', contrast: 'more' }],
    // What 200 % leaves of a window of 1280 by 800.
    ['200 % zoom', { viewport: { width: 640, height: 400 }, deviceScaleFactor: 2 }],
  ] as const)
    test(setting, async ({ browser, school }) => {
      const kofi = await enter(browser, school, 'kofi', options);
      if ('contrast' in options) {
        // Quiet words are as dark as the others.
        await expect(kofi.locator('main .text-quiet').first()).toBeVisible();
        const [quiet, ink] = await kofi.evaluate(() => {
          const colourOf = (part: Element | null): string => getComputedStyle(part!).color;
          return [colourOf(document.querySelector('main .text-quiet')), colourOf(document.body)];
        });
        expect(quiet).toBe(ink);
      }
      await accessible(kofi, `${setting}: today`);
      await uncovered(kofi, `${setting}: today`);
      await kofi.getByRole('link', { name: 'Read the comments' }).click();
      await expect(kofi.getByTestId('canvas')).toBeVisible();
      await accessible(kofi, `${setting}: feedback`);
      await uncovered(kofi, `${setting}: feedback`);
      const goran = await enter(browser, school, 'goran', options);
      await goran.getByRole('button', { name: 'Begin the map' }).click();
      const desk = new MapDesk(goran);
      await expect(desk.topic('Bridge')).toBeVisible();
      await desk.topic('Bridge').click();
      await accessible(goran, `${setting}: map`);
      await uncovered(goran, `${setting}: map`);
      const maren = await enter(browser, school, 'maren', options);
      await maren.goto(`${school.url}${await pileOf(maren)}`);
      await maren.getByRole('link', { name: 'Noor Halvorsen' }).click();
      await expect(maren.getByTestId('canvas')).toBeVisible();
      await accessible(maren, `${setting}: marking`);
      await uncovered(maren, `${setting}: marking`);
      for (const page of [kofi, goran, maren]) await page.context().close();
    });
});
