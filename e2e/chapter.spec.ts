import { enter, expect, MapDesk, test } from './school';
import { smallestLetters } from './letters';

/** A chapter as a teacher copies it out of a book: seven headings of twelve terms. */
const CHAPTER: Record<string, string> = {
  Mortar: 'lime, sand, gauge, joint, bond, header, stretcher, closer, quoin, arch, rib, web',
  Brickwork: 'boss, groin, tie, rafter, purlin, strut, king post, batten, slate, trap, gully, fall',
  Vaults: 'vent, tread, riser, nosing, string, newel, sash, sill, lintel, mullion, transom, pane',
  'Roof trusses': 'putty, flue, cowl, hearth, damp course, soffit, eaves, verge, ridge, valley, flashing, lead',
  Drains: 'hip, gable, dormer, truss plate, noggin, joist, wall plate, padstone, corbel, plinth, footing, trench',
  Stairs:
    'hardcore, screed, skim, float, bead, architrave, skirting, dado, picture rail, cornice, ceiling rose, landing',
  Windows:
    'half landing, winder, balustrade, handrail, apron, cill board, casement, fanlight, jamb, threshold, weatherboard, glazing bar',
};
const HEADINGS = Object.keys(CHAPTER);
const OUTLINE = [
  'A house',
  ...HEADINGS.flatMap((one) => [`  ${one}`, ...CHAPTER[one]!.split(', ').map((term) => `    ${term}`)]),
];
/** What the student hangs elsewhere: every fourth term, from the heading two further on. */
const MOVES = HEADINGS.flatMap((heading, i) =>
  [1, 5, 9].map((at) => [CHAPTER[heading]!.split(', ')[at]!, HEADINGS[(i + 2) % HEADINGS.length]!] as const),
).slice(0, 20);

test('a chapter of ninety terms is pasted, becomes a starter that can be read, and still can when a student has changed and tidied it', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'maren');
  await test.step('the outline is pasted and the starter made', async () => {
    await page.getByRole('link', { name: 'Assignments' }).click();
    await page.getByRole('button', { name: 'New assignment' }).click();
    await page.getByLabel('Title').click();
    await page.keyboard.type('How is a house put up?');
    await page.getByLabel('Add terms').click();
    await page.keyboard.insertText(OUTLINE.join('\n'));
    await page.getByLabel('Where the new terms are handed out').selectOption('map');
    await page.getByRole('button', { name: `Add ${OUTLINE.length} terms` }).click();
    await page.getByRole('button', { name: 'Make it from the terms' }).click();
    await expect(page.getByRole('link', { name: `Starter map · ${OUTLINE.length}` })).toBeVisible();
    await expect(page.getByTestId('save-state')).toHaveText('Saved');
  });
  await test.step('the class gets it', async () => {
    await page.getByRole('button', { name: 'Publish …' }).click();
    await page.getByRole('combobox', { name: 'Class', exact: true }).selectOption('Technology 9B');
    await page.getByRole('button', { name: 'Publish', exact: true }).click();
    await expect(page.getByText('It is published.')).toBeVisible();
  });

  const student = await enter(browser, school, 'amara');
  const desk = new MapDesk(student);
  const row = student.getByRole('listitem').filter({ hasText: 'How is a house put up?' });
  await row.getByRole('button', { name: 'Begin the map' }).click();
  await expect(desk.topic('glazing bar')).toBeVisible();
  await desk.saved();
  await test.step('all of it is in sight, in letters of at least eight pixels', async () => {
    for (const text of ['A house', 'lime', 'glazing bar'])
      await expect(desk.topic(text)).toBeInViewport({ ratio: 0.99 });
    console.log(`letters of the starter: ${(await smallestLetters(student)).toFixed(1)} px`);
    expect(await smallestLetters(student)).toBeGreaterThanOrEqual(8);
    await student.screenshot({ path: test.info().outputPath('starter.png') });
  });
  await test.step('from afar the headings can still be read; a press on one goes there, and so does a word that is typed', async () => {
    const further = student.getByRole('button', { name: 'Zoom out' });
    await expect(student.locator('[data-heading]')).toHaveCount(0);
    for (let i = 0; i < 2; i++) await further.click();
    for (const heading of HEADINGS) await expect(student.locator(`[data-heading="${heading}"]`)).toBeVisible();
    await expect(desk.topic('lime').locator('text').first()).toBeHidden();
    await student.locator('[data-heading="Drains"]').click();
    await expect(desk.topic('hip').locator('text').first()).toBeVisible();
    await expect(desk.topic('trench')).toBeInViewport({ ratio: 0.99 });
    await expect(desk.topic('lime')).not.toBeInViewport();
    for (let i = 0; i < 3; i++) await student.getByRole('button', { name: 'Zoom in' }).click();
    await expect(student.getByRole('img', { name: 'Overview of the map' })).toBeVisible();
    await desk.canvas.focus();
    await student.keyboard.press('Control+f');
    await student.keyboard.type('tra');
    await student.getByRole('list', { name: 'What has these words' }).getByRole('button', { name: 'transom' }).click();
    await expect(desk.topic('transom')).toBeInViewport({ ratio: 0.99 });
    await student.keyboard.press('Escape');
    await expect(student.getByRole('list', { name: 'What has these words' })).toHaveCount(0);
    await student.getByRole('button', { name: 'Fit', exact: true }).click();
    await expect(desk.topic('lime')).toBeInViewport({ ratio: 0.99 });
  });
  await test.step('twenty terms are hung elsewhere, by keys', async () => {
    for (const [term, heading] of MOVES) {
      await desk.topic(term).click();
      await student.keyboard.press('Alt+h');
      await student.keyboard.type(heading);
      await student.keyboard.press('Enter');
      await expect(desk.link(heading, term)).toBeAttached();
    }
  });
  await test.step('words are added to ten links', async () => {
    for (const [term, heading] of MOVES.slice(0, 10)) {
      // Trunks have grown beyond the view by what was hung from them.
      await student.getByRole('button', { name: 'Fit', exact: true }).click();
      await desk.topic(term).click();
      await student.keyboard.press('Alt+j');
      await student.keyboard.press('Enter');
      await desk.typePhrase(heading, term, 'cannot do without');
    }
  });
  await test.step('tidied, all of it is in sight again, in letters of at least seven pixels', async () => {
    await student.screenshot({ path: test.info().outputPath('changed.png') });
    await student.keyboard.press('Escape');
    await student.keyboard.press('Alt+a');
    await student.keyboard.press('t');
    await expect(student.getByText('The map is tidied.')).toBeAttached();
    await expect(async () => {
      for (const text of ['A house', 'lime', 'glazing bar'])
        await expect(desk.topic(text)).toBeInViewport({ ratio: 0.99 });
      expect(await smallestLetters(student)).toBeGreaterThanOrEqual(7);
    }).toPass({ timeout: 15_000 });
    console.log(`letters of the tidied map: ${(await smallestLetters(student)).toFixed(1)} px`);
    await desk.saved();
    await student.screenshot({ path: test.info().outputPath('tidied.png') });
  });
});
