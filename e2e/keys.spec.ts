import { expect, enter, MapDesk, test } from './school';

test('a map is begun, linked, labelled and handed in without a pointer', async ({ browser, school }) => {
  const page = await enter(browser, school, 'bastian');
  const desk = new MapDesk(page);
  const tabTo = async (name: RegExp | string, most = 60): Promise<void> => {
    for (let i = 0; i < most; i++) {
      await page.keyboard.press('Tab');
      const label = await page.evaluate(() => {
        const element = document.activeElement as HTMLElement | null;
        return element?.getAttribute('aria-label') ?? element?.textContent ?? '';
      });
      if (typeof name === 'string' ? label === name : name.test(label)) return;
    }
    throw new Error(`no Tab leads to ${String(name)}`);
  };
  const focusShows = (): Promise<string> => page.evaluate(() => getComputedStyle(document.activeElement!).outlineStyle);

  await tabTo('Begin the map');
  expect(await focusShows()).toBe('solid');
  await page.keyboard.press('Enter');
  await desk.opened();

  await tabTo('Truss');
  expect(await focusShows()).toBe('solid');
  await page.keyboard.press('Enter');
  await expect(desk.topic('Truss')).toBeVisible();
  await expect(page.getByTestId('announcer')).toContainText('Truss is on the map');

  await tabTo(/^Map with/);
  expect(await focusShows()).toBe('solid');
  await page.keyboard.press('Escape');
  await tabTo(/^Map with/).catch(() => page.keyboard.press('Shift+Tab'));
  await desk.canvas.focus();
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
  await page.keyboard.type('may be a');
  await page.keyboard.press('Enter');
  await expect(desk.link('Bridge', 'Truss')).toBeAttached();

  await page.keyboard.press('Enter');
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
  await tabTo(/^Hand in/, 120);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await tabTo('Hand in');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Receipt');
  await page.context().close();
});
