import { enter, expect, test } from './school';

test('a class’s standing rules: written, put in force, begun with, amended, and followed where the sheet was not changed by hand', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'maren');
  const dialog = page.getByRole('dialog');
  const saved = () => expect(page.getByTestId('save-state')).toHaveText('Saved');
  const openRules = async (): Promise<void> => {
    await page.goto(`${school.url}/people`);
    await page.getByRole('button', { name: /^Technology 9B/ }).click();
    await page.getByRole('button', { name: 'Standing rules' }).click();
    await expect(page.getByRole('heading', { name: 'What must a map show?' })).toBeVisible();
  };
  const add = async (word: string, sentence: RegExp): Promise<void> => {
    await page.getByRole('button', { name: 'Add a requirement …' }).click();
    await dialog.getByRole('combobox').fill(word);
    await dialog.getByRole('option', { name: sentence }).first().click();
    await expect(dialog).toHaveCount(0);
  };
  const putInForce = async (): Promise<void> => {
    await saved();
    await page.getByRole('button', { name: 'Put in force …' }).click();
    await expect(dialog).toBeVisible();
  };
  await test.step('written and put in force', async () => {
    await openRules();
    await add('joined into one', /Everything is joined into one map/);
    await add('crossings', /No links cross/);
    await putInForce();
    await expect(dialog).toContainText('No assignment began with these rules yet.');
    await dialog.getByRole('button', { name: 'Put in force' }).click();
    await expect(dialog).toHaveCount(0);
  });
  await test.step('an assignment begins with them, and one rule is changed on it by hand', async () => {
    await page.goto(`${school.url}/assignments`);
    await page.getByRole('button', { name: 'Begin with standing rules' }).click();
    await page.getByRole('menuitem', { name: 'With the standing rules of Technology 9B' }).click();
    await page.getByLabel('Title').fill('Cranes');
    await page.getByLabel('Points: Everything is joined into one map').fill('9');
    await expect(page.getByLabel(/^Points: No links cross/)).toBeVisible();
    await saved();
  });
  await test.step('amending shows what would change on it', async () => {
    await openRules();
    await page.getByLabel('Points: Everything is joined into one map').fill('4');
    await add('lies on another', /No topic lies on another/);
    await putInForce();
    const row = dialog.getByRole('listitem').filter({ has: page.getByRole('checkbox', { name: 'Cranes' }) });
    await expect(row).toContainText('“Everything is joined into one map” stays as it was changed by hand');
    await expect(row).toContainText('“No topic lies on another” comes in');
    await row.getByRole('checkbox').uncheck();
    await dialog.getByRole('button', { name: 'Put in force' }).click();
    await expect(dialog).toHaveCount(0);
  });
  await test.step('what did not follow is told on its sheet, and follows when asked to', async () => {
    await page.goto(`${school.url}/assignments`);
    await page.getByRole('link', { name: 'Cranes', exact: true }).click();
    await expect(page.getByText('The standing rules of Technology 9B were amended')).toBeVisible();
    await expect(page.getByLabel('Points: No topic lies on another')).toHaveCount(0);
    await page.getByRole('button', { name: 'Take them over' }).click();
    await expect(page.getByLabel('Points: No topic lies on another')).toBeVisible();
    await expect(page.getByLabel('Points: Everything is joined into one map')).toHaveValue('9');
    await expect(page.getByText('The standing rules of Technology 9B were amended')).toHaveCount(0);
  });
  await test.step('it is kept as ready-made, and put away', async () => {
    await page.goto(`${school.url}/assignments`);
    const more = () => page.getByRole('button', { name: 'More for Cranes' }).click();
    await more();
    await page.getByRole('menuitem', { name: 'Keep as ready-made …' }).click();
    await dialog.getByRole('textbox').fill('After the visit to the harbour.');
    await dialog.getByRole('button', { name: 'Keep it' }).click();
    await expect(dialog).toHaveCount(0);
    await more();
    await page.getByRole('menuitem', { name: 'Put away' }).click();
    await expect(page.getByRole('link', { name: 'Cranes', exact: true })).toBeHidden();
    await page.getByText('Put away · 1').click();
    await expect(page.getByRole('link', { name: 'Cranes', exact: true })).toBeVisible();
    const tobias = await enter(browser, school, 'tobias');
    await tobias.getByRole('link', { name: 'Assignments' }).click();
    await tobias.getByLabel('Ready-made assignment').selectOption({ label: 'Cranes · Maren Oyelaran' });
    await expect(tobias.getByText('After the visit to the harbour.')).toBeVisible();
    await tobias.getByRole('button', { name: 'Begin with it' }).click();
    await expect(tobias.getByLabel('Title')).toHaveValue('Cranes');
    await tobias.context().close();
  });
  await page.context().close();
});

test('requirements are dragged, picked on the reference, and tried on the class’s maps', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'maren');
  await page.getByRole('link', { name: 'Assignments' }).click();
  await page.getByRole('link', { name: 'How bridges carry loads', exact: true }).click();
  const dialog = page.getByRole('dialog');
  const rows = page.getByRole('list', { name: 'Everything is there' }).locator('> li');
  await test.step('by a pointer, as by keys', async () => {
    await expect(rows.first()).toContainText('Every given term');
    // Rows grow as what came out on the maps is told: not while one of them is in the hand.
    await expect(page.getByText(/asks nothing yet/).first()).toBeVisible();
    // In the middle: at the edge of the sheet a row that is dragged scrolls it.
    await rows.nth(2).evaluate((row) => row.scrollIntoView({ block: 'center' }));
    await rows.first().hover();
    const [grip, from, to] = await Promise.all(
      [rows.first().locator('[data-grip]'), rows.first(), rows.nth(2)].map((one) => one.boundingBox()),
    );
    const down = to!.y + to!.height / 2 - (from!.y + from!.height / 2);
    await page.mouse.move(grip!.x + 5, grip!.y + 12);
    await page.mouse.down();
    await page.mouse.move(grip!.x + 5, grip!.y + 40, { steps: 4 });
    await page.mouse.move(grip!.x + 5, grip!.y + 12 + down, { steps: 6 });
    await page.mouse.up();
    await expect(rows.nth(2)).toContainText('Every given term');
    await rows.nth(2).press('Alt+ArrowUp');
    await expect(rows.nth(1)).toContainText('Every given term');
  });
  await test.step('propositions', async () => {
    const row = page.locator('#requirement-r11');
    await row.getByRole('button', { name: '3', exact: true }).click();
    await page.getByRole('button', { name: 'Pick on the reference map …' }).click();
    await dialog.getByRole('checkbox', { name: 'Beam sags by Bending.' }).check();
    await expect(dialog.getByRole('checkbox', { checked: true })).toHaveCount(4);
    await dialog.getByRole('button', { name: 'Close' }).click();
    await page.keyboard.press('Escape');
    await expect(row).toContainText('4');
    await expect(page.getByTestId('save-state')).toHaveText('Saved');
  });
  await test.step('what is written now, on every map of the class', async () => {
    await page.getByLabel('Points: No topic lies on another').fill('20');
    await expect(page.getByTestId('save-state')).toHaveText('Saved');
    await page.getByRole('button', { name: 'Try it on the class’s maps' }).click();
    await expect(dialog.getByRole('columnheader')).toHaveCount(14);
    await dialog.getByRole('button', { name: 'Requirement 14 on Kofi L: partly' }).click();
    await expect(dialog.getByRole('img', { name: 'The map, with what the check found' })).toBeVisible();
    await expect(dialog).toContainText('lose points');
  });
  await page.context().close();
});
