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

  await test.step('a given term of a kind that students give is said; what is chosen has its bar at the foot of the sheet', async () => {
    const terms = page.locator('#terms');
    const family = terms.getByText(/of the kind “Family”, which students give themselves/);
    await expect(family).toHaveCount(0);
    await terms.getByLabel('Kind of Truss').selectOption('Family');
    await expect(family).toContainText('“Truss”');
    await terms.getByLabel('Kind of Truss').selectOption('Part');
    await expect(family).toHaveCount(0);
    const bottomOf = (what: string): Promise<number> =>
      page.locator(what).evaluate((one) => one.getBoundingClientRect().bottom);
    await terms.getByLabel('Choose Arch', { exact: true }).check();
    await terms.evaluate((section) => section.scrollIntoView());
    await expect
      .poll(async () => (await bottomOf('#sheet')) - (await bottomOf('[aria-label="Chosen terms"]')))
      .toBeLessThan(4);
    await terms.getByLabel('Choose Arch', { exact: true }).uncheck();
  });

  await test.step('a blank that wants something says what, beside the requirement it is in', async () => {
    const row = page.locator('#requirement-r11');
    await row.getByRole('button', { name: '3', exact: true }).click();
    await page.getByRole('button', { name: 'Pick on the reference map …' }).click();
    const picked = page.getByRole('dialog').getByRole('checkbox', { checked: true });
    await expect(picked).toHaveCount(3);
    for (let left = 2; left >= 0; left--) {
      await picked.first().uncheck();
      await expect(picked).toHaveCount(left);
    }
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    await expect(row.getByText(/Not complete: “the sentences themselves/)).toBeVisible();
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
