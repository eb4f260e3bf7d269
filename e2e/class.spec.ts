import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import type { Locator } from '@playwright/test';
import { smallestLetters } from './letters';
import { enter, expect, test } from './school';

test('a class together: the composite map’s slider and switch, grids that lead to the evidence, who is alike', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'maren');
  await page.getByRole('link', { name: 'Open the pile: How bridges carry loads' }).click();
  await page.getByRole('link', { name: 'The class together' }).click();
  const view = (name: string) => page.getByRole('navigation', { name: 'The class' }).getByRole('link', { name });
  const ties = async (): Promise<number> => {
    const label = await page
      .getByTestId('composite')
      .getByLabel(/^Composite of/)
      .getAttribute('aria-label');
    return Number(/(\d+) ties/.exec(label!)![1]);
  };
  await test.step('the slider shows what at least so many drew, the switch the strongest structure, the reference beside it', async () => {
    await view('Composite map').click();
    await expect(page.getByTestId('composite')).toBeVisible();
    // What half the class drew is read at once, without coming closer.
    await expect.poll(() => smallestLetters(page)).toBeGreaterThanOrEqual(9);
    const slider = page.getByRole('slider', { name: /Drawn by at least/ });
    const some = await ties();
    await slider.focus();
    await page.keyboard.press('Home');
    await expect.poll(ties).toBeGreaterThan(some);
    const all = await ties();
    await page.getByLabel('Strongest structure alone').check();
    await expect.poll(ties).toBeLessThan(all);
    await page.getByLabel('The reference beside it').check();
    await expect(page.getByTestId('reference').getByRole('img')).toBeVisible();
    await page.keyboard.press('Escape');
    for (let i = 0; i < 5; i++) await slider.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    await expect(page.getByText('7 of 11')).toBeVisible();
    await expect.poll(ties).toBeLessThan(some);
    await page.getByRole('button', { name: 'Show it to the class' }).click();
    const shown = page.getByRole('dialog');
    await expect(shown.getByRole('img')).toBeVisible();
    await expect(shown).not.toContainText('Halvorsen');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Write out' }).click();
    await page.getByRole('radio', { name: /svg/i }).check();
    const download = page.waitForEvent('download', { timeout: 90_000 });
    await page.getByRole('button', { name: 'Save the file' }).click();
    expect(await readFile(await (await download).path(), 'utf8')).toContain('<svg');
  });
  await test.step('a cell of a grid leads to the evidence on the map', async () => {
    await view('Requirements').click();
    await page.getByRole('link', { name: /^Kofi Lund, At least 2 ties with words/ }).click();
    await expect(page.getByTestId('canvas')).toBeVisible();
    await page.getByRole('button', { name: 'Unfold Results' }).click();
    await expect(page.getByRole('button', { name: /At least 2 ties with words/, expanded: true })).toBeVisible();
    await page.goBack();
    await view('Terms').click();
    await expect(page.getByRole('link', { name: /: not placed/ }).first()).toBeVisible();
  });
  await test.step('a grid is taken along as a table and as a picture of the whole of it', async () => {
    const saved = async (as: string) => {
      const download = page.waitForEvent('download');
      await page.getByRole('button', { name: as, exact: true }).click();
      return readFile(await (await download).path());
    };
    expect((await saved('CSV')).toString()).toMatch(/^\ufeffStudent,.*“Truss”.*\r\n(.*\r\n)*Kofi Lund,/);
    const table = (await page.getByRole('table').boundingBox())!;
    const picture = sharp(await saved('Picture'));
    const { width, height } = await picture.metadata();
    expect(width).toBeGreaterThanOrEqual(2 * table.width);
    expect(height).toBeGreaterThanOrEqual(2 * table.height);
    // Something is drawn in it.
    expect((await picture.stats()).entropy).toBeGreaterThan(1);
    await view('Sentences').click();
    expect((await saved('CSV')).toString()).toContain('\r\nArch,is locked by a,Keystone,5,0,,');
  });
  await test.step('distributions are charts, and tables', async () => {
    await view('Spread').click();
    const chart = page.getByRole('img', { name: /^Cross-links: / });
    await expect(chart).toBeVisible();
    const moved = movedFor(chart);
    await page.getByLabel('Where in it lies').selectOption('the map of Kofi Lund');
    const { ms, longestFrame } = await moved;
    // On a busy machine the last frame is as late as frames are.
    expect(ms).toBeLessThanOrEqual(220 + longestFrame);
    await expect(page.getByRole('region', { name: 'Cross-links' })).toContainText('2, more than 2 of 10, less than 5');
    await page.getByRole('button', { name: 'Tables' }).click();
    await expect(page.getByRole('region', { name: 'Cross-links' }).getByRole('row').first()).toBeVisible();
  });
  await test.step('two maps that are alike stand side by side with what they share', async () => {
    await view('Alike').click();
    await page.getByRole('button', { name: 'Side by side' }).first().click();
    await expect(page.getByRole('region', { name: 'Side by side' })).toContainText(/sentences in both/);
  });
  await test.step('where names are hidden while marking, the class has none either', async () => {
    await page.getByRole('link', { name: 'The pile', exact: true }).click();
    await page.getByLabel('Hide names').check();
    await page.getByRole('link', { name: 'The class together' }).click();
    await view('Requirements').click();
    await expect(page.getByRole('rowheader', { name: /^Map [0-9A-F]{4} / })).toHaveCount(11);
    await expect(page.getByRole('main')).not.toContainText('Lund');
  });
});

