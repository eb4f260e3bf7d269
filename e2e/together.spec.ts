import type { Locator, Page } from '@playwright/test';
import { enter, expect, MapDesk, test } from './school';
import { accessible } from './sound';

const goOn = async (page: Page): Promise<MapDesk> => {
  await page.getByRole('link', { name: 'Go on with the map' }).click();
  const desk = new MapDesk(page);
  await expect(desk.topic('Timber footbridge')).toBeVisible();
  await desk.saved();
  return desk;
};
const hereOf = ({ page }: MapDesk): Locator => page.getByRole('button', { name: /^Who is here/ });
const heard = ({ page }: MapDesk): Locator => page.getByTestId('announcer');
/** Opens the words of a topic, with the caret before or behind them. */
const writeInto = async (desk: MapDesk, topic: string, key: 'Home' | 'End'): Promise<void> => {
  await desk.topic(topic).click();
  await desk.page.keyboard.press('F2');
  await expect(desk.page.locator('[data-typing]')).toBeFocused();
  await desk.page.keyboard.press(key);
};

test('three students build a group map at once: hands seen, letters merged, words kept, a lost network, threads, and who made what', async ({
  browser,
  school,
}) => {
  const pages = await Promise.all(['dmitri', 'esther', 'fabio'].map((name) => enter(browser, school, name)));
  const [dmitri, esther, fabio] = (await Promise.all(pages.map(goOn))) as [MapDesk, MapDesk, MapDesk];
  await expect(hereOf(dmitri)).toHaveAccessibleName(/Esther Nwosu.*Fabio Jansen|Fabio Jansen.*Esther Nwosu/);
  await expect(heard(dmitri)).toContainText(/is here now|are here now/);

  await test.step('where each points, what each holds and types is seen; one follows another’s view and lets go', async () => {
    const box = (await esther.canvas.boundingBox())!;
    await esther.page.mouse.move(box.x + 300, box.y + 250);
    await esther.page.mouse.move(box.x + 310, box.y + 260);
    await expect(dmitri.page.locator('[data-points]')).toHaveCount(1);
    await esther.topic('Ford with stepping stones').click();
    await expect(dmitri.page.locator('[data-held]')).toHaveCount(1);
    await hereOf(dmitri).click();
    const list = dmitri.page.getByRole('dialog', { name: 'Who is here' });
    await expect(list).toContainText('has chosen “Ford with stepping stones”');
    await accessible(dmitri.page, 'who is here');
    await list.getByRole('button', { name: 'Follow Esther' }).click();
    await dmitri.page.keyboard.press('Escape');
    const zoom = (desk: MapDesk): Locator => desk.page.getByRole('button', { name: /^Zoom is/ });
    await esther.page.getByRole('button', { name: 'Zoom in' }).click();
    await esther.page.getByRole('button', { name: 'Zoom in' }).click();
    await expect(zoom(esther)).not.toHaveText('71 %');
    const nearer = await zoom(esther).innerText();
    await expect(zoom(dmitri)).toHaveText(nearer);
    await dmitri.canvas.press('Escape');
    await expect(dmitri.page.getByText('You see what Esther sees')).toHaveCount(0);
    for (const desk of [dmitri, esther]) await desk.page.getByRole('button', { name: 'Fit', exact: true }).click();
  });

  await test.step('what two type into one topic is merged letter by letter', async () => {
    await writeInto(dmitri, 'Oak stands 30 years', 'Home');
    await writeInto(esther, 'Oak stands 30 years', 'End');
    await dmitri.page.keyboard.type('Good ');
    await esther.page.keyboard.type(' at least');
    await expect(esther.page.locator('[data-typing]')).toHaveValue('Oak stands 30 years at least');
    await dmitri.page.keyboard.press('Enter');
    await expect(esther.page.locator('[data-typing]')).toHaveValue('Good Oak stands 30 years at least');
    await esther.page.keyboard.type(', or so');
    await esther.page.keyboard.press('Enter');
    for (const desk of [dmitri, esther, fabio])
      await expect(desk.topic('Good Oak stands 30 years at least, or so')).toBeVisible();
  });

  await test.step('one deletes what another types in: the words are kept, and that is said', async () => {
    await writeInto(esther, 'Stones lie there already', 'End');
    await esther.page.keyboard.type(' for free');
    await fabio.topic('Stones lie there already').click();
    await expect(fabio.page.getByText(/EN writes/)).toBeVisible();
    await fabio.page.keyboard.press('Delete');
    await expect(esther.page.getByText('are kept for a new topic here')).toBeVisible();
    await esther.page.keyboard.press('Enter');
    await expect(fabio.topic('Stones lie there already for free')).toBeVisible();
    // Undo takes back one’s own deed, and leaves what the others did.
    await fabio.canvas.press('Control+z');
    await expect(esther.topic('Stones lie there already')).toBeVisible();
    await expect(esther.topic('Stones lie there already for free')).toBeVisible();
  });

  await test.step('one loses the network: gone for the others within seconds, and back with what was drawn meanwhile', async () => {
    await fabio.page.context().setOffline(true);
    await expect(fabio.state).toHaveText('Offline, kept here');
    await expect(hereOf(dmitri)).not.toHaveAccessibleName(/Fabio/);
    await expect(hereOf(fabio)).toHaveAccessibleName('Who is here: nobody else');
    const box = (await fabio.canvas.boundingBox())!;
    await fabio.makeByDoubleClick('Measured offline', { x: box.x + 60, y: box.y + 40 });
    await fabio.page.context().setOffline(false);
    await fabio.saved();
    await expect(dmitri.topic('Measured offline')).toBeVisible();
    await expect(hereOf(dmitri)).toHaveAccessibleName(/Fabio/);
  });

  await test.step('a topic as a task: who it is for finds it on Today', async () => {
    await dmitri.topic('Cost').click();
    await dmitri.page.keyboard.press('Control+k');
    await dmitri.page.keyboard.type('As a task');
    await dmitri.page.keyboard.press('Enter');
    const dialog = dmitri.page.getByRole('dialog', { name: 'As a task: Cost' });
    await dialog.getByRole('button', { name: 'Under way' }).click();
    await dialog.getByLabel('Until').fill('2031-05-01');
    await dialog.getByLabel('Esther Nwosu').check();
    await accessible(dmitri.page, 'a topic as a task');
    await dialog.getByRole('button', { name: 'Make it a task' }).click();
    await expect(
      fabio.page.getByRole('button', { name: 'Task: Cost. Under way · until 1 May · Esther' }),
    ).toBeVisible();
    const today = await esther.page.context().newPage();
    await today.goto(school.url);
    await expect(today.getByRole('region', { name: 'Tasks on group maps' })).toContainText('Cost');
    await today.close();
  });

  await test.step('a thread: begun with a name, heard, answered, settled', async () => {
    await dmitri.topic('Cost').click();
    await dmitri.page.getByRole('button', { name: /^Comments/ }).click();
    await dmitri.page.getByPlaceholder(/^Say something/).click();
    await dmitri.page.keyboard.type('@es');
    await expect(dmitri.page.getByRole('option', { name: 'Esther Nwosu' })).toBeVisible();
    await accessible(dmitri.page, 'comments beside a map');
    await dmitri.page.keyboard.press('Enter');
    await dmitri.page.keyboard.type('who pays for this?');
    await dmitri.page.keyboard.press('Control+Enter');
    await expect(heard(esther)).toContainText('Dmitri says: @Esther who pays for this?');
    await esther.page.getByRole('button', { name: 'Comments, 1 new' }).click();
    const thread = esther.page.locator('[data-thread]').filter({ hasText: 'on “Cost”' });
    await expect(thread).toContainText('on “Cost”');
    await expect(esther.page.getByRole('button', { name: 'Comments', exact: true })).toBeVisible();
    await thread.getByRole('button', { name: 'Answer' }).click();
    await esther.page.keyboard.type('The parish does.');
    await esther.page.keyboard.press('Control+Enter');
    const mine = dmitri.page.locator('[data-thread]').filter({ hasText: 'on “Cost”' });
    await expect(mine).toContainText('The parish does.');
    await mine.getByRole('button', { name: 'Settle it' }).click();
    await expect(esther.page.getByRole('button', { name: 'Show one that is settled' })).toBeVisible();
  });

  await test.step('who made what: on the map and as a table', async () => {
    await hereOf(dmitri).click();
    await dmitri.page.getByRole('button', { name: 'Who made what' }).click();
    await dmitri.page.keyboard.press('Escape');
    const card = dmitri.page.getByRole('region', { name: 'Who made what' });
    await expect(card.getByRole('row', { name: /Fabio Jansen/ })).toContainText('1');
    await accessible(dmitri.page, 'who made what');
    await card.getByRole('button', { name: /Fabio Jansen/ }).click();
    await expect(
      dmitri.page.locator('.react-flow__node.selected').locator(dmitri.topic('Measured offline')),
    ).toHaveCount(1);
  });
});

