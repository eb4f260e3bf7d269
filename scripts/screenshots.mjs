// One current picture of each main view, from the demo's data, into docs/screenshots/.
import { Buffer } from 'node:buffer';
import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { root } from './lib/commands.mjs';
import { DATABASE_PACKAGES } from './lib/database.mjs';
import { ensureBuilt, ensurePackages } from './lib/prepare.mjs';
import { run, say } from './lib/say.mjs';
import { Stack } from './lib/stack.mjs';

const folder = path.join(root, 'docs/screenshots');

await run(async () => {
  await ensurePackages({ ...DATABASE_PACKAGES, chromium: 'chromium' });
  await ensureBuilt();
  const stack = new Stack('screenshots');
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu', '--disable-background-networking'],
  });
  try {
    await stack.start();
    await pictures(browser, stack.url);
  } finally {
    await browser.close();
    await stack.remove();
  }
});

async function pictures(browser, url) {
  const enter = async (name) => {
    const page = await (
      await browser.newContext({ viewport: { width: 1280, height: 800 }, timezoneId: 'Europe/Oslo', locale: 'en-GB' })
    ).newPage();
    if (name) await page.request.post(`${url}/api/demo/sign-in/${name}`);
    await page.goto(url);
    await page.getByRole('heading', { level: 1 }).waitFor();
    return page;
  };
  const take = async (page, name) => {
    await page.evaluate(() => document.fonts.ready);
    // Let the view settle: fonts, panels and the first check.
    await page.waitForLoadState('networkidle').catch(() => undefined);
    await page.screenshot({ path: path.join(folder, `${name}.png`), animations: 'disabled' });
    say(`${name}.png`);
  };
  const canvas = (page) => page.locator('[data-topic="Bridge"]').waitFor();
  const essayOf = (page) =>
    page.getByRole('listitem').filter({ hasText: 'footbridge' }).locator('a[href*="/works/"]').first();
  const unfold = (page, name) => page.getByRole('button', { name: `Unfold ${name}`, exact: true }).click();

  const noor = await enter('amara');
  await noor.getByRole('button', { name: 'Begin the map' }).click();
  await canvas(noor);

  const juno = await enter('juno');
  await juno.getByRole('link', { name: 'Go on with the map' }).click();
  await canvas(juno);
  await juno.getByText('9 of 23 placed').waitFor();
  await juno.getByRole('button', { name: /Every link has words/ }).click();
  await juno.locator('[data-link="Arch → Keystone"] rect').first().click({ force: true });
  await take(juno, 'map');
  await juno.keyboard.press('Escape');
  await juno.getByRole('button', { name: 'Sentences', exact: true }).click();
  await juno.getByRole('grid').waitFor();
  await juno.keyboard.press('Alt+v');
  await take(juno, 'sentences');
  await juno.getByRole('button', { name: 'Tour', exact: true }).click();
  await juno.getByRole('button', { name: 'Begin one' }).click();
  await juno.getByRole('textbox', { name: 'What is said at Shapes' }).fill('Every bridge is one of a few shapes.');
  await juno.getByRole('button', { name: 'Play', exact: true }).click();
  await juno.keyboard.press('PageDown');
  await juno.getByText('2 of').first().waitFor();
  await take(juno, 'tour');
  await juno.keyboard.press('Escape');
  await juno.getByRole('button', { name: 'Hand in …' }).click();
  await juno.getByRole('dialog').waitFor();
  await juno.getByRole('dialog').getByRole('button', { name: 'Hand in', exact: true }).click();
  await juno.getByRole('heading', { name: /Receipt/ }).waitFor();

  const hedda = await enter('hedda');
  await hedda.getByRole('button', { name: 'Begin the map' }).click();
  const bell = hedda.locator('[data-topic="The trouble is …"]');
  await bell.click();
  await hedda.keyboard.press('Alt+i');
  await hedda.getByRole('searchbox').fill('water');
  await hedda.getByRole('option').nth(3).click();
  await hedda.getByRole('button', { name: 'Sketch', exact: true }).click();
  await sketch(hedda);
  await hedda.getByLabel('For those who cannot see it').fill('A post with a bell, and water over the steps');
  await hedda.getByRole('button', { name: 'Put it there' }).click();
  await bell.locator('image').waitFor();
  await hedda.getByTestId('save-state').getByText('Saved').waitFor();
  for (const [title, fromStory] of [
    ['What the night hides', true],
    ['Words for water', false],
  ]) {
    const work = hedda.url().split('/').at(-1);
    const data = {
      title,
      folder: fromStory ? 'English' : '',
      ...(fromStory ? { fromWork: work } : { readyMade: 'comparison' }),
    };
    await hedda.request.post(`${url}/api/own-maps`, {
      data,
      headers: { origin: url, 'idempotency-key': randomUUID() },
    });
  }
  await hedda.goto(`${url}/own-maps`);
  await hedda.getByRole('link', { name: 'Words for water' }).waitFor();
  await take(hedda, 'own-maps');

  await hedda.goto(`${url}/`);
  await essayOf(hedda).click();
  await hedda.getByTestId('canvas').waitFor();
  await shownToOthers(hedda, take);
  const jomo = await enter('jomo');
  await essayOf(jomo).click();
  await jomo.getByRole('button', { name: 'Outline', exact: true }).click();
  await jomo.getByRole('gridcell', { name: 'It is the way to school', exact: true }).click();
  await take(jomo, 'outline');
  await jomo.getByRole('button', { name: 'Write it out' }).click();
  await jomo.getByRole('textbox', { name: 'About It is the way to school' }).click();
  await take(jomo, 'essay');

  await together(enter, take);

  const kofi = await enter('kofi');
  await kofi.getByRole('link', { name: 'Read the comments' }).click();
  await canvas(kofi);
  await kofi.getByRole('complementary', { name: 'Margin' }).getByRole('button').first().click();
  await take(kofi, 'feedback');

  const maren = await enter('maren');
  await take(maren, 'today-teacher');
  await maren.getByRole('link', { name: 'Open the pile: How bridges carry loads' }).click();
  await maren.getByRole('table').waitFor();
  await take(maren, 'pile');
  await maren.getByRole('link', { name: 'Noor Halvorsen' }).click();
  await canvas(maren);
  await unfold(maren, 'Results');
  await maren.locator('[data-topic="Keystone"]').click();
  await maren.getByPlaceholder('Write a comment …').fill('Does the keystone push, or does the whole arch?');
  await maren.getByRole('button', { name: 'Add', exact: true }).click();
  await maren.getByRole('article').waitFor();
  await maren.getByRole('button', { name: 'Fold Results', exact: true }).click();
  await maren.getByRole('button', { name: /^Requirement 10/ }).click();
  await maren.getByRole('button', { name: 'Fit' }).click();
  await take(maren, 'marking');
  await bringIn(maren, url, take);
  await maren.goto(`${url}/assignments`);
  await maren.getByRole('table').waitFor();
  await maren.getByRole('link', { name: 'How bridges carry loads', exact: true }).click();
  await maren.getByRole('button', { name: /Requirement 1 on reference/ }).waitFor();
  await take(maren, 'sheet');
  await maren.getByRole('link', { name: /Requirements/ }).click();
  await maren.getByRole('button', { name: /Requirement 14 on Cross lines/ }).click();
  await maren.getByRole('dialog').waitFor();
  await take(maren, 'try-out');
  await theClass(maren, url, take);
}

