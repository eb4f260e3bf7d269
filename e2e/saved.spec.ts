import net from 'node:net';
import type { AddressInfo } from 'node:net';
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

/** A way to the server that can swallow everything without a word, as a bad network does. */
async function throughTunnel(url: string) {
  const { hostname, port } = new URL(url);
  let swallows = false;
  const sockets = new Set<net.Socket>();
  const tunnel = net.createServer((near) => {
    const far = net.connect(Number(port), hostname);
    for (const [from, to] of [
      [near, far],
      [far, near],
    ] as const) {
      sockets.add(from);
      from.on('data', (data) => void (swallows || to.write(data)));
      from.on('close', () => void (swallows || to.destroy()));
      from.on('error', () => to.destroy());
    }
  });
  await new Promise<void>((resolve) => tunnel.listen(0, '127.0.0.1', resolve));
  return {
    url: `http://127.0.0.1:${(tunnel.address() as AddressInfo).port}`,
    swallow: (yes: boolean) => (swallows = yes),
    close: () => {
      for (const socket of sockets) socket.destroy();
      tunnel.close();
    },
  };
}

test('after a frozen server and a network that swallowed everything the page is saved within ten seconds, without a reload', async ({
  browser,
  school,
}) => {
  const tunnel = await throughTunnel(school.url);
  const page = await enter(browser, { ...school, url: tunnel.url }, 'hana');
  const desk = await MapDesk.begin(page);
  const box = (await desk.canvas.boundingBox())!;
  const handIn = page.getByRole('button', { name: 'Hand in …' });
  for (const [i, block] of [school.freezeServer, tunnel.swallow].entries()) {
    await desk.makeByDoubleClick(`Before ${i}`, { x: box.x + 120 + i * 150, y: box.y + 60 });
    await desk.saved();
    block(true);
    await desk.makeByDoubleClick(`Meanwhile ${i}`, { x: box.x + 120 + i * 150, y: box.y + 110 });
    await expect(desk.state).toHaveText('Offline, kept here');
    await page.evaluate(() => window.dispatchEvent(new Event('focus')));
    await expect(desk.topic(`Meanwhile ${i}`)).toBeVisible();
    block(false);
    await expect(desk.state).toHaveText('Saved', { timeout: 10_000 });
    await expect(page.getByTestId('announcer').locator('..').getByRole('alert')).toBeEmpty();
  }
  await handIn.click();
  await expect(page.getByRole('dialog').getByRole('button', { name: 'Hand in', exact: true })).toBeEnabled();
  await page.context().close();
  tunnel.close();
});

test('what is worked on is never replaced: the notice stands beside it, and a page that could not load tries again', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'ilse');
  const desk = await MapDesk.begin(page);
  const teacher = await enter(browser, school, 'maren');
  await expect(teacher.getByRole('heading', { name: /^Today/ })).toBeVisible();
  await school.killDatabase();
  for (const one of [page, teacher])
    await one.evaluate(() => document.dispatchEvent(new Event('visibilitychange', { bubbles: true })));
  await expect(page.getByTestId('stale')).toBeVisible();
  await expect(desk.topic('Bridge')).toBeVisible();
  await expect(teacher.getByTestId('stale')).toBeVisible();
  await expect(teacher.getByRole('heading', { name: /^Today/ })).toBeVisible();
  await teacher.getByRole('link', { name: 'Assignments' }).click();
  await expect(teacher.getByRole('heading', { name: 'This did not load' })).toBeVisible();
  await school.startDatabase();
  await expect(teacher.getByRole('heading', { name: 'Assignments' })).toBeVisible();
  await expect(page.getByTestId('stale')).toHaveCount(0);
  await page.context().close();
  await teacher.context().close();
});

test('where the browser keeps nothing, the page says so and does not claim otherwise', async ({ browser, school }) => {
  const context = await browser.newContext();
  await context.addInitScript(() => {
    indexedDB.open = () => {
      throw new DOMException('storage is forbidden here', 'SecurityError');
    };
  });
  const page = await context.newPage();
  await page.request.post(`${school.url}/api/demo/sign-in/goran`);
  await page.goto(school.url);
  await page.getByRole('button', { name: 'Begin the map' }).click();
  const desk = await new MapDesk(page).opened();
  await context.setOffline(true);
  await expect(desk.state).toHaveText('Offline, only here');
  await expect(page.getByTestId('save-trouble')).toContainText('Leave this page open');
  await context.setOffline(false);
  await desk.saved();
  await context.close();
});
