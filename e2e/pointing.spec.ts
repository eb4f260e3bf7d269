import { enter, expect, MapDesk, test } from './school';

test('what one points at has a menu, and a chosen link has grips: each does what it says, and is one step to take back', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'juno');
  const desk = await MapDesk.goOn(page);
  const menu = page.getByRole('menu');
  const choose = async (name: string | RegExp): Promise<void> => {
    await menu.getByRole('menuitem', { name }).click();
    await expect(menu).toHaveCount(0);
  };
  const undo = (): Promise<void> => page.keyboard.press('Control+z');
  const topics = page.locator('[data-topic]');

  await test.step('the menu of a topic chooses it first, and offers what can be done with a topic', async () => {
    const were = await topics.count();
    await desk.topic('Keystone').click({ button: 'right' });
    await expect(menu.getByRole('menuitem', { name: 'Turn the selected links round' })).toHaveCount(0);
    await choose(/^Duplicate/);
    await expect(topics).toHaveCount(were + 1);
    await undo();
    await expect(topics).toHaveCount(were);
    await desk.topic('Keystone').click({ button: 'right' });
    await choose(/^Cut it loose/);
    await expect(desk.link('Arch', 'Keystone')).toHaveCount(0);
    await undo();
    await expect(desk.link('Arch', 'Keystone')).toHaveCount(1);
  });

  await test.step('the menu of a link turns it round; Escape leaves the menu and changes nothing', async () => {
    const words = desk.link('Arch', 'Keystone').locator('rect').first();
    await words.click({ button: 'right', force: true });
    await expect(menu.getByRole('menuitem', { name: /^Cut it loose/ })).toHaveCount(0);
    await page.keyboard.press('Escape');
    await expect(menu).toHaveCount(0);
    await expect(desk.link('Arch', 'Keystone')).toHaveCount(1);
    await words.click({ button: 'right', force: true });
    await choose(/^Turn the selected links round/);
    await expect(desk.link('Keystone', 'Arch')).toHaveCount(1);
    await undo();
    await expect(desk.link('Arch', 'Keystone')).toHaveCount(1);
  });

  await test.step('a link is taken by its end to another topic, and bent by its middle', async () => {
    await desk.link('Arch', 'Keystone').locator('rect').first().click({ force: true });
    const end = page.locator('[data-grip=to]');
    await desk.drag(await desk.centreOf(end), await desk.centreOf(desk.topic('Bridge')));
    await expect(desk.link('Arch', 'Bridge')).toHaveCount(1);
    await undo();
    await expect(desk.link('Arch', 'Keystone')).toHaveCount(1);
    // Let go where no topic is: it leads where it led.
    await desk.link('Arch', 'Keystone').locator('rect').first().click({ force: true });
    const from = await desk.centreOf(end);
    await desk.drag(from, { x: from.x, y: from.y + 14 });
    await expect(desk.link('Arch', 'Keystone')).toHaveCount(1);
    const line = desk.link('Arch', 'Keystone').locator('path').first();
    const was = await line.getAttribute('d');
    const bend = await desk.centreOf(page.locator('[data-grip=bend]'));
    await desk.drag(bend, { x: bend.x + 60, y: bend.y });
    await expect(line).not.toHaveAttribute('d', was!);
    await undo();
    await expect(line).toHaveAttribute('d', was!);
  });

  await test.step('a finger that stays opens the same menu', async () => {
    await page.keyboard.press('Escape');
    const at = await desk.centreOf(desk.topic('Arch'));
    await desk.topic('Arch').dispatchEvent('contextmenu', { clientX: at.x, clientY: at.y, button: 0 });
    await expect(menu.getByRole('menuitem', { name: /^Duplicate/ })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(menu).toHaveCount(0);
    await expect(desk.canvas).toBeFocused();
    await desk.saved();
  });

  const box = (await desk.canvas.boundingBox())!;
  const dropWords = page.getByTestId('drop-words');
  /** Drags a topic over a place and stays there, to read what letting go would do. */
  const hold = async (text: string, to: { x: number; y: number }): Promise<void> => {
    const from = await desk.centreOf(desk.topic(text));
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 4 });
    await page.mouse.move(to.x, to.y, { steps: 4 });
  };

  await test.step('where nothing is a menu makes a topic there; the ring of a topic, pressed, makes one that hangs from it', async () => {
    await page.mouse.click(box.x + 60, box.y + box.height - 90, { button: 'right' });
    await choose(/^Make a topic/);
    await page.keyboard.type('Loose');
    await page.keyboard.press('Enter');
    await expect(desk.topic('Loose')).toBeVisible();
    await desk.topic('Loose').hover();
    await desk.topic('Loose').locator('.grip').click();
    await page.keyboard.type('Below');
    await page.keyboard.press('Enter');
    await desk.typePhrase('Loose', 'Below', 'has');
    await desk.topic('Loose').click();
    await page.getByRole('button', { name: 'Fold Loose: 1 hang from it' }).click();
    await expect(desk.topic('Below')).toHaveCount(0);
    await page.getByRole('button', { name: 'Unfold Loose: 1 are out of sight' }).click();
    await expect(desk.topic('Below')).toBeVisible();
  });

  await test.step('on what hangs from it nothing is hung, and that is said before and after', async () => {
    await hold('Loose', await desk.centreOf(desk.topic('Below')));
    await expect(dropWords).toContainText('nothing can hang from what hangs from it');
    await page.mouse.up();
    await expect(page.getByTestId('refusal')).toContainText('“Below” hangs from “Loose” itself');
    await expect(desk.link('Loose', 'Below')).toHaveCount(1);
  });

  await test.step('a drag takes the branch along where that is switched on', async () => {
    const apart = async (): Promise<number> =>
      (await desk.centreOf(desk.topic('Below'))).y - (await desk.centreOf(desk.topic('Loose'))).y;
    const were = await apart();
    await page.keyboard.press('Control+k');
    await page.keyboard.type('branch along when it is dragged');
    await page.keyboard.press('Enter');
    const at = await desk.centreOf(desk.topic('Loose'));
    await desk.drag(at, { x: at.x + 30, y: at.y - 30 });
    await expect(async () => expect((await desk.centreOf(desk.topic('Loose'))).y).toBeLessThan(at.y - 20)).toPass();
    expect(Math.abs((await apart()) - were)).toBeLessThan(2);
    await undo();
    await expect(async () => expect((await desk.centreOf(desk.topic('Loose'))).y).toBeGreaterThan(at.y - 5)).toPass();
  });

  await test.step('several that are chosen are dropped on a topic and hang from it; deleted, a branch goes whole', async () => {
    await desk.topic('Loose').click();
    await desk.topic('Beam').click({ modifiers: ['Shift'] });
    // What is pointed at is read first.
    await page.mouse.move(box.x + 4, box.y + 4);
    await expect(desk.reading).toContainText('2 topics selected: Beam, Loose.');
    await hold('Beam', await desk.centreOf(desk.topic('Keystone')));
    await expect(dropWords).toHaveText('Let go to hang 2 topics from “Keystone”');
    await page.mouse.up();
    await expect(desk.link('Keystone', 'Beam')).toHaveCount(1);
    await expect(desk.link('Keystone', 'Loose')).toHaveCount(1);
    await desk.topic('Loose').click();
    await desk.topic('Loose').click({ button: 'right' });
    await choose(/^Delete with all that hangs from it/);
    for (const gone of ['Loose', 'Below']) await expect(desk.topic(gone)).toHaveCount(0);
    await undo();
    await undo();
    await expect(desk.link('Shapes', 'Beam')).toHaveCount(1);
  });

  await test.step('a topic that nothing is linked to is dropped on a link and goes in between', async () => {
    await page.mouse.click(box.x + 60, box.y + box.height - 30, { button: 'right' });
    await choose(/^Make a topic/);
    await page.keyboard.type('Voussoir');
    await page.keyboard.press('Enter');
    const [arch, keystone] = [await desk.centreOf(desk.topic('Arch')), await desk.centreOf(desk.topic('Keystone'))];
    await hold('Voussoir', { x: (arch.x + keystone.x) / 2, y: (arch.y + keystone.y) / 2 });
    await expect(dropWords).toHaveText('Let go to put “Voussoir” between “Arch” and “Keystone”');
    await page.mouse.up();
    await desk.typePhrase('Voussoir', 'Keystone', 'leans on the');
    await expect(desk.link('Arch', 'Voussoir')).toHaveCount(1);
    await expect(desk.link('Arch', 'Keystone')).toHaveCount(0);
  });

  await test.step('a nested list from a page is pasted with its levels', async () => {
    await page.keyboard.press('Escape');
    await page.evaluate(() => {
      const data = new DataTransfer();
      data.setData('text/html', '<ul><li>Paint<ul><li>Rust</li></ul></li></ul>');
      data.setData('text/plain', 'Paint\nRust');
      document
        .querySelector('#canvas')!
        .dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    });
    await expect(desk.link('Paint', 'Rust')).toHaveCount(1);
    await desk.saved();
  });
});
