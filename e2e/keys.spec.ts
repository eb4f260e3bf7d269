import type { Locator } from '@playwright/test';
import { expect, enter, MapDesk, test } from './school';

test('a map is begun, linked, labelled and handed in without a pointer', async ({ browser, school }) => {
  const page = await enter(browser, school, 'bastian');
  const desk = new MapDesk(page);
  /** Walks by Tab to something that is there to be reached; a disabled button is passed over, so it is waited for. */
  const tabTo = async (goal: Locator, most = 60): Promise<void> => {
    await expect(goal).toBeEnabled();
    for (let i = 0; i < most; i++) {
      await page.keyboard.press('Tab');
      if (await goal.evaluate((element) => element === document.activeElement)) return;
    }
    throw new Error(`no Tab leads to ${String(goal)}`);
  };
  const button = (name: string | RegExp, exact = true): Locator => page.getByRole('button', { name, exact });
  const words = (from: string, to: string): Locator =>
    page.getByRole('textbox', { name: `Words on the link from ${from} to ${to}` });
  const focusShows = (): Promise<string> => page.evaluate(() => getComputedStyle(document.activeElement!).outlineStyle);

  await tabTo(button('Begin the map'));
  expect(await focusShows()).toBe('solid');
  await page.keyboard.press('Enter');
  await desk.opened();

  await tabTo(button('Truss'));
  expect(await focusShows()).toBe('solid');
  await page.keyboard.press('Enter');
  await expect(desk.topic('Truss')).toBeVisible();
  await expect(page.getByTestId('announcer')).toContainText('Truss is on the map');

  await tabTo(page.getByLabel(/^Map with/));
  expect(await focusShows()).toBe('solid');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByTestId('announcer')).toContainText(/link/);
  await page.keyboard.press('Escape');
  await page.keyboard.press('ArrowDown');
  await expect(desk.reading).toContainText('Bridge');

  await page.keyboard.press('Tab');
  await expect(page.getByRole('textbox', { name: /Text of the new topic/ })).toBeFocused();
  await page.keyboard.type('Loads');
  await page.keyboard.press('Enter');
  await desk.typePhrase('Bridge', 'Loads', 'has to carry');
  await expect(page.getByTestId('announcer')).not.toBeEmpty();

  await expect(desk.reading).toContainText('Loads');
  await page.keyboard.press('Escape');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Alt+k');
  await page.getByRole('textbox', { name: 'Find a topic' }).pressSequentially('truss');
  await page.keyboard.press('Enter');
  await expect(words('Bridge', 'Truss')).toBeFocused();
  await page.keyboard.type('may be a');
  await page.keyboard.press('Enter');
  await expect(desk.link('Bridge', 'Truss')).toBeAttached();

  await page.keyboard.press('Enter');
  await expect(words('Bridge', 'Truss')).toBeFocused();
  await page.keyboard.type('can also be a');
  await page.keyboard.press('Enter');
  await expect(desk.reading).toContainText('Bridge can also be a Truss.');
  const before = await desk.topic('Loads').boundingBox();
  await page.keyboard.press('Escape');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Alt+j');
  await page.keyboard.press('Delete');
  await expect(page.locator('[data-link]')).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-link]')).toHaveCount(2);
  expect(await desk.topic('Loads').boundingBox()).toEqual(before);
  await desk.saved();

  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await tabTo(button(/^Hand in/, false), 120);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await tabTo(page.getByRole('dialog').getByRole('button', { name: 'Hand in', exact: true }));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Receipt');
  await page.context().close();
});
