import { enter, expect, test } from './school';

test('what is typed on the sheet, key by key, stays; what is removed is put back; the keys of marking are listed', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'maren');
  await page.getByRole('link', { name: 'Assignments' }).click();
  await page.getByRole('link', { name: 'How bridges carry loads', exact: true }).click();

  await test.step('points keep the field from the first digit to the last, and say why they are not taken', async () => {
    const points = page.getByLabel('Points: Every given term is on the map');
    await points.click();
    await page.keyboard.press('Control+a');
    await page.keyboard.type('25');
    await expect(points).toBeFocused();
    await expect(points).toHaveValue('25');
    await page.keyboard.press('Control+a');
    await page.keyboard.type('5000');
    await page.keyboard.press('Tab');
    await expect(page.getByText('It is 1000 at most.')).toBeVisible();
    await points.focus();
    await page.keyboard.press('Escape');
    await expect(page.getByText('It is 1000 at most.')).toHaveCount(0);
    await page.keyboard.press('Control+a');
    await page.keyboard.type('12');
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('save-state')).toHaveText('Saved');
    await page.reload();
    await expect(points).toHaveValue('12');
  });

  await test.step('a requirement that was removed is put back from the notice, and by its key', async () => {
    const [first, second] = ['Given topics keep their words', 'Every topic has the right kind'];
    const row = (sentence: string) => page.getByLabel(`Points: ${sentence}`);
    const remove = async (sentence: string): Promise<void> => {
      await page.getByRole('button', { name: `More for: ${sentence}` }).press('Enter');
      await page.getByRole('menuitem', { name: 'Remove' }).press('Enter');
      await expect(row(sentence)).toHaveCount(0);
    };
    await remove(first);
    await remove(second);
    await page.getByRole('button', { name: 'Take it back' }).click();
    await expect(row(second)).toHaveCount(1);
    // What was removed before is no news; its key still takes it back.
    await expect(page.getByRole('button', { name: 'Take it back' })).toHaveCount(0);
    await expect(row(first)).toHaveCount(0);
    await page.getByRole('heading', { level: 1 }).click();
    await page.keyboard.press('Control+z');
    await expect(row(first)).toHaveCount(1);
  });

  await test.step('moving the due time begins with the one that holds, and is taken back', async () => {
    const row = page.getByRole('listitem').filter({ has: page.getByRole('link', { name: 'Technology 9B' }) });
    const due = await row.getByText(/^due /).textContent();
    const ask = async (): Promise<void> => {
      await page.getByRole('button', { name: 'More for Technology 9B' }).press('Enter');
      await page.getByRole('menuitem', { name: 'Move the due time' }).press('Enter');
    };
    await ask();
    const time = await page.getByRole('dialog').getByLabel('Time').inputValue();
    expect(due).toContain(time);
    await page.getByRole('dialog').getByLabel('Time').press('ArrowUp');
    await page.getByRole('button', { name: 'Move it' }).click();
    await expect(row.getByText(/^due /)).not.toHaveText(due!);
    await page.getByRole('button', { name: 'Take it back' }).click();
    await expect(row.getByText(/^due /)).toHaveText(due!);
  });

  await test.step('? lists the keys of marking; nothing below it acts, and a key that is held acts once', async () => {
    await page.goto(school.url);
    await page.getByRole('link', { name: 'Open the pile: How bridges carry loads' }).press('Enter');
    await page.getByRole('button', { name: 'Waiting' }).press('Enter');
    await page.getByRole('row').nth(1).getByRole('link').press('Enter');
    await expect(page.getByTestId('canvas')).toBeVisible();
    const first = await page.title();
    await page.keyboard.press('?');
    const keys = page.getByRole('dialog', { name: 'Keys of this page' });
    await expect(keys).toContainText('Return this map, and on to the next');
    await page.keyboard.press('Alt+PageDown');
    await page.keyboard.press('Escape');
    await expect(keys).toHaveCount(0);
    expect(await page.title()).toBe(first);
    await page.keyboard.press('Alt+PageDown');
    await expect(page).not.toHaveTitle(first);
    const second = await page.title();
    await page.keyboard.press('Alt+PageUp');
    await expect(page).toHaveTitle(first);
    await page.keyboard.down('Alt');
    for (let i = 0; i < 5; i++) await page.keyboard.down('PageDown');
    await page.keyboard.up('PageDown');
    await page.keyboard.up('Alt');
    await expect(page).toHaveTitle(second);
    // Whatever the held key had asked for would be there by now.
    await page.keyboard.press('Alt+PageUp');
    await expect(page).toHaveTitle(first);
  });
});
