import { expect, enter, MapDesk, test } from './school';

test('plain gestures do what the hand did, once, and one undo takes each back', async ({ browser, school }) => {
  const page = await enter(browser, school, 'freya');
  const desk = await MapDesk.begin(page);
  const box = (await desk.canvas.boundingBox())!;
  await test.step('typing on what is chosen keeps the first letter; what was given is not typed over', async () => {
    await desk.makeByDoubleClick('Ideas', { x: box.x + 160, y: box.y + 60 });
    await desk.topic('Ideas').click();
    await page.keyboard.type('Hello');
    await page.keyboard.press('Enter');
    await expect(desk.topic('Hello')).toBeVisible();
    await desk.topic('Beam').click();
    await page.keyboard.type('s');
    await expect(page.getByTestId('refusal')).toContainText('was given');
    await page.keyboard.press('Escape');
    await expect(desk.topic('Beam')).toBeVisible();
  });
  await test.step('a selection made with the rubber band moves as far as the hand', async () => {
    const [live, tension] = [await desk.topic('Live load').boundingBox(), await desk.topic('Tension').boundingBox()];
    await desk.drag(
      { x: live!.x - 20, y: live!.y - 12 },
      { x: tension!.x + tension!.width + 20, y: tension!.y + tension!.height + 12 },
    );
    const at = await desk.centreOf(desk.topic('Compression'));
    await desk.drag(at, { x: at.x + 60, y: at.y + 24 });
    await expect(async () => {
      const now = (await desk.topic('Live load').boundingBox())!;
      expect(now.x - live!.x).toBeGreaterThan(58.5);
      expect(now.x - live!.x).toBeLessThan(61.5);
    }).toPass({ timeout: 10_000 });
    await page.keyboard.press('Control+z');
    await expect(async () => expect((await desk.topic('Live load').boundingBox())!.x).toBeCloseTo(live!.x, 0)).toPass({
      timeout: 10_000,
    });
  });
  await test.step('of what a rubber band chose a press with Shift or Ctrl takes one out or puts one in, a plain one goes on alone', async () => {
    const chosen = page.locator('.react-flow__node.selected');
    const [beam, cable] = [await desk.topic('Beam').boundingBox(), await desk.topic('Cable').boundingBox()];
    await desk.drag(
      { x: beam!.x - 20, y: beam!.y - 12 },
      { x: cable!.x + cable!.width + 12, y: cable!.y + cable!.height + 10 },
    );
    await expect(chosen).toHaveCount(3);
    await desk.topic('Arch').click({ modifiers: ['Shift'] });
    await expect(chosen).toHaveCount(2);
    await desk.topic('Deck').click({ modifiers: ['Control'] });
    await expect(chosen).toHaveCount(3);
    await desk.topic('Cable').click();
    await expect(chosen).toHaveCount(1);
  });
  await test.step('a link from its button: the other topic is pressed on the map, and its words follow', async () => {
    await desk.topic('Hello').click();
    await page.getByRole('button', { name: 'Link to …' }).click();
    await expect(page.getByRole('dialog', { name: 'Link from “Hello” to …' })).toBeVisible();
    await desk.topic('Pier').click();
    await page.keyboard.type('stands on a');
    await page.keyboard.press('Enter');
    await expect(desk.link('Hello', 'Pier')).toBeAttached();
    // The same once more: no topic is renamed by what is typed then.
    await desk.topic('Hello').click();
    await page.getByRole('button', { name: 'Link to …' }).click();
    await desk.topic('Pier').click();
    await expect(page.getByRole('textbox', { name: 'Words on the link from Hello to Pier' })).toHaveValue(
      'stands on a',
    );
    await page.keyboard.type('stands upon a');
    await page.keyboard.press('Enter');
    // On a machine that is busy the first letters are there before the press has been told.
    const end = await desk.centreOf(desk.topic('Pier'));
    await desk.topic('Hello').click();
    await page.getByRole('button', { name: 'Link to …' }).click();
    await page.mouse.move(end.x, end.y);
    await page.mouse.down();
    await page.evaluate(() =>
      addEventListener(
        'mouseup',
        () => {
          for (const began = performance.now(); performance.now() - began < 400;);
        },
        { once: true },
      ),
    );
    await Promise.all([page.mouse.up(), page.keyboard.type('stands deep on a')]);
    await page.keyboard.press('Enter');
    // What is pointed at is read first.
    await page.mouse.move(box.x + 4, box.y + 4);
    await expect(desk.reading).toContainText('Hello stands deep on a Pier.');
    await expect(desk.topic('Hello')).toBeVisible();
  });
  await test.step('a kind that is chosen in the bar by pointer leaves the keys to the map', async () => {
    await desk.topic('Hello').click();
    const kind = page.getByRole('combobox', { name: 'Kind', exact: true });
    await kind.click();
    await kind.selectOption('Seen outside');
    await page.keyboard.press('Escape');
    await desk.topic('Hello').click();
    await page.keyboard.type('Bus');
    await page.keyboard.press('Enter');
    await expect(desk.topic('Bus')).toBeVisible();
    await expect(kind).toHaveValue('seen');
    await page.keyboard.press('Control+z');
    await expect(desk.topic('Hello')).toBeVisible();
  });
  await test.step('the focus always has a place, and undo is the page’s', async () => {
    await page.getByRole('button', { name: 'Truss', exact: true }).press('Enter');
    await expect(desk.topic('Truss')).toBeVisible();
    await expect(async () =>
      expect(await page.evaluate(() => document.activeElement?.tagName)).not.toBe('BODY'),
    ).toPass({
      timeout: 10_000,
    });
    await page.getByRole('button', { name: 'Brief' }).focus();
    await page.keyboard.press('Control+z');
    await expect(desk.topic('Truss')).toHaveCount(0);
  });
  await test.step('half a word outlives a reload', async () => {
    await desk.topic('Hello').click();
    await page.keyboard.press('F2');
    await page.keyboard.type('Half a wo');
    await page.reload();
    await expect(page.getByRole('textbox', { name: 'Text of the topic' })).toHaveValue('Half a wo');
    await page.keyboard.press('Escape');
    await desk.saved();
  });
  await page.context().close();
});

