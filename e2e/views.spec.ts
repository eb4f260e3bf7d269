import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import mammoth from 'mammoth';
import type { Page } from '@playwright/test';
import { enter, expect, MapDesk, test, watched } from './school';
import { accessible } from './sound';

const view = (page: Page, name: string): Promise<void> =>
  page.getByRole('group', { name: 'View' }).getByRole('button', { name, exact: true }).click();
const cell = (page: Page, words: string) => page.getByRole('gridcell', { name: words, exact: true });

test('an essay is planned in the outline by keys, written out branch by branch, and taken to a document', async ({
  browser,
  school,
}) => {
  test.setTimeout(240_000);
  const page = await enter(browser, school, 'gustavo');
  const { keyboard } = page;
  await page
    .getByRole('listitem')
    .filter({ hasText: 'footbridge' })
    .getByRole('button', { name: 'Begin the map' })
    .click();
  await expect(page.getByTestId('canvas')).toBeVisible();
  const desk = new MapDesk(page);
  await desk.saved();
  await test.step('lines by keys: beside, below, set in and out, moved, a tie, a note', async () => {
    await view(page, 'Outline');
    const tree = page.getByRole('treegrid');
    await expect(tree).toBeVisible();
    await tree.getByRole('gridcell').first().click();
    await keyboard.press('Control+Enter');
    await keyboard.type('Children cross there');
    await keyboard.press('Enter');
    await keyboard.type('The other way is long');
    await keyboard.press('Enter');
    await keyboard.type('1.4 km more');
    await keyboard.press('Tab');
    await keyboard.press('Control+Enter');
    await keyboard.type('one third longer');
    await keyboard.press('Enter');
    await keyboard.press('Escape');
    const row = (words: string) => tree.getByRole('row').filter({ hasText: words }).first();
    await expect(row('Children cross there')).toHaveAttribute('aria-level', '2');
    await expect(row('1.4 km more')).toHaveAttribute('aria-level', '3');
    await expect(row('one third longer')).toHaveAttribute('aria-level', '4');
    await cell(page, 'The other way is long').click();
    await keyboard.press('Alt+ArrowUp');
    await expect(row('The other way is long')).toHaveAttribute('aria-posinset', '1');
    await expect(cell(page, 'The other way is long')).toBeFocused();
    await keyboard.press('ArrowRight');
    await keyboard.press('Enter');
    await keyboard.type('since');
    await keyboard.press('Enter');
    await expect(row('The other way is long')).toContainText('since');
    await keyboard.press('Home');
    await keyboard.press('Alt+k');
    await keyboard.type('worries');
    await keyboard.press('Tab');
    await keyboard.type('Children cross there');
    await keyboard.press('Enter');
    await expect(row('The other way is long')).toContainText('→ worries Children cross there');
    await keyboard.press('ArrowLeft');
    await expect(row('The other way is long')).toHaveAttribute('aria-expanded', 'false');
    await keyboard.press('ArrowRight');
    await accessible(page, 'outline');
    await desk.saved();
  });
  await test.step('it stands on the map as it was written', async () => {
    await view(page, 'Map');
    await expect(desk.link('The other way is long', 'Children cross there')).toBeAttached();
    await expect(desk.link('The other way is long', '1.4 km more')).toBeAttached();
  });
  await test.step('written out: words land in the notes, counted against a goal', async () => {
    await view(page, 'Outline');
    await cell(page, 'Children cross there').click();
    await page.getByRole('button', { name: 'Write it out' }).click();
    const essay = page.getByTestId('essay');
    const about = essay.getByRole('textbox', { name: 'About Children cross there' });
    await expect(about).toBeFocused();
    await keyboard.type('Every morning forty children cross the stream. ');
    await keyboard.press('Control+b');
    await keyboard.type('None');
    await keyboard.press('Control+b');
    await keyboard.type(' of them may.');
    await essay.getByRole('spinbutton', { name: 'Words to write here' }).fill('60');
    await keyboard.press('Enter');
    await expect(essay.getByRole('navigation')).toContainText('11 of 60 words');
    await about.click();
    await keyboard.press('Control+End');
    await accessible(page, 'essay');
    await page.getByRole('button', { name: 'Back to the outline' }).click();
    const line = page.getByRole('row').filter({ hasText: 'Children cross there' }).last();
    await expect(line).toContainText('forty children');
    // Words of this very moment outlive a reload.
    await page.getByRole('button', { name: 'Write it out' }).click();
    await expect(about).toBeFocused();
    await keyboard.type(' Nobody minds.');
    await page.reload();
    await view(page, 'Outline');
    await expect(line).toContainText('of them may. Nobody minds.');
    await desk.saved();
  });
  await test.step('taken to a word processor', async () => {
    const saving = page.waitForEvent('download', { timeout: 120_000 });
    await page.getByRole('button', { name: 'Save for a word processor' }).click();
    const { value } = await mammoth.extractRawText({ buffer: readFileSync(await (await saving).path()) });
    expect(value).toContain('Children cross there');
    expect(value).toContain('Every morning forty children cross the stream.');
  });
  await page.context().close();
});