test('an own map is shared to be drawn on, drawn on by both, copied, and taken back while it is open', async ({
  browser,
  school,
}) => {
  const [kofi, noor] = await Promise.all(['kofi', 'noor'].map((name) => enter(browser, school, name)));
  await kofi!.goto(`${school.url}/own-maps`);
  await kofi!.getByRole('button', { name: 'New map' }).click();
  await kofi!.getByLabel('Title').fill('Piers');
  await kofi!.getByRole('button', { name: 'Begin' }).click();
  const mine = new MapDesk(kofi!);
  await expect(mine.canvas).toBeVisible();
  await mine.saved();
  const box = (await mine.canvas.boundingBox())!;
  await mine.makeByDoubleClick('Pier', { x: box.x + 300, y: box.y + 200 });
  await kofi!.keyboard.press('Control+k');
  await kofi!.keyboard.type('Share it');
  await kofi!.keyboard.press('Enter');
  const dialog = kofi!.getByRole('dialog', { name: 'Share this map' });
  await accessible(kofi!, 'share a map');
  await dialog.getByRole('combobox', { name: 'With whom' }).selectOption('Noor Halvorsen');
  await dialog.getByRole('button', { name: 'Draw on it' }).click();
  await dialog.getByRole('button', { name: 'Share it' }).click();
  await expect(dialog.getByRole('list', { name: 'Shared with' })).toContainText('Noor Halvorsen may draw on it');

  await noor!.getByRole('link', { name: 'Own maps' }).click();
  await noor!.getByRole('link', { name: 'Piers' }).click();
  const theirs = new MapDesk(noor!);
  await expect(theirs.topic('Pier')).toBeVisible();
  await accessible(noor!, 'a map that is shared with one');
  await theirs.saved();
  await theirs.makeByDoubleClick('Deck', { x: box.x + 500, y: box.y + 400 });
  await theirs.linkByDrag('Deck', 'Pier', 'rests on');
  await theirs.saved();
  await expect(mine.link('Deck', 'Pier')).toBeAttached();
  await noor!.keyboard.press('Control+k');
  await noor!.keyboard.type('Keep a copy');
  await noor!.keyboard.press('Enter');
  await expect(noor!.getByText('lies among your own maps').first()).toBeVisible();

  await dialog.getByRole('button', { name: 'Take it back from Noor Halvorsen' }).click();
  await expect(noor!.getByRole('heading', { name: 'This map is not shared with you' })).toBeVisible();
  await expect(noor!.getByText('Pier', { exact: true })).toHaveCount(0);
  await noor!.getByRole('link', { name: 'To your own maps' }).click();
  await expect(noor!.getByText('Shared with you')).toHaveCount(0);
  await noor!.getByRole('link', { name: /Piers/ }).click();
  await expect(theirs.link('Deck', 'Pier')).toBeAttached();
});

