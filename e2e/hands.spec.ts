import type { Page } from '@playwright/test';
import { expect, enter, MapDesk, test } from './school';

const placeOf = async (desk: MapDesk, text: string): Promise<{ x: number; y: number }> => {
  const { x, y } = (await desk.topic(text).boundingBox())!;
  return { x, y };
};

test('marking: the view stays where it was through a first comment, and what was handed in before can be opened', async ({
  browser,
  school,
}) => {
  const noor = await enter(browser, school, 'noor');
  const desk = await MapDesk.goOn(noor);
  await desk.topic('Bridge').click();
  await noor.keyboard.press('Alt+ArrowDown');
  await desk.saved();
  await noor.getByRole('button', { name: 'Hand in again …' }).click();
  await noor.getByRole('dialog').getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(noor.getByText(/for the second time$/)).toBeVisible();

  const maren = await enter(browser, school, 'maren');
  await maren.getByRole('link', { name: 'Open the pile: How bridges carry loads' }).click();
  await maren.getByRole('link', { name: 'Noor Halvorsen' }).click();
  const marked = new MapDesk(maren);
  await expect(marked.topic('Bridge')).toBeVisible();
  await marked.unfold('Results');
  await marked.topic('Cable').click();
  const before = await placeOf(marked, 'Cable');
  await maren.getByPlaceholder('Write a comment …').fill('What does a cable hold?');
  await maren.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(maren.getByRole('article')).toContainText('What does a cable hold?');
  const after = await placeOf(marked, 'Cable');
  expect([Math.round(after.x - before.x), Math.round(after.y - before.y)]).toEqual([0, 0]);

  const earlier = maren.getByRole('navigation', { name: 'What was handed in' });
  await expect(earlier.getByRole('link')).toHaveCount(2);
  await earlier.getByRole('link', { name: /^No\. 1/ }).click();
  await expect(earlier.getByRole('link', { name: /^No\. 1/ })).toHaveAttribute('aria-current', 'page');
  await expect(maren.getByText('What does a cable hol')).toHaveCount(0);
  await earlier.getByRole('link', { name: /^No\. 2/ }).click();
  await expect(maren.getByText('What does a cable hol').first()).toBeVisible();
  for (const page of [noor, maren]) await page.context().close();
});

/** What the browser's own picker does while a hand goes through it: each shade told, and one left standing. */
const pick = (page: Page, label: string, shades: readonly string[]): Promise<void> =>
  page.getByLabel(label).evaluate((field, values) => {
    const input = field as HTMLInputElement;
    for (const value of values) {
      input.value = value;
      input.dispatchEvent(new Event('input', { bubbles: true }));
    }
    input.dispatchEvent(new Event('change', { bubbles: true }));
  }, shades);

test('drawing: a colour is one step whatever was seen on the way, a peer’s move does not pull at what is in the hand, and composed words arrive whole', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'freya');
  const desk = await MapDesk.begin(page);
  await test.step('one step of undo for a colour that was looked for', async () => {
    await desk.topic('Deck').click();
    await page.getByRole('button', { name: 'Looks' }).click();
    const fill = (): Promise<string | null> => desk.topic('Deck').locator('path').first().getAttribute('fill');
    const was = await fill();
    await pick(page, 'Another fill', ['#112233', '#445566', '#ffcc00']);
    await expect(async () => expect(await fill()).toBe('#ffcc00')).toPass({ timeout: 10_000 });
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+z');
    await expect(async () => expect(await fill()).toBe(was)).toPass({ timeout: 10_000 });
    await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  });
  await test.step('a peer moves one of three topics that are being dragged', async () => {
    const other = await page.context().newPage();
    await other.goto(page.url());
    const peer = await new MapDesk(other).opened();
    const names = ['Deck', 'Beam', 'Cable'] as const;
    await page.bringToFront();
    await desk.topic('Deck').click();
    for (const name of ['Beam', 'Cable']) await desk.topic(name).click({ modifiers: ['Shift'] });
    const before = await Promise.all(names.map((name) => placeOf(desk, name)));
    const from = await desk.centreOf(desk.topic('Deck'));
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x + 30, from.y + 20, { steps: 5 });
    await peer.topic('Cable').click();
    await other.keyboard.press('Alt+ArrowRight');
    await peer.saved();
    await page.mouse.move(from.x + 60, from.y + 40, { steps: 5 });
    await page.mouse.up();
    await desk.saved();
    await expect(async () => {
      const now = await Promise.all(names.map((name) => placeOf(desk, name)));
      const moved = now.map(({ x, y }, i) => [x - before[i]!.x, y - before[i]!.y] as const);
      for (const [x, y] of moved.slice(0, 2)) {
        expect(Math.abs(x - 60)).toBeLessThan(2);
        expect(Math.abs(y - 40)).toBeLessThan(2);
      }
      // The peer's own step is kept beside the hand's.
      expect(moved[2]![0]).toBeGreaterThan(61);
      expect(Math.abs(moved[2]![1] - 40)).toBeLessThan(2);
    }).toPass({ timeout: 10_000 });
    await other.close();
  });
  await test.step('an input method in the word bank', async () => {
    const field = page.getByRole('textbox', { name: 'A term of your own' });
    await field.focus();
    const cdp = await page.context().newCDPSession(page);
    await cdp.send('Input.imeSetComposition', { text: 'かこう', selectionStart: 3, selectionEnd: 3 });
    await expect(field).toHaveValue('かこう');
    await field.dispatchEvent('keydown', { key: 'Enter', isComposing: true });
    await expect(field).toHaveValue('かこう');
    await cdp.send('Input.insertText', { text: '架構' });
    await expect(field).toHaveValue('架構');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: /架構/ }).first()).toBeVisible();
    await expect(field).toHaveValue('');
  });
  await page.context().close();
});
