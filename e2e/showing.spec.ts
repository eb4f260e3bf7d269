import type { Locator, Page } from '@playwright/test';
import { enter, expect, MapDesk, test } from './school';
import { accessible } from './sound';

test('a tour is shown to a class whose devices follow from stop to stop, look around and come back; then the map itself', async ({
  browser,
  school,
}) => {
  const [aino, dmitri, maren] = (await Promise.all(
    ['aino', 'dmitri', 'maren'].map((name) => enter(browser, school, name)),
  )) as [Page, Page, Page];
  const command = async (page: Page, name: string): Promise<void> => {
    await page.keyboard.press('Control+k');
    await page.keyboard.type(name);
    await page.keyboard.press('Enter');
  };
  const stop = (page: Page): Locator => page.getByTestId('stop');
  await aino.getByRole('link', { name: 'Go on with the map' }).click();
  const desk = new MapDesk(aino);
  await desk.saved();
  await aino.getByRole('button', { name: 'Tour', exact: true }).click();
  const stops = await aino.getByTestId('tours').getByTitle('Play from here').allInnerTexts();
  expect(stops.length).toBeGreaterThan(2);

  await test.step('begun by a command; the class finds it on Today', async () => {
    await command(aino, 'Show it to a class');
    const dialog = aino.getByRole('dialog', { name: 'Show it to a class' });
    await expect(dialog.getByLabel('To which class')).toBeFocused();
    await accessible(aino, 'showing to a class');
    await dialog.getByRole('button', { name: 'Show it' }).press('Enter');
    await expect(aino.getByText(/can follow the tour/)).toBeVisible();
    for (const page of [dmitri, maren]) {
      await page.reload();
      await page.getByRole('link', { name: /^Follow:/ }).click();
      await expect(page.getByText('Aino Baptiste shows this')).toBeVisible();
    }
  });

  await test.step('devices go where the presenter goes, and hear what is said there', async () => {
    await aino.getByRole('button', { name: 'Play', exact: true }).click();
    for (const page of [dmitri, maren]) await expect(stop(page)).toHaveAttribute('data-stop', stops[0]!);
    await aino.keyboard.press('ArrowRight');
    for (const page of [dmitri, maren]) await expect(stop(page)).toHaveAttribute('data-stop', stops[1]!);
    await accessible(dmitri, 'following a tour');
    // Who hides the words on the wall hides them on the devices.
    const said = dmitri.getByTestId('said').locator('p:not(.sr-only)');
    await aino.keyboard.press('w');
    await expect(said).toHaveCount(0);
    await aino.keyboard.press('w');
  });

  await test.step('one looks around, is left alone, and comes back to where the presenter is by then', async () => {
    await dmitri.getByRole('button', { name: 'Zoom out' }).waitFor();
    const box = (await dmitri.locator('#canvas').boundingBox())!;
    await dmitri.mouse.move(box.x + box.width / 2, box.y + 30);
    await dmitri.mouse.wheel(0, 200);
    await expect(dmitri.getByText('You look around by yourself.')).toBeVisible();
    const zoom = await dmitri.getByRole('button', { name: /^Zoom is/ }).innerText();
    await aino.keyboard.press('ArrowRight');
    await expect(stop(maren)).toHaveAttribute('data-stop', stops[2]!);
    await expect(stop(dmitri)).toHaveAttribute('data-stop', stops[2]!);
    await expect(dmitri.getByRole('button', { name: /^Zoom is/ })).toHaveText(zoom);
    await dmitri.getByRole('button', { name: 'Back to Aino' }).click();
    await expect(dmitri.getByText('You look around by yourself.')).toHaveCount(0);
    await expect(dmitri.getByRole('button', { name: /^Zoom is/ })).not.toHaveText(zoom);
  });

  await test.step('without a network one is where the presenter is as soon as there is a way again', async () => {
    await dmitri.context().setOffline(true);
    await aino.keyboard.press('Home');
    await expect(stop(maren)).toHaveAttribute('data-stop', stops[0]!);
    await dmitri.context().setOffline(false);
    await expect(stop(dmitri)).toHaveAttribute('data-stop', stops[0]!);
  });

  await test.step('the map itself, as the presenter looks at it and draws on it', async () => {
    await aino.keyboard.press('Escape');
    await expect(stop(dmitri)).toHaveCount(0);
    await aino.getByRole('button', { name: 'Map', exact: true }).click();
    await command(aino, 'Show it to a class');
    const dialog = aino.getByRole('dialog', { name: 'Show it to a class' });
    await dialog.getByLabel('What they follow').selectOption('The map, as you look at it');
    await dialog.getByRole('button', { name: 'Show it' }).click();
    await expect(aino.getByText('can follow what you see of this map')).toBeVisible();
    // What was shown before is over.
    await expect(dmitri.getByRole('heading', { name: 'This is over' })).toBeVisible();
    await dmitri.getByRole('link', { name: /^Follow:/ }).click();
    await expect(dmitri.getByText('Aino Baptiste shows this')).toBeVisible();
    const canvas = (await desk.canvas.boundingBox())!;
    await desk.makeByDoubleClick('Asked in class', { x: canvas.x + 40, y: canvas.y + 40 });
    await expect(new MapDesk(dmitri).topic('Asked in class')).toBeVisible();
    await maren.getByRole('link', { name: /^Follow:/ }).click();
    await maren.getByRole('button', { name: 'End it' }).click();
    await expect(dmitri.getByRole('heading', { name: 'This is over' })).toBeVisible();
    await expect(aino.getByText('can follow what you see of this map')).toHaveCount(0);
  });
});