/** A group at work, a question to a class, and a map that is looked at by another. */
async function together(enter, take) {
  const [esther, dmitri] = [await enter('esther'), await enter('dmitri')];
  for (const page of [esther, dmitri]) {
    await page.getByRole('link', { name: 'Go on with the map' }).click();
    await page.locator('[data-topic="Timber footbridge"]').waitFor();
  }
  await dmitri.getByRole('button', { name: /^Who is here: .*Esther/ }).waitFor();
  await esther.locator('[data-topic="Cost"]').click();
  await esther.mouse.move(700, 420);
  await esther.mouse.move(720, 430);
  await dmitri.locator('[data-points]').waitFor({ state: 'attached' });
  await dmitri.getByText('Checking …').waitFor({ state: 'detached' });
  await take(dmitri, 'group-map');
  const maren = await enter('maren');
  await maren.getByRole('link', { name: /^Open the board/ }).click();
  await maren.getByTestId('code').waitFor();
  await take(maren, 'gathering');
  const anouk = await enter('anouk');
  await anouk
    .getByRole('link', { name: /^Look at map/ })
    .first()
    .click();
  await anouk.getByText('to look at').first().waitFor();
  await take(anouk, 'review');
}

/** What is said once for a whole class, and seen over it. */
async function theClass(maren, url, take) {
  await maren.goto(`${url}/`);
  await maren.getByRole('link', { name: 'Open the pile: How bridges carry loads' }).click();
  await maren.getByRole('link', { name: 'The class together' }).click();
  await maren.locator('[data-verdict]').first().focus();
  const judged = maren.getByTestId('so-many-judged');
  for (const [i, key] of ['1', '1', '2', '1', '1', '1', '2', '1', '1'].entries()) {
    await maren.keyboard.press(key);
    await judged
      .getByText(`${i + 1} of`)
      .or(judged.filter({ hasText: `${i + 1} of` }))
      .first()
      .waitFor();
  }
  const view = (name) => maren.getByRole('navigation', { name: 'The class' }).getByRole('link', { name }).click();
  await view('Requirements');
  await maren.getByRole('group', { name: 'Grid of requirements' }).waitFor();
  await take(maren, 'class-grids');
  await view('Composite map');
  await maren.getByTestId('composite').locator('[data-topic="Bridge"]').waitFor();
  await maren.getByTestId('composite').locator('[data-topic="Arch"]').click();
  await take(maren, 'composite');
}

