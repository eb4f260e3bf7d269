import { expect, enter, MapDesk, test } from './school';

test('a heap of words is gathered, sorted, enriched, tidied and looked at again, and nothing of it is lost', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'hana');
  const desk = await MapDesk.begin(page);
  const paste = (text: string): Promise<void> =>
    desk.canvas.evaluate((canvas, words) => {
      const data = new DataTransfer();
      data.setData('text/plain', words);
      canvas.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    }, text);
  await test.step('an indented list pasted on the canvas becomes a branch; a long one is cut, and says so', async () => {
    await desk.canvas.focus();
    await paste('Ways to span\n\tVault\n\tStay\n\t\tStrut');
    await expect(desk.link('Ways to span', 'Vault')).toHaveCount(1);
    await expect(desk.link('Stay', 'Strut')).toHaveCount(1);
    await page.keyboard.press('Control+z');
    await expect(desk.topic('Vault')).toHaveCount(0);
    await page.keyboard.press('Control+Shift+z');
    await expect(desk.topic('Strut')).toHaveCount(1);
  });
  await test.step('what a drop will do is said first; the whole branch goes along, in one step', async () => {
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Fit', exact: true }).click();
    const [stay, root] = [await desk.centreOf(desk.topic('Stay')), await desk.centreOf(desk.topic('Bridge'))];
    await page.mouse.move(stay.x, stay.y);
    await page.mouse.down();
    await page.mouse.move(root.x + 30, root.y, { steps: 5 });
    await page.mouse.move(root.x, root.y, { steps: 3 });
    await expect(page.getByTestId('drop-words')).toHaveText('Let go to hang “Stay” from “Bridge”');
    await page.mouse.up();
    await expect(desk.link('Bridge', 'Stay')).toHaveCount(1);
    await expect(desk.link('Ways to span', 'Stay')).toHaveCount(0);
    await page.keyboard.press('Control+z');
    await expect(desk.link('Ways to span', 'Stay')).toHaveCount(1);
  });
  await test.step('a note, an address and a mark stay on their topic and are read on choosing it', async () => {
    await desk.topic('Vault').click();
    await page.keyboard.press('Alt+n');
    await page.getByRole('textbox', { name: 'Note' }).fill('A vault is an arch **drawn out**.');
    await expect(page.getByText('7 words')).toBeVisible();
    await page.getByRole('textbox', { name: 'Address' }).fill('javascript:alert(1)');
    await page.getByRole('textbox', { name: 'Address' }).press('Enter');
    await expect(page.getByTestId('refusal')).toContainText('no web address that can be opened');
    await page.getByRole('textbox', { name: 'Address' }).fill('example.org/vaults');
    await page.getByRole('textbox', { name: 'Address' }).press('Enter');
    await expect(page.getByRole('link', { name: 'https://example.org/vaults' })).toHaveAttribute('rel', /noopener/);
    await page.getByRole('button', { name: 'Important' }).click();
    await page.keyboard.press('Escape');
    await expect(page.getByTestId('note-card')).toContainText('A vault is an arch drawn out.');
  });
  await test.step('tidied by keys in one step, and back in one; arranged on what is selected alone', async () => {
    await desk.canvas.focus();
    await page.keyboard.press('Escape');
    // Its place on the map: the view goes with what was tidied.
    const place = (): Promise<string> =>
      desk.topic('Strut').evaluate((topic) => topic.closest<HTMLElement>('.react-flow__node')!.style.transform);
    const before = await place();
    await page.keyboard.press('Alt+a');
    await expect(page.getByText('Arrange: press a letter')).toBeVisible();
    await page.keyboard.press('t');
    await expect(async () => {
      const [parent, child] = [await desk.centreOf(desk.topic('Stay')), await desk.centreOf(desk.topic('Strut'))];
      expect(child.y).toBeGreaterThan(parent.y);
      expect(await place()).not.toBe(before);
    }).toPass({ timeout: 15_000 });
    await page.keyboard.press('Control+z');
    await expect.poll(place, { timeout: 10_000 }).toBe(before);
  });
  await test.step('folded, a branch is counted; found, a word is jumped to; a version brings back what was', async () => {
    await desk.topic('Ways to span').click();
    await page.keyboard.press('Alt+a');
    await page.keyboard.press('f');
    await expect(desk.topic('Strut')).toHaveCount(0);
    await page.getByRole('button', { name: 'Unfold Ways to span: 3 are out of sight' }).click();
    await expect(desk.topic('Strut')).toHaveCount(1);
    await page.keyboard.press('Control+f');
    await page.getByRole('textbox', { name: 'Find on the map' }).fill('drawn out');
    await page.keyboard.press('Enter');
    await expect(desk.reading).toContainText('Vault');
    await page.keyboard.press('Escape');
    await desk.saved();
    await page.getByRole('button', { name: 'Versions' }).click();
    await page.getByRole('textbox', { name: 'Name the map as it is now' }).fill('With a vault');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: /With a vault/ })).toBeVisible();
    await page.keyboard.press('Escape');
    await desk.topic('Vault').click();
    await page.keyboard.press('Delete');
    await expect(desk.topic('Vault')).toHaveCount(0);
    await desk.saved();
    await page.getByRole('button', { name: 'Versions' }).click();
    await page.getByRole('button', { name: /With a vault/ }).click();
    await expect(page.getByText(/One of these topics is gone now/)).toBeVisible();
    await page.getByRole('button', { name: 'Go back to this' }).click();
    await expect(desk.topic('Vault')).toHaveCount(1);
    await desk.saved();
  });
  await page.context().close();
});
