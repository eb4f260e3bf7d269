import { randomUUID } from 'node:crypto';
import ExcelJS from 'exceljs';
import { zipSync } from 'fflate';
import { enter, expect, test } from './school';
import { accessible, pileOf } from './sound';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

/** A small map in one of four formats, as people have them. */
function mapIn(format: 'csv' | 'md' | 'graphml' | 'dot', own: string): Uint8Array {
  switch (format) {
    case 'csv':
      return bytes(`from,phrase,to,from_kind\nBridge,comes in,${own},Bridge\n${own},carries,Deck,Family\n`);
    case 'md':
      return bytes(`# Bridge\n\n- *comes in* ${own}\n  - *carries a* Deck\n- *needs a* Pier\n`);
    case 'graphml':
      return bytes(
        `<?xml version="1.0"?><graphml xmlns="http://graphml.graphdrawing.org/xmlns"><key id="l" for="all" attr.name="label" attr.type="string"/><graph edgedefault="directed"><node id="a"><data key="l">Bridge</data></node><node id="b"><data key="l">${own}</data></node><edge source="a" target="b"><data key="l">comes in</data></edge></graph></graphml>`,
      );
    case 'dot':
      return bytes(`digraph { a [label="Bridge"]; b [label="${own}"]; a -> b [label="comes in"] }`);
  }
}

test('twelve files of four formats are handed in for a class and checked in its pile; a table of parents and children becomes a starter', async ({
  browser,
  school,
}) => {
  test.setTimeout(240_000);
  const page = await enter(browser, school, 'maren');
  const pile = await pileOf(page);
  // The school has eleven who have begun nothing: one more has come.
  const [room] = (
    (await (await page.request.get(`${school.url}/api/classes`)).json()) as { id: string; name: string }[]
  ).filter(({ name }) => name === 'Technology 9B');
  const joined = await page.request.post(`${school.url}/api/classes/${room!.id}/students`, {
    data: { people: [{ givenName: 'Zora', familyName: 'Lindahl' }] },
    headers: { origin: school.url, 'idempotency-key': randomUUID() },
  });
  expect(joined.ok()).toBe(true);
  await page.goto(school.url + pile);
  const waiting = page.getByRole('row').filter({ hasText: 'not begun' });
  await expect(waiting.first()).toBeVisible();
  const names = (await waiting.locator('td:first-child').allInnerTexts()).map((name) => name.trim());
  expect(names.length).toBe(12);
  const formats = ['csv', 'md', 'graphml', 'dot'] as const;
  const named = names.map((name, i) => {
    const format = formats[i % 4]!;
    return { name: `${name}.${format}`, content: mapIn(format, `Family ${i}`) };
  });
  await test.step('read, told whose they are, put right', async () => {
    await page.getByRole('link', { name: 'Bring in files' }).click();
    const zip = zipSync({
      ...Object.fromEntries(named.slice(0, 11).map(({ name, content }) => [`maps/${name}`, content])),
      'maps/readme.pdf': bytes('%PDF-'),
      'maps/broken.graphml': bytes('<nothing/>'),
    });
    await page.locator('input[type=file]').setInputFiles([
      { name: 'class.zip', mimeType: 'application/zip', buffer: Buffer.from(zip) },
      { name: 'somebody.dot', mimeType: 'text/plain', buffer: Buffer.from(mapIn('dot', 'Family 11')) },
    ]);
    await expect(page.getByRole('button', { name: 'Hand in 11 maps' })).toBeVisible();
    await expect(page.getByRole('row').filter({ hasText: 'broken.graphml' })).toContainText('It is no GraphML');
    const last = page.getByRole('combobox', { name: 'Whose is somebody.dot' });
    await last.selectOption({ label: names[0]! });
    await expect(page.getByText('Two files for one person').first()).toBeVisible();
    await expect(page.getByRole('button', { name: 'Hand in 12 maps' })).toBeDisabled();
    await last.selectOption({ label: names[11]! });
    await page.getByRole('button', { name: 'Look at it' }).first().click();
    await expect(page.getByRole('img').first()).toBeVisible();
    await accessible(page, 'maps of a class brought in');
  });
  await test.step('handed in, all of them, and marked as brought in', async () => {
    await page.getByRole('button', { name: 'Hand in 12 maps' }).click();
    await expect(page.getByRole('row').filter({ hasText: 'brought in' })).toHaveCount(12);
    await page.getByRole('row').filter({ hasText: names[11]! }).getByRole('link').first().click();
    await expect(page.locator('[data-topic="Family 11"]')).toBeVisible();
    await page.getByRole('button', { name: 'Unfold Results', exact: true }).click();
    await expect(page.getByText('Brought in by Maren Oyelaran from “somebody.dot”')).toBeVisible();
    // Checked like every other: the results are there, with what is met and what is not.
    await expect(page.getByText('0 of 23 placed.')).toBeVisible();
  });
  await test.step('parents and children of a spreadsheet become a starter, seen before it is made', async () => {
    const book = new ExcelJS.Workbook();
    const sheet = book.addWorksheet('Chapter');
    sheet.addRows([
      ['parent', 'child'],
      ['Weather', 'Wind'],
      ['Weather', 'Rain'],
      ['Wind', 'Gust'],
    ]);
    await page.goto(`${school.url}/assignments`);
    await page.getByRole('link', { name: 'How bridges carry loads', exact: true }).click();
    await page.getByText('Draw it').first().click();
    await expect(page.getByTestId('canvas')).toBeVisible();
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox').fill('Bring in a file');
    await page.keyboard.press('Enter');
    const dialog = page.getByRole('dialog');
    await dialog.locator('input[type=file]').setInputFiles({
      name: 'chapter.xlsx',
      mimeType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
      buffer: Buffer.from(await book.xlsx.writeBuffer()),
    });
    await expect(dialog.getByTestId('understood')).toHaveText('4 topics and 3 links');
    await dialog.getByRole('button', { name: 'Lay it beside what is drawn' }).click();
    await expect(page.locator('[data-link="Wind → Gust"]')).toBeAttached();
    await expect(page.getByTestId('save-state')).toHaveText('Saved');
  });
  await page.context().close();
});
