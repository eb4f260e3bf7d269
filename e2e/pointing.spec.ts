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
    await desk.saved();
  });
});
