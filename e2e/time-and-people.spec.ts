import { enter, expect, MapDesk, test } from './school';

test('a due time that passes while one types, a class that is put away, a guide to print, and the reference after return', async ({
  browser,
  school,
}) => {
  const [maren, juno, amara] = [
    await enter(browser, school, 'maren'),
    await enter(browser, school, 'juno'),
    await enter(browser, school, 'amara'),
  ];
  const api = `${school.url}/api`;
  const tasks = (await (await maren.request.get(`${api}/today/teacher`)).json()) as {
    publicationId: string;
    title: string;
  }[];
  const { publicationId } = tasks.find(({ title }) => title === 'How bridges carry loads')!;
  const change = async (data: object): Promise<void> => {
    expect((await maren.request.patch(`${api}/publications/${publicationId}`, { data })).status()).toBe(204);
  };
  const desk = await MapDesk.begin(amara);
  await test.step('time passes while she types: nothing is lost, and what is handed in is late', async () => {
    await change({ due: new Date(Date.now() + 2500).toISOString(), showsReference: true });
    const box = (await desk.canvas.boundingBox())!;
    await desk.makeByDoubleClick('Just in time', { x: box.x + 300, y: box.y + 80 });
    await amara.setViewportSize({ width: 1440, height: 800 });
    await expect(amara.getByText(/^Was due today/)).toBeVisible();
    await desk.makeByDoubleClick('After the bell', { x: box.x + 520, y: box.y + 80 });
    await desk.saved();
    await amara.getByRole('button', { name: 'Hand in …' }).click();
    await expect(amara.getByRole('dialog')).toContainText('so it is handed in as late');
    await amara.getByRole('dialog').getByRole('button', { name: 'Hand in', exact: true }).click();
    await expect(amara.getByText(/, late, for the first time/)).toBeVisible();
  });
  await test.step('juno has more time, and her page says so', async () => {
    await juno.setViewportSize({ width: 1440, height: 800 });
    const hers = await MapDesk.goOn(juno);
    await expect(juno.getByText(/^Due /)).toBeVisible();
    await juno.getByRole('button', { name: 'Brief' }).click();
    await juno.getByRole('link', { name: 'The guide to print' }).click();
    await expect(juno.getByRole('img', { name: 'A map that shows it' })).toHaveCount(16);
    await expect(juno.getByRole('heading', { name: 'A finished map, on another subject' })).toBeVisible();
    await juno.getByRole('link', { name: 'Back' }).click();
    await hers.opened();
  });
  await test.step('the reference is there for whose map came back', async () => {
    const kofi = await enter(browser, school, 'kofi');
    await kofi.getByRole('link', { name: 'Comments' }).click();
    await kofi.getByRole('button', { name: 'Reference map' }).click();
    await expect(kofi.getByRole('dialog').getByRole('img', { name: 'Reference map' })).toBeVisible();
    await kofi.context().close();
  });
  await test.step('flagged things are walked through by a letter, until letters are switched off', async () => {
    await maren.goto(`${school.url}/piles/${publicationId}`);
    await maren.getByRole('link', { name: 'Rosa Lindgren' }).click();
    await expect(maren.getByTestId('canvas')).toBeVisible();
    const announcer = maren.getByTestId('announcer');
    await maren.keyboard.press('f');
    await expect(announcer).toContainText(/\d+: /);
    const first = await announcer.locator('p').last().textContent();
    await maren.keyboard.press('f');
    await expect(announcer.locator('p').last()).not.toHaveText(first!);
    await maren.keyboard.press('Shift+F');
    await expect(announcer.locator('p').last()).toHaveText(first!);
    await maren.getByRole('button', { name: /Maren/ }).click();
    await maren.getByRole('menuitemcheckbox', { name: 'Single letters as keys' }).click();
    const said = await announcer.locator('p').count();
    await maren.keyboard.press('f');
    await maren.keyboard.press('Alt+m');
    await expect(maren.getByPlaceholder('Write a comment …')).toBeFocused();
    expect(await announcer.locator('p').count()).toBe(said);
  });
  await test.step('the class is put away while she draws: her map is kept, and she reads why', async () => {
    await maren.goto(`${school.url}/people`);
    await maren.getByRole('button', { name: /^Technology 9B/ }).click();
    const hers = new MapDesk(juno);
    const place = (await hers.canvas.boundingBox())!;
    await hers.makeByDoubleClick('Before the end', { x: place.x + 300, y: place.y + 60 });
    await hers.saved();
    await maren.getByRole('button', { name: 'Put away', exact: true }).click();
    await expect(maren.getByRole('button', { name: 'Take it out again' })).toBeVisible();
    await expect(juno.getByRole('button', { name: 'Hand in …' })).toHaveCount(0);
    await expect(juno.getByText('This assignment is closed, or its class is put away')).toBeVisible();
    await expect(hers.topic('Before the end')).toBeVisible();
    await juno.mouse.dblclick(place.x + 60, place.y + 60);
    await expect(juno.getByRole('textbox', { name: /words/i })).toHaveCount(0);
    await maren.getByRole('button', { name: 'Take it out again' }).click();
    await expect(juno.getByRole('button', { name: 'Hand in …' })).toBeVisible();
    await expect(hers.topic('Before the end')).toBeVisible();
  });
  for (const page of [maren, juno, amara]) await page.context().close();
});

test('lists of names that are too large, in UTF-16, full of formulas, or known to the school', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'tobias');
  await page.getByRole('link', { name: 'People' }).click();
  await page.getByRole('button', { name: /^English 8A/ }).click();
  await page.getByRole('button', { name: 'Add names …' }).click();
  const choose = (name: string, buffer: Buffer) =>
    page.setInputFiles('input[type=file]', { name, mimeType: 'text/csv', buffer });
  await choose('all.csv', Buffer.alloc(10 * 1024 * 1024, 'Ada Ruiz\n'));
  await expect(page.getByText('“all.csv” is larger than a list of names can be')).toBeVisible();
  await choose('school.csv', Buffer.from(Array.from({ length: 5000 }, (_, i) => `Name${i} Other`).join('\n')));
  await expect(page.getByText('There are 5000 names. A class takes 400 at once')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Make \d+ accounts/ })).toBeDisabled();
  const heading = 'givenName,familyName\n';
  await choose(
    'utf16.csv',
    Buffer.concat([
      Buffer.from([0xff, 0xfe]),
      Buffer.from(`${heading}Søren,Ærø\n=HYPERLINK("x"),Evil\nNoor,Halvorsen\nMira,Thorsen\nSøren,Ærø\n`, 'utf16le'),
    ]),
  );
  const row = (name: string | RegExp) => page.getByRole('row').filter({ hasText: name });
  await expect(row('Søren').first()).toContainText('a new account');
  await expect(row('Søren').last()).toContainText('left out: stands further up already');
  await expect(row('HYPERLINK')).toContainText('left out: looks like a formula');
  await expect(row('Noor')).toContainText('the school has somebody of this name');
  await expect(row('Mira')).toContainText('somebody of this name is in the class already');
  await page.getByRole('checkbox', { name: 'Make an account for Noor Halvorsen' }).uncheck();
  await page.getByRole('checkbox', { name: 'Make an account for Mira Thorsen' }).uncheck();
  await page.getByRole('button', { name: 'Make 1 account' }).click();
  await expect(page.getByRole('list', { name: 'Cards' }).getByRole('listitem')).toHaveCount(1);
  await expect(page.getByRole('list', { name: 'Cards' })).toContainText('Søren Ærø');
  await page.context().close();
});
