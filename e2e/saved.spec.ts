import { expect, enter, MapDesk, test } from './school';

test('what was shown as saved survives a server that is killed again and again while a student types and deletes', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'chidi');
  const desk = await MapDesk.begin(page);
  const box = (await desk.canvas.boundingBox())!;
  for (let round = 1; round <= 4; round++) {
    await desk.makeByDoubleClick(`Idea ${round}`, { x: box.x + 60 + round * 130, y: box.y + 90 });
    if (round > 1) {
      await desk.topic(`Idea ${round - 1}`).click();
      await page.keyboard.press('Delete');
      await expect(desk.topic(`Idea ${round - 1}`)).toHaveCount(0);
    }
    await desk.saved();
    await school.killServer();
    await expect(desk.state).toHaveText('Offline, kept here');
    await desk.makeByDoubleClick(`Away ${round}`, { x: box.x + 60 + round * 130, y: box.y + 140 });
    await school.startServer();
    const reader = await enter(browser, school, 'chidi');
    const other = await MapDesk.goOn(reader);
    await expect(other.topic(`Idea ${round}`)).toBeVisible();
    await expect(other.topic(`Idea ${round - 1}`)).toHaveCount(0);
    await reader.context().close();
    await desk.saved();
    await desk.topic(`Away ${round}`).click();
    await page.keyboard.press('Delete');
    await desk.saved();
  }
  await page.context().close();
});

test('what is made offline is kept through a reload and arrives later; a database that is away is said', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'dalia');
  const desk = await MapDesk.begin(page);
  const box = (await desk.canvas.boundingBox())!;
  await page.context().setOffline(true);
  await expect(desk.state).toHaveText('Offline, kept here');
  await expect(page.getByTestId('save-trouble')).toContainText('kept in this browser');
  await desk.makeByDoubleClick('Made offline', { x: box.x + 200, y: box.y + 90 });
  await page.context().setOffline(false);
  await desk.saved();
  await page.reload();
  await desk.opened();
  await expect(desk.topic('Made offline')).toBeVisible();

  await school.killDatabase();
  await desk.makeByDoubleClick('Made without a database', { x: box.x + 400, y: box.y + 90 });
  await expect(desk.state).toHaveText('Could not save yet');
  await expect(page.getByRole('button', { name: 'Hand in …' })).toBeVisible();
  await school.startDatabase();
  await desk.saved();
  await page.context().close();
});

test('a shared machine shows nothing to the next person, and warns before unsent changes are lost', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'emre');
  const desk = await MapDesk.begin(page);
  const box = (await desk.canvas.boundingBox())!;
  await page.context().setOffline(true);
  await expect(desk.state).toHaveText('Offline, kept here');
  await desk.makeByDoubleClick('Only here', { x: box.x + 200, y: box.y + 90 });
  const signOut = async (): Promise<void> => {
    await page.getByRole('button', { name: 'Emre Salonen' }).click();
    await page.getByRole('menuitem', { name: 'Sign out' }).click();
  };
  await signOut();
  await expect(page.getByRole('alertdialog')).toContainText('not reached the server');
  await page.getByRole('button', { name: 'Stay signed in' }).click();
  await page.context().setOffline(false);
  await desk.saved();
  await signOut();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  const kept = await page.evaluate(async () =>
    [...Object.keys(localStorage), ...(await indexedDB.databases()).map(({ name }) => name ?? '')].filter((name) =>
      name.startsWith('ichnograph:'),
    ),
  );
  expect(kept).toEqual([]);
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await page.context().close();
});