test('the gradebook is written out as CSV and workbook that read again, and the papers as an archive', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'maren');
  await page.getByRole('link', { name: 'Marks', exact: true }).click();
  await page.getByRole('combobox', { name: 'Class' }).selectOption('Technology 9B');
  await expect(page.getByRole('heading', { level: 1, name: 'Marks of Technology 9B' })).toBeVisible();
  await page.getByRole('button', { name: 'Mean' }).click();
  await page.getByRole('button', { name: 'Mean' }).click();
  const best = (await page.getByRole('row').nth(1).getByRole('rowheader').textContent())!;
  const saved = async (name: string): Promise<string> => {
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name }).click();
    return (await download).path();
  };
  const text = (await readFile(await saved('CSV'), 'utf8')).replace(/^\ufeff/, '');
  const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
  expect(errors).toEqual([]);
  expect(data).toHaveLength(24);
  const mark = (row: Record<string, string>): number => Number(row['How bridges carry loads']);
  const highest = data.toSorted((a, b) => mark(b) - mark(a))[0]!;
  expect(`${highest['Given name']} ${highest['Family name']}`).toBe(best);
  const book = new ExcelJS.Workbook();
  await book.xlsx.readFile(await saved('Workbook'));
  expect(book.worksheets[0]!.rowCount).toBe(25);

  await page
    .getByRole('row', { name: new RegExp(best) })
    .getByRole('link')
    .first()
    .click();
  await expect(page.getByTestId('canvas')).toBeVisible();
  await page.getByRole('link', { name: 'How bridges carry loads' }).click();
  await page.getByRole('button', { name: 'Write out' }).click();
  await page.getByRole('menuitem', { name: /^A paper each/ }).click();
  await expect(page.getByRole('progressbar', { name: 'Papers made' })).toBeVisible();
  // Eleven papers, as long as they take: the bar says how many there are.
  await expect(page.getByRole('link', { name: 'Save the papers' })).toBeVisible({ timeout: 120_000 });
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save the papers' }).click();
  expect((await download).suggestedFilename()).toBe('How bridges carry loads, Technology 9B.zip');
});

test('a second marker, blind to the first, and the two compared', async ({ browser, school }) => {
  const maren = await enter(browser, school, 'maren');
  await maren.getByRole('link', { name: 'Open the pile: How bridges carry loads' }).click();
  await maren.getByLabel(/Marks the criteria again/).selectOption({ label: 'Piet Abara' });
  await expect(maren.getByText('No map has been marked by both yet.').first()).toBeVisible();
  const names = ['Noor Halvorsen', 'Viggo Haddad'];
  for (const name of names) {
    await maren.getByRole('link', { name }).click();
    await expect(maren.getByTestId('canvas')).toBeVisible();
    await maren.keyboard.press('Alt+c');
    await expect(maren.locator('[data-criterion]').first().locator(':focus')).toHaveCount(1);
    await maren.keyboard.press('3');
    await expect(maren.locator('[data-criterion][data-judged=true]')).toHaveCount(1);
    await maren.getByRole('link', { name: 'How bridges carry loads' }).click();
  }
  const piet = await enter(browser, school, 'piet');
  await piet.getByRole('link', { name: 'Open the pile: How bridges carry loads' }).click();
  await piet.getByLabel('Hide names').check();
  await expect(piet.getByRole('link', { name: 'Noor Halvorsen' })).toHaveCount(0);
  await piet.getByLabel('Hide names').uncheck();
  for (const [i, name] of names.entries()) {
    await piet.getByRole('link', { name }).click();
    await expect(piet.getByTestId('canvas')).toBeVisible();
    if (i === 0) await piet.getByRole('button', { name: 'Unfold Results' }).click();
    await expect(piet.getByText('You mark this map a second time')).toBeVisible();
    await expect(piet.locator('[data-criterion][data-judged=true]')).toHaveCount(0);
    await expect(piet.getByRole('button', { name: /^Return to/ })).toHaveCount(0);
    await piet.keyboard.press('Alt+c');
    await expect(piet.locator('[data-criterion]').first().locator(':focus')).toHaveCount(1);
    await piet.keyboard.press(i === 0 ? '3' : '1');
    await expect(piet.locator('[data-criterion][data-judged=true]')).toHaveCount(1);
    await piet.getByRole('link', { name: 'How bridges carry loads' }).click();
  }
  await maren.reload();
  await expect(maren.getByText('2 maps marked by both. Agreement 0.00')).toBeVisible();
  await expect(maren.getByRole('table', { name: /To talk about/ }).getByRole('link')).toHaveText(['Viggo Haddad']);
});

/** How long a chart that is about to change goes on moving, and how long its longest frame takes, milliseconds. */
const movedFor = (chart: Locator): Promise<{ ms: number; longestFrame: number }> =>
  chart.evaluate(
    (element) =>
      new Promise((done) => {
        const canvas = (element.querySelector('canvas') ?? element) as HTMLCanvasElement;
        let [drawn, before, longestFrame] = [canvas.toDataURL(), performance.now(), 0];
        const looked = before;
        let span: { begun: number; changed: number } | null = null;
        const look = (now: number): void => {
          const next = canvas.toDataURL();
          if (next !== drawn) span = { begun: span?.begun ?? now, changed: now };
          [drawn, longestFrame, before] = [next, Math.max(longestFrame, now - before), now];
          if (span && now - span.changed > 500) return done({ ms: span.changed - span.begun, longestFrame });
          // On a machine that was busy elsewhere it may have moved before anybody looked.
          if (!span && now - looked > 20_000) return done({ ms: 0, longestFrame });
          requestAnimationFrame(look);
        };
        requestAnimationFrame(look);
      }),
  );