test('a finger moves a topic on a map that is drawn small', async ({ browser, school }) => {
  const page = await enter(browser, school, 'goran', { hasTouch: true });
  const desk = await MapDesk.begin(page);
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Zoom out' }).click();
  const before = (await desk.topic('Deck').boundingBox())!;
  const from = await desk.centreOf(desk.topic('Deck'));
  const touch = await page.context().newCDPSession(page);
  const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', x: number, y: number): Promise<unknown> =>
    touch.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y }] });
  await send('touchStart', from.x, from.y);
  for (let step = 1; step <= 6; step++) await send('touchMove', from.x + step * 5, from.y + step * 8);
  await send('touchEnd', 0, 0);
  await expect(async () => expect((await desk.topic('Deck').boundingBox())!.y).toBeGreaterThan(before.y + 20)).toPass({
    timeout: 10_000,
  });
  await expect(page.locator('[data-link]')).toHaveCount(0);
  await expect(page.getByRole('textbox', { name: /Text of the new topic/ })).toHaveCount(0);
  await page.context().close();
});

test('a request whose answer is lost and that is sent again is done once; a second tab sees it; Page Down changes no map', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'dalia');
  const desk = await MapDesk.begin(page);
  const box = (await desk.canvas.boundingBox())!;
  await desk.makeByDoubleClick('Mine', { x: box.x + 160, y: box.y + 60 });
  await desk.saved();
  const second = await page.context().newPage();
  await second.goto(page.url());
  await expect(second.locator('[data-topic="Mine"]')).toBeVisible();
  // The deed is done, and its answer never comes.
  await page.route(
    '**/hand-in',
    async (route) => {
      await route.fetch();
      await route.abort();
    },
    { times: 1 },
  );
  await page.getByRole('button', { name: 'Hand in …' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(dialog.getByRole('alert')).toContainText('does not answer');
  await dialog.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(page.getByText(/for the first time$/)).toBeVisible();
  await expect(second.getByText(/^Handed in today/)).toBeVisible();

  const maren = await enter(browser, school, 'maren');
  await maren.getByRole('link', { name: 'Open the pile: How bridges carry loads' }).click();
  await maren.getByRole('link', { name: 'Dalia Moreau' }).click();
  const marked = new MapDesk(maren);
  await marked.unfold('Results');
  await expect(maren.getByText(/^No\. 2/)).toHaveCount(0);
  const [here, box2] = [maren.url(), maren.getByPlaceholder('Write a comment …')];
  await marked.topic('Mine').click();
  await box2.fill('Begun for Mine');
  await maren.locator('#canvas').focus();
  await maren.keyboard.press('PageDown');
  await maren.keyboard.press('Escape');
  expect(maren.url()).toBe(here);
  // What was begun stays with what it was begun for, through another map and a reload.
  await expect(maren.getByText('on “Mine”')).toBeVisible();
  await maren.keyboard.press('Alt+PageDown');
  await expect(maren).not.toHaveURL(here);
  await maren.goto(here);
  await expect(maren.getByPlaceholder('Write a comment …')).toHaveValue('Begun for Mine');
  await expect(maren.getByText('on “Mine”')).toBeVisible();
  for (const one of [page, maren]) await one.context().close();
});