test('one of a group has another mark than the group, with a reason that they alone read', async ({
  browser,
  school,
}) => {
  const maren = await enter(browser, school, 'maren', { viewport: { width: 1440, height: 900 } });
  await maren.getByRole('link', { name: 'Open the pile: A crossing for Mill Lane' }).click();
  await maren.getByRole('link', { name: /Aino/ }).click();
  const own = maren.getByRole('region', { name: 'Each one’s mark' });
  await own.getByRole('button', { name: 'Adjust for Bruno' }).press('Enter');
  await maren.keyboard.type('2');
  await maren.keyboard.press('Enter');
  await expect(own.getByRole('alert')).toHaveText('Say why: Bruno reads it.');
  await own.getByPlaceholder('Why? Bruno reads it.').click();
  await maren.keyboard.type('You measured the stream alone, in the rain.');
  await accessible(maren, 'each one’s mark');
  await maren.keyboard.press('Enter');
  await expect(own).toContainText('2 points more: You measured the stream alone, in the rain.');
  await maren.getByRole('button', { name: /^Return to/ }).click();
  await maren.getByRole('alertdialog').getByRole('button', { name: 'Return all the same' }).click();
  await expect(maren.getByText(/^Returned/).first()).toBeAttached();
  const read = async (name: string): Promise<Page> => {
    const page = await enter(browser, school, name);
    await page.getByRole('link', { name: 'Read the comments' }).click();
    await page.getByRole('button', { name: 'Unfold Requirements' }).click();
    await expect(page.getByTestId('mark')).toBeVisible();
    return page;
  };
  const [bruno, celine] = [await read('bruno'), await read('celine')];
  const figure = async (page: Page): Promise<number> => parseFloat(await page.getByTestId('mark').innerText());
  expect((await figure(bruno)) - (await figure(celine))).toBe(2);
  await expect(bruno.getByTestId('mark')).toContainText('Your group has');
  await expect(celine.locator('body')).not.toContainText('in the rain');
});