/** A map of one's own from a table, opened. */
async function ownMap(page: Page, csv: string): Promise<void> {
  await page.getByRole('link', { name: 'Own maps', exact: true }).click();
  await page.getByRole('button', { name: 'Bring in a file' }).click();
  const dialog = page.getByRole('dialog');
  await dialog
    .locator('input[type=file]')
    .setInputFiles({ name: 'Harbour.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await dialog.getByRole('button', { name: 'Make the map' }).click();
  await expect(page.getByTestId('canvas')).toBeVisible();
}

/** A page of somebody else's, with what was copied to be put into it. */
async function lessonPlan(frame: string): Promise<{ url: string; close: () => void }> {
  const server = createServer((_request, response) => {
    response.setHeader('Content-Type', 'text/html');
    response.end(`<!doctype html><title>Lesson plan</title><h1>Lesson plan</h1>${frame}`);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  return { url: `http://127.0.0.1:${port}/`, close: () => void server.close() };
}

const HARBOUR = [
  'from,phrase,to',
  'Harbour,is related to,Tide',
  'Harbour,shelters,Boat',
  'Tide,and,Moon',
  'Boat,,Crew',
  'Crew,involves,Work',
  'Work,is about,Nets',
  'Tide,also,Boat',
].join('\n');

test('by keyboard alone: vague and blank sentences are mended one after the other, one is turned, one written; a tour is played in two windows; the map is shown by a link and taken back', async ({
  browser,
  school,
}) => {
  test.setTimeout(240_000);
  const page = await enter(browser, school, 'bastian');
  const { keyboard } = page;
  await ownMap(page, HARBOUR);
  const desk = new MapDesk(page);
  await desk.saved();
  const palette = async (words: string): Promise<void> => {
    await keyboard.press('Control+k');
    await keyboard.type(words);
    await keyboard.press('Enter');
  };
  await test.step('five vague ones and a blank one, at one key', async () => {
    await page.getByTestId('canvas').focus();
    await palette('Show the sentences');
    const grid = page.getByRole('grid');
    await expect(grid.getByRole('row')).toHaveCount(8);
    await keyboard.press('Alt+v');
    for (const words of ['crews', 'rises and falls with', 'follows', 'does', 'mends', 'lifts']) {
      await keyboard.type(words);
      await keyboard.press('Enter');
    }
    await expect(page.getByRole('button', { name: 'None blank or vague' })).toBeVisible();
    const phrases = grid.getByRole('row').locator('b');
    await expect(phrases).toHaveText([
      'crews',
      'rises and falls with',
      'follows',
      'does',
      'mends',
      'lifts',
      'shelters',
    ]);
    // What was mended stays where it was until one sorts again; the row that is chosen is the link that is chosen.
    await keyboard.press('Control+Home');
    await expect(desk.reading).toContainText('Boat crews Crew.');
    await accessible(page, 'sentences');
  });
  await test.step('an end is led to another topic, several get the same words, one is taken back', async () => {
    const grid = page.getByRole('grid');
    await keyboard.press('Home');
    await keyboard.press('F2');
    await keyboard.press('Control+a');
    await keyboard.type('Harbour');
    await keyboard.press('Enter');
    await expect(grid.getByRole('row').nth(1)).toContainText('Harbour');
    await keyboard.press('Control+z');
    await expect(grid.getByRole('row').nth(1)).toContainText('Boat');
    await keyboard.press('ArrowUp');
    await keyboard.press('ArrowRight');
    await keyboard.press('Shift+ArrowDown');
    await keyboard.type('sail with');
    await keyboard.press('Enter');
    await expect(grid.getByRole('row').locator('b').filter({ hasText: 'sail with' })).toHaveCount(2);
    await keyboard.press('Control+z');
    await expect(grid.getByRole('row').locator('b').filter({ hasText: 'sail with' })).toHaveCount(0);
  });
  await test.step('a sentence that is written makes its topics and its link', async () => {
    const form = page.getByRole('form', { name: 'A new sentence' });
    await form.getByRole('combobox').first().focus();
    await keyboard.type('Lamp');
    await keyboard.press('Tab');
    await keyboard.type('guides');
    await keyboard.press('Tab');
    await keyboard.type('Boat');
    await keyboard.press('Enter');
    await expect(page.getByRole('grid').getByRole('row')).toHaveCount(9);
    await desk.saved();
    await view(page, 'Map');
    await expect(desk.link('Lamp', 'Boat')).toBeAttached();
  });
  await test.step('as a tree beside its own arrangement, which stays', async () => {
    const before = await desk.topic('Harbour').getAttribute('style');
    await view(page, 'Tree');
    await expect(page.getByTestId('as-tree').locator('[data-topic="Harbour"]')).toBeVisible();
    await view(page, 'Map');
    expect(await desk.topic('Harbour').getAttribute('style')).toBe(before);
  });
  await test.step('a tour with what is said at each stop, played with a speaker’s window', async () => {
    await view(page, 'Tour');
    await page.getByRole('button', { name: 'Begin one' }).click();
    const said = page.getByRole('textbox', { name: 'What is said at Harbour' });
    await said.click();
    await keyboard.type('Here the boats lie.');
    await page.getByRole('button', { name: 'Tide: earlier' }).waitFor();
    await accessible(page, 'tour');
    await page.getByRole('button', { name: 'Play', exact: true }).click();
    const tour = page.getByTestId('tour');
    await expect(tour).toContainText('Here the boats lie.');
    await expect(tour).toContainText('1 of 3');
    const opening = page.context().waitForEvent('page');
    await keyboard.press('n');
    const other = await opening;
    await expect(other.getByRole('heading', { name: 'Harbour' })).toBeVisible();
    await expect(other.getByText('Here the boats lie.')).toBeVisible();
    // A clicker in the one moves both.
    await other.keyboard.press('PageDown');
    await expect(tour).toContainText('2 of 3');
    await expect(other.getByText('This is the last stop.').or(other.getByText(/^Next:/))).toBeVisible();
    await keyboard.press('End');
    await expect(other.getByText('This is the last stop.')).toBeVisible();
    await keyboard.press('Escape');
    await expect(tour).toHaveCount(0);
    await expect.poll(() => other.isClosed()).toBe(true);
  });
  await test.step('shown by a link without an account, framed, and by nobody once it is taken back', async () => {
    await palette('Share it');
    await page.getByRole('button', { name: 'Make a link' }).click();
    const link = await page.getByRole('textbox', { name: 'Link' }).inputValue();
    const frame = await page.getByRole('textbox', { name: 'To put into a page' }).inputValue();
    await accessible(page, 'show it to others');
    const stranger = await watched(await browser.newContext());
    await stranger.goto(link);
    await expect(stranger.getByRole('heading', { level: 1 })).toHaveText('Harbour');
    await expect(stranger.getByRole('row').filter({ hasText: 'guides' })).toBeVisible();
    await expect(stranger.getByText('Bastian')).toHaveCount(0);
    await accessible(stranger, 'a shared page');
    const elsewhere = await lessonPlan(frame);
    await stranger.goto(elsewhere.url);
    await expect(stranger.frameLocator('iframe').getByRole('img', { name: 'Map: Harbour' })).toBeVisible();
    elsewhere.close();
    await page.getByRole('button', { name: 'Take it back' }).click();
    await expect(page.getByRole('button', { name: 'Take it back' })).toHaveCount(0);
    await stranger.goto(link);
    await expect(stranger.getByRole('heading', { name: 'This page is not there' })).toBeVisible();
    await stranger.context().close();
  });
  await page.context().close();
});