/** Files of a class, told whose they are. */
async function bringIn(maren, url, take) {
  await maren.goto(`${url}/`);
  await maren.getByRole('link', { name: 'Open the pile: How bridges carry loads' }).click();
  await maren.getByRole('link', { name: 'Bring in files' }).click();
  const file = (name, text) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  await maren
    .locator('input[type=file]')
    .setInputFiles([
      file(
        'Bastian Krol.csv',
        'from,phrase,to\nBridge,comes in,Shapes\nShapes,can be an,Arch\nArch,leans on,Abutment\n',
      ),
      file('verhoeven_chidi.md', '# Bridge\n\n- *stands up to* Pushes and pulls\n  - *can be a* Live load\n'),
      file(
        'dalia-bridges.opml',
        '<opml version="2.0"><head><title>Bridge</title></head><body><outline text="Bridge"><outline text="Beam"/></outline></body></opml>',
      ),
      file(
        'map (3).dot',
        'digraph { a [label="Bridge" kind="Big idea"]; b [label="Cable"]; a -> b [label="hangs on a"] }',
      ),
    ]);
  await maren.getByRole('button', { name: 'Look at it' }).first().click();
  await take(maren, 'bringing-in');
}

/** A page that is read by its link, as whoever has it sees it. */
async function shownToOthers(page, take) {
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox').fill('Share it');
  await page.keyboard.press('Enter');
  const link = await page.getByRole('textbox', { name: 'Link' }).first().inputValue();
  await page.goto(link);
  await take(page, 'shared-page');
}

/** A landing, drawn with three pens. */
async function sketch(page) {
  const box = await page.getByTestId('sheet').boundingBox();
  const stroke = async (...places) => {
    const at = places.map(([x, y]) => [box.x + (x / 640) * box.width, box.y + (y / 400) * box.height]);
    await page.mouse.move(...at[0]);
    await page.mouse.down();
    for (const place of at.slice(1)) await page.mouse.move(...place, { steps: 8 });
    await page.mouse.up();
  };
  await stroke([120, 110], [124, 330]);
  await stroke([120, 116], [230, 110], [230, 150]);
  await page.getByRole('button', { name: 'Draw in ochre' }).click();
  await page.getByRole('button', { name: 'Brush' }).click();
  await stroke([212, 196], [220, 164], [232, 154], [244, 164], [252, 196]);
  await page.getByRole('button', { name: 'Draw in blue' }).click();
  await page.getByRole('button', { name: 'Broad' }).click();
  for (const y of [300, 330, 360])
    await stroke([50, y], [150, y - 12], [250, y + 10], [350, y - 12], [450, y + 10], [590, y]);
}
