import { enter, expect, MapDesk, test, watched } from './school';
import { pileOf } from './sound';
import { walk } from './walk';

test('a student’s pages are gone through by Tab', async ({ browser, school }) => {
  const stranger = await watched(await browser.newContext());
  await stranger.goto(school.url);
  await expect(stranger.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await walk(stranger, 'sign-in');
  await stranger.context().close();

  const kofi = await enter(browser, school, 'kofi');
  await expect(kofi.getByRole('link', { name: 'Read the comments' })).toBeVisible();
  await walk(kofi, 'today');
  await kofi.getByRole('link', { name: 'Read the comments' }).click();
  await expect(kofi.getByTestId('canvas')).toBeVisible();
  await walk(kofi, 'feedback');
  await kofi.goto(`${school.url}/password`);
  await expect(kofi.getByRole('button', { name: 'Change password' })).toBeVisible();
  await walk(kofi, 'password');
  await kofi.goto(`${school.url}/own-maps`);
  await expect(kofi.getByRole('button', { name: 'New map' })).toBeVisible();
  await walk(kofi, 'own maps');
  await kofi.context().close();

  const juno = await enter(browser, school, 'juno');
  await MapDesk.goOn(juno);
  await walk(juno, 'map');
  for (const view of ['Outline', 'Sentences']) {
    await juno.getByRole('button', { name: view, exact: true }).click();
    await walk(juno, view);
  }
  await juno.context().close();
});

test('a teacher’s and an administrator’s pages are gone through by Tab', async ({ browser, school }) => {
  const maren = await enter(browser, school, 'maren');
  await expect(maren.getByRole('link', { name: /^Open the pile/ }).first()).toBeVisible();
  await walk(maren, 'today of a teacher');
  const pile = school.url + (await pileOf(maren));
  await maren.goto(pile);
  await expect(maren.getByRole('table')).toBeVisible();
  await walk(maren, 'pile');
  await maren.getByRole('link', { name: 'Noor Halvorsen' }).click();
  await expect(maren.getByTestId('canvas')).toBeVisible();
  await walk(maren, 'marking');
  await maren.goto(pile);
  await maren.getByRole('link', { name: 'The class together' }).click();
  await expect(maren.getByTestId('so-many-judged')).toBeVisible();
  await walk(maren, 'the class’s sentences');
  for (const path of ['assignments', 'gradebook', 'people', 'assignments/what-can-i-ask-for', 'own-maps']) {
    await maren.goto(`${school.url}/${path}`);
    await expect(maren.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(maren.getByText(/^(Opening|Looking)/)).toHaveCount(0);
    await walk(maren, path);
  }
  await maren.goto(`${school.url}/assignments`);
  await maren.getByRole('link', { name: 'How bridges carry loads', exact: true }).click();
  await expect(maren.getByRole('img', { name: 'Reference map' })).toBeVisible();
  await walk(maren, 'sheet');
  await maren.context().close();

  const halina = await enter(browser, school, 'halina');
  await expect(halina.getByRole('table')).toBeVisible();
  await walk(halina, 'people of an administrator');
  await halina.context().close();
});

test('in forced colours what is chosen, where one is and what a colour is can be seen', async ({ browser, school }) => {
  const page = await enter(browser, school, 'juno', { forcedColors: 'active' });
  const desk = await MapDesk.goOn(page);
  /** The width of the outline something has now, and whether it keeps its own colour. */
  const drawn = (what: ReturnType<typeof page.locator>): Promise<{ outline: number; background: string }> =>
    what.evaluate((one) => {
      const { outlineStyle, outlineWidth, backgroundColor } = getComputedStyle(one);
      return { outline: outlineStyle === 'none' ? 0 : parseFloat(outlineWidth), background: backgroundColor };
    });
  await test.step('views, kinds and the edges of panels', async () => {
    expect((await drawn(page.getByRole('button', { name: 'Map', exact: true }))).outline).toBeGreaterThanOrEqual(2);
    expect((await drawn(page.getByRole('button', { name: 'Outline', exact: true }))).outline).toBe(0);
    const edge = page.getByRole('separator', { name: 'Width of Requirements' });
    await edge.focus();
    await page.keyboard.press('ArrowLeft');
    expect((await drawn(edge)).outline).toBeGreaterThanOrEqual(2);
  });
  await test.step('what the arrows have come to in menus and among commands', async () => {
    await page.getByRole('button', { name: 'Arrange' }).click();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowDown');
    const [here, other] = [page.locator('[data-highlighted]'), page.locator('[role=menuitem]:not([data-highlighted])')];
    expect((await drawn(here)).outline).toBeGreaterThanOrEqual(2);
    expect((await drawn(other.first())).outline).toBe(0);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+k');
    const chosen = page.getByRole('option', { selected: true });
    await expect(chosen).toBeVisible();
    expect((await drawn(chosen)).outline).toBeGreaterThanOrEqual(2);
    await page.keyboard.press('Escape');
  });
  await test.step('swatches keep the colours they are of', async () => {
    await desk.topic('Bridge').click();
    await page.getByRole('button', { name: 'Looks' }).click();
    const fills = page.getByRole('group', { name: 'Fill', exact: true }).locator('[data-swatch]');
    const colours = new Set(await fills.evaluateAll((all) => all.map((one) => getComputedStyle(one).backgroundColor)));
    expect(colours.size).toBeGreaterThan(3);
  });
  await page.context().close();
});
