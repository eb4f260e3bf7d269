import { expect, enter, MapDesk, test } from './school';

const IN_BANK = [
  'Truss',
  'Tower',
  'Abutment',
  'Anchorage',
  'Foundation',
  'Keystone',
  'Expansion joint',
  'Span',
  'Bearing',
  'Dead load',
  'Wind load',
  'Shear',
  'Bending',
  'Torsion',
  'Resonance',
];

test('a student builds a map from the starter and hands it in; the teacher comments and returns it; the student reads it and revises', async ({
  browser,
  school,
}) => {
  const student = await enter(browser, school, 'amara');
  const desk = await MapDesk.begin(student);
  const { page } = desk;
  await test.step('a bare starter greets with the first step, not with what is missing', async () => {
    await expect(page.getByRole('heading', { name: 'Where to begin' })).toBeVisible();
    await expect(desk.checks.getByRole('img', { name: 'not met' })).toHaveCount(0);
  });
  await test.step('the brief is at hand', async () => {
    await page.getByRole('button', { name: 'Brief' }).click();
    await expect(page.getByRole('dialog')).toContainText('every term');
    await page.keyboard.press('Escape');
  });
  await test.step('terms are dragged from the bank, each with its kind', async () => {
    for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Zoom out' }).click();
    const box = (await desk.canvas.boundingBox())!;
    const target = (await desk.topic('Tell pushing from pulling').boundingBox())!;
    for (const [i, term] of IN_BANK.entries()) {
      await desk.placeByDrag(term, { x: box.x + 110 + (i % 5) * 125, y: target.y + 40 + Math.floor(i / 5) * 34 });
    }
    await expect(page.getByRole('region', { name: 'Word bank', exact: true })).toContainText(
      'Every given term is on the map.',
    );
    await expect(desk.checks).toContainText('All 23 are placed.');
  });
  await test.step('topics of one’s own by double click, in the kind that is the next mark', async () => {
    const box = (await desk.canvas.boundingBox())!;
    await desk.makeByDoubleClick('Loads', { x: box.x + 180, y: box.y + 60 });
    await desk.makeByDoubleClick('Shapes', { x: box.x + 480, y: box.y + 60 });
    await page.getByRole('button', { name: /^Seen outside/ }).click();
    await desk.makeByDoubleClick('snow plough', { x: box.x + 630, y: box.y + 140 });
  });
  await test.step('links by dragging, with the sentence read out while typing', async () => {
    await desk.linkByDrag('Bridge', 'Loads', 'has to carry');
    await desk.linkByDrag('Bridge', 'Shapes', 'takes one of several');
    await desk.linkByDrag('Arch', 'Bridge', 'is one shape of a');
  });
  await test.step('a link to itself, and a second one like it, are explained and not made', async () => {
    await desk.topic('Arch').hover();
    const grip = await desk.centreOf(desk.topic('Arch').locator('.grip'));
    await desk.drag(grip, await desk.centreOf(desk.topic('Arch')));
    await expect(page.getByTestId('refusal')).toContainText('cannot be linked to itself');
    await desk.topic('Arch').hover();
    await desk.drag(grip, await desk.centreOf(desk.topic('Bridge')));
    await expect(page.getByTestId('refusal')).toContainText('already linked');
    await expect(page.locator('[data-link]')).toHaveCount(3);
  });
  await test.step('a ring dropped where there is nothing grows a topic; an empty one vanishes; a corner pulls it wider', async () => {
    const box = (await desk.canvas.boundingBox())!;
    await desk.topic('Loads').hover();
    const grip = await desk.centreOf(desk.topic('Loads').locator('.grip'));
    await desk.drag(grip, { x: box.x + 60, y: box.y + 150 });
    await page.keyboard.press('Enter');
    await expect(page.locator('[data-link]')).toHaveCount(3);
    await desk.topic('Loads').hover();
    await desk.drag(grip, { x: box.x + 60, y: box.y + 150 });
    await page.keyboard.type('Weights');
    await page.keyboard.press('Enter');
    await desk.typePhrase('Loads', 'Weights', 'are also called');
    await desk.topic('Weights').click();
    const before = (await desk.topic('Weights').boundingBox())!;
    await desk.drag(
      { x: before.x + before.width + 2, y: before.y + before.height + 2 },
      { x: before.x + before.width + 40, y: before.y + before.height + 2 },
    );
    await expect(async () =>
      expect((await desk.topic('Weights').boundingBox())!.width).toBeGreaterThan(before.width + 20),
    ).toPass();
    for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z');
    await expect(desk.topic('Weights')).toHaveCount(0);
  });
  await test.step('all other topics are linked by keys', async () => {
    const others = ['Beam', 'Cable', 'Deck', 'Pier', 'Live load', 'Compression', 'Tension', 'snow plough', ...IN_BANK];
    for (const topic of others) await desk.linkByKeys(topic, 'Bridge', 'belongs to a');
  });
  await test.step('looks of several at once, and as their kind again', async () => {
    await desk.topic('Beam').click();
    await desk.topic('Deck').click({ modifiers: ['Shift'] });
    await page.getByRole('button', { name: 'Looks' }).click();
    await page.getByRole('combobox', { name: /^Shape/ }).selectOption('hexagon');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('button', { name: 'As its kind' })).toBeEnabled();
    await page.getByRole('button', { name: 'As its kind' }).click();
    await expect(page.getByRole('button', { name: 'As its kind' })).toBeDisabled();
  });
  await test.step('a given topic warns before it goes, comes back from the bank, and undo works step by step', async () => {
    await desk.topic('Pier').click();
    await page.keyboard.press('Delete');
    await expect(page.getByRole('alertdialog')).toContainText('Your teacher gave “Pier”');
    await page.getByRole('button', { name: 'Delete', exact: true }).click();
    await expect(desk.topic('Pier')).toHaveCount(0);
    await expect(desk.checks).toContainText('22 of 23 placed.');
    await expect(page.getByRole('button', { name: /^Pier/ })).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect(desk.topic('Pier')).toBeVisible();
    await expect(desk.link('Pier', 'Bridge')).toBeAttached();
  });
  await test.step('what is met is told from what is not', async () => {
    await expect(desk.checks.getByRole('img', { name: 'met', exact: true })).toHaveCount(12);
    await desk.saved();
  });
  await test.step('hands in and gets a receipt with the time', async () => {
    await page.getByRole('button', { name: 'Hand in …' }).click();
    await expect(page.getByRole('dialog')).toContainText('4 things are not wholly met.');
    await page.getByLabel('A note to your teacher').fill('Is <i>snow plough</i> a load?');
    await page.getByRole('dialog').getByRole('button', { name: 'Hand in', exact: true }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Receipt');
    await expect(page.getByText(/^\w+day \d+ \w+ \d{4}, \d\d:\d\d:\d\d, for the first time$/)).toBeVisible();
    await expect(page.getByText('12 of 16 met, 32.4 of 42, and 1 extra points')).toBeVisible();
    await expect(page.getByText('Is <i>snow plough</i> a load?')).toBeVisible();
  });

  const teacher = await enter(browser, school, 'maren');
  await test.step('the teacher finds the map in the list of the class', async () => {
    await teacher.getByRole('link', { name: 'Open the pile: How bridges carry loads' }).click();
    await teacher.getByRole('link', { name: 'Amara Diallo' }).click();
    await expect(teacher.getByTestId('canvas')).toBeVisible();
    await new MapDesk(teacher).unfold('Results');
    await expect(teacher.getByText('Is <i>snow plough</i> a load?')).toBeVisible();
  });
  await test.step('comments on a topic, on a link and on the whole stand in the margin', async () => {
    const marked = new MapDesk(teacher);
    const margin = teacher.getByRole('complementary', { name: 'Margin' });
    const write = async (text: string): Promise<void> => {
      await teacher.getByPlaceholder('Write a comment …').fill(text);
      await teacher.getByRole('button', { name: 'Add', exact: true }).click();
      await expect(margin.getByText(text)).toBeVisible();
    };
    const box = teacher.getByPlaceholder('Write a comment …');
    await box.fill('   ');
    await box.press('Control+Enter');
    await box.fill('Written in haste.');
    // Two presses in one breath, as a nervous hand does it.
    await box.evaluate((field) => {
      const press = { key: 'Enter', ctrlKey: true, bubbles: true, cancelable: true };
      for (let i = 0; i < 2; i++) field.dispatchEvent(new KeyboardEvent('keydown', press));
    });
    await expect(box).toHaveValue('');
    await expect(margin.getByText('Written in haste.')).toHaveCount(1);
    await expect(teacher.getByText('A comment has 1 to 2,000 characters.')).toHaveCount(0);
    await margin.getByRole('button', { name: 'Delete' }).click();
    await expect(margin).toHaveCount(0);
    // With its only comment gone it is not being marked any more; brought back, it is.
    await expect(teacher.getByText(/Amara can hand in again until/)).toBeVisible();
    await teacher.getByRole('button', { name: 'Bring it back' }).click();
    await expect(margin.getByText('Written in haste.')).toBeVisible();
    await margin.getByRole('button', { name: 'Delete' }).click();
    await expect(margin).toHaveCount(0);
    await write('Everything is there.');
    await marked.topic('Loads').click();
    await write('Which of the forces belong here?');
    await teacher.getByRole('banner').getByRole('button', { name: 'Sentences', exact: true }).click();
    await teacher.getByTestId('sentences').getByRole('button', { name: 'Arch is one shape of a Bridge.' }).click();
    await expect(teacher.getByText('on “Arch is one shape of a Bridge”')).toBeVisible();
    await write('A true sentence.');
    await teacher
      .getByRole('article')
      .filter({ hasText: 'A true sentence.' })
      .getByRole('button', { name: 'Delete' })
      .click();
    await expect(margin.getByText('A true sentence.')).toHaveCount(0);
    await expect(teacher.getByText(/You are marking it/)).toBeVisible();
  });
  await test.step('meanwhile the student reads and changes nothing', async () => {
    await page.getByRole('link', { name: 'Back to the map' }).click();
    await expect(page.getByText('Your teacher has begun to mark this map.')).toBeVisible();
    await expect(page.getByRole('button', { name: /Hand in/ })).toHaveCount(0);
  });
  await test.step('returns it', async () => {
    await teacher.getByRole('button', { name: 'Return to Amara' }).click();
    // Two criteria are not judged: it asks, and says which.
    await expect(teacher.getByRole('alertdialog')).toContainText('Understanding of forces');
    await teacher.getByRole('button', { name: 'Return all the same' }).click();
    await expect(teacher.getByRole('button', { name: 'Return to Amara' })).toHaveCount(0);
  });
  await test.step('the student reads the comments in the margin and revises', async () => {
    await page.goto(school.url);
    await page.getByRole('link', { name: 'Read the comments' }).click();
    const margin = page.getByRole('complementary', { name: 'Margin' });
    await expect(margin.getByText('Which of the forces belong here?')).toBeVisible();
    await expect(margin.getByText('Everything is there.')).toBeVisible();
    await page.getByRole('button', { name: 'Revise' }).click();
    await new MapDesk(page).opened();
    await expect(page.getByRole('button', { name: 'Hand in again …' })).toBeVisible();
  });
  await student.context().close();
  await teacher.context().close();
});
