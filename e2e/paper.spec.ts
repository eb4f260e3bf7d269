import type { Page } from '@playwright/test';
import { expect, enter, MapDesk, test } from './school';

/** A page with lines of writing, as a photo. */
const photo = async (page: Page): Promise<Buffer> => {
  const text = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [1400, 1000];
    const pen = canvas.getContext('2d')!;
    pen.fillStyle = '#e6e2d8';
    pen.fillRect(0, 0, 1400, 1000);
    pen.fillStyle = '#1e2846';
    for (let row = 0; row < 16; row++)
      for (let x = 120; x < 900 + (row % 4) * 100; x += 12) pen.fillRect(x, 80 + row * 54, 4, 24);
    return canvas.toDataURL('image/png').split(',')[1]!;
  });
  return Buffer.from(text, 'base64');
};

test('a map drawn on paper is handed in as it is, and marked with remarks pinned to a spot', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'amara');
  const desk = await MapDesk.begin(page);
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox').fill('drawn on paper');
  await page.keyboard.press('Enter');
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'page.png', mimeType: 'image/png', buffer: await photo(page) });
  await expect(page.getByLabel('Turn page 1 by a quarter')).toBeVisible();
  await expect(page.getByText(/It has few pixels|It is dark|It is blurred/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Lay it under the map' }).click();
  await expect(page.locator('[data-picture] image')).toHaveCount(1);
  await desk.saved();
  await page.getByRole('button', { name: 'Hand in …' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Receipt');

  const maren = await enter(browser, school, 'maren');
  await maren.getByRole('link', { name: 'Open the pile: How bridges carry loads' }).first().click();
  await maren.getByRole('link', { name: 'Amara Diallo' }).click();
  const paper = maren.locator('[data-picture] image');
  await expect(paper).toBeVisible();
  await new MapDesk(maren).unfold('Results');
  const box = (await paper.boundingBox())!;
  await maren.mouse.dblclick(box.x + box.width * 0.2, box.y + box.height * 0.8);
  await expect(maren.getByText('on this spot')).toBeVisible();
  await maren.getByPlaceholder('Write a comment …').fill('This line is the best of the page.');
  await maren.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(maren.getByRole('article')).toContainText('on this spot');
  await maren.getByRole('button', { name: 'Return to Amara' }).click();
  await maren.getByRole('button', { name: 'Return all the same' }).click();

  await page.goto(school.url);
  await page.getByRole('link', { name: 'Read the comments' }).click();
  await page.getByRole('complementary', { name: 'Margin' }).getByRole('button').first().click();
  await expect(page.getByRole('article')).toContainText('This line is the best of the page.');
  for (const who of [page, maren]) await who.context().close();
});

test('a remark on a region: chosen by its title, put beside it, read by its student', async ({ browser, school }) => {
  const tobias = await enter(browser, school, 'tobias');
  await tobias.getByRole('link', { name: /^Open the pile: The Ferryman/ }).click();
  await tobias.getByRole('link', { name: /^Mira / }).click();
  await tobias.getByRole('button', { name: 'Take the return back' }).click();
  await new MapDesk(tobias).unfold('Results');
  await tobias.getByRole('button', { name: 'Region What the night hides: choose it' }).click();
  await expect(tobias.getByTestId('chosen-region')).toBeVisible();
  await expect(tobias.getByText('2 topics in it')).toBeVisible();
  await expect(tobias.getByText('on the region “What the night hides”')).toBeVisible();
  await tobias.getByPlaceholder('Write a comment …').fill('This is your own, and it holds.');
  await tobias.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(tobias.getByRole('article')).toContainText('on the region “What the night hides”');
  await tobias.getByRole('button', { name: 'Return to Mira' }).click();
  const mira = await enter(browser, school, 'mira');
  await mira
    .getByRole('link', { name: /comments/i })
    .first()
    .click();
  await mira
    .getByRole('complementary', { name: 'Margin' })
    .getByRole('button', { name: /This is your own/ })
    .click();
  await mira.getByRole('button', { name: 'on the region “What the night hides”' }).click();
  await expect(mira.getByTestId('chosen-region')).toBeVisible();
});
