import type { Page } from '@playwright/test';
import { expect, enter, MapDesk, test } from './school';

const STORY = 'The Ferryman’s Bell: story analysis';

/** What both hands draw: each with its kind, what it hangs from, and the words between. */
const TOPICS = [
  ['Ferryman', 'person', 'The people are proud and alone', 'shows in the'],
  ['Widow on the hill', 'person', 'The people are proud and alone', 'hardens the'],
  ['He waits every night', 'event', 'Ferryman', 'keeps his word, so'],
  ['She draws her curtain', 'event', 'Widow on the hill', 'turns away:'],
  ['Flooded landing', 'event', 'The place is under water', 'begins with the'],
  ['The road ends in the river', 'event', 'Flooded landing', 'means that'],
  ['The village stays silent', 'event', 'Flooded landing', 'cuts off all, yet'],
  ['Dark water', 'sign', 'The village stays silent', 'is answered by'],
  ['Bell', 'sign', 'The trouble is asking for help', 'hangs in the'],
  ['Its rope is dry', 'sign', 'Bell', 'was left so long that'],
  ['Girl with a lantern', 'person', 'The way out is a child', 'comes with the'],
  ['Her brother has a fever', 'event', 'Girl with a lantern', 'cannot wait:'],
  ['She swings her lantern', 'event', 'Girl with a lantern', 'is not ashamed:'],
  ['She rings the bell', 'event', 'She swings her lantern', 'gives her courage, and'],
  ['Windows light up', 'event', 'She rings the bell', 'wakes them all:'],
] as const;
const PROMPTS = [
  ['The people are …', 'The people are proud and alone'],
  ['The place is …', 'The place is under water'],
  ['The trouble is …', 'The trouble is asking for help'],
  ['The way out is …', 'The way out is a child'],
] as const;
const ROOT_SAYS = ['lives by its', 'is set where', 'turns on', 'ends when'] as const;
const TIES = [
  ['The village stays silent', 'leaves it so that', 'Its rope is dry'],
  ['She swings her lantern', 'breaks in where', 'The village stays silent'],
] as const;

async function begin(page: Page): Promise<MapDesk> {
  await page
    .getByRole('article')
    .or(page.getByRole('listitem'))
    .filter({ hasText: STORY })
    .getByRole('button', { name: 'Begin the map' })
    .click();
  const desk = new MapDesk(page);
  await expect(desk.topic('The Ferryman’s Bell')).toBeVisible();
  await desk.saved();
  return desk;
}

/** Double-clicks a link where nothing lies over it, and types what it says. */
async function say(desk: MapDesk, from: string, to: string, phrase: string): Promise<void> {
  await desk.topic(to).waitFor();
  const at = await desk.link(from, to).evaluate((link) => {
    const path = link.querySelector('path')!;
    const matrix = path.getScreenCTM()!;
    for (let i = 2; i <= 18; i++) {
      const spot = path.getPointAtLength((path.getTotalLength() * i) / 20).matrixTransform(matrix);
      if (document.elementFromPoint(spot.x, spot.y)?.closest('[data-link]') === link) return { x: spot.x, y: spot.y };
    }
    throw new Error('the link is hidden from end to end');
  });
  await desk.page.mouse.dblclick(at.x, at.y);
  await desk.typePhrase(from, to, phrase);
}

/** Everything that was asked for is there. */
async function isWhole(desk: MapDesk): Promise<void> {
  const { page } = desk;
  await expect(page.locator('[data-topic]')).toHaveCount(20);
  await expect(desk.checks.getByText('11 of 11 met')).toBeVisible({ timeout: 15_000 });
  await desk.saved();
}

test('by pointer: from the four prompts to a whole map with notes, pictures, a sketch, a region and ties', async ({
  browser,
  school,
}) => {
  test.setTimeout(240_000);
  const page = await enter(browser, school, 'gustavo');
  const desk = await begin(page);
  await desk.unfold('Legend and word bank');
  const kind = (name: string) =>
    page
      .getByRole('button', { name: new RegExp(`^${name}`, 'i') })
      .and(page.locator('[aria-pressed]'))
      .first();

  await test.step('the prompts are continued, and what leads to each is said', async () => {
    for (const [prompt, text] of PROMPTS) {
      await desk.topic(prompt).dblclick();
      await page.keyboard.press('Control+a');
      await page.keyboard.type(text);
      await page.keyboard.press('Enter');
      await expect(desk.topic(text)).toBeVisible();
    }
    for (const [i, [, text]] of PROMPTS.entries()) {
      const link = desk.link('The Ferryman’s Bell', text);
      if ((await link.count()) === 0) await desk.linkByDrag('The Ferryman’s Bell', text, ROOT_SAYS[i]!);
      else await say(desk, 'The Ferryman’s Bell', text, ROOT_SAYS[i]!);
    }
  });
  await test.step('terms as fast as they come go straight onto the map, joined to what is selected, never over each other', async () => {
    await page.getByRole('button', { name: 'To the map' }).click();
    for (const [text, of, from, phrase] of TOPICS) {
      await kind(of).click();
      await desk.topic(from).click();
      const field = page.getByRole('textbox', { name: 'A term of your own' });
      await field.fill(text);
      await field.press('Enter');
      await expect(desk.topic(text)).toHaveCount(1);
      await say(desk, from, text, phrase);
      await page.getByRole('button', { name: 'Fit', exact: true }).click();
    }
  });
  await test.step('two ties between the branches', async () => {
    for (const [from, phrase, to] of TIES) await desk.linkByDrag(from, to, phrase);
  });
  await test.step('notes, pictures, a sketch and a region', async () => {
    for (const topic of ['Bell', 'Dark water']) {
      await desk.topic(topic).click();
      await page.getByRole('button', { name: 'Notes' }).click();
      await page.getByRole('textbox', { name: 'Note' }).fill('“The water kept what it was told.”');
      await page.keyboard.press('Escape');
    }
    await desk.topic('Bell').click();
    await page.getByRole('button', { name: 'Picture', exact: true }).click();
    await expect(page.getByText('It goes into “Bell”.')).toBeVisible();
    await page.getByRole('searchbox', { name: 'Look for a picture by word' }).fill('bell');
    await page.getByRole('option', { name: 'Bell', exact: true }).first().click();
    await page.getByRole('button', { name: 'Put it there' }).click();
    await expect(desk.topic('Bell').locator('image')).toHaveCount(1);
    await desk.topic('Ferryman').click();
    await page.keyboard.press('Alt+s');
    const sheet = page.getByTestId('sheet');
    const at = (await sheet.boundingBox())!;
    await desk.drag({ x: at.x + 60, y: at.y + 80 }, { x: at.x + 300, y: at.y + 200 });
    await page.getByRole('textbox', { name: 'For those who cannot see it' }).fill('The ferryman’s boat');
    await page.getByRole('button', { name: 'Put it there' }).click();
    await expect(desk.topic('Ferryman').locator('image')).toHaveCount(1);
    await desk.topic('Widow on the hill').click();
    await page.keyboard.press('Alt+r');
    await page.getByRole('textbox', { name: 'Title' }).fill('What the night hides');
    await page.getByRole('button', { name: 'Draw it' }).click();
    await expect(page.getByRole('button', { name: 'Region What the night hides: change it' })).toHaveCount(1);
  });
  await isWhole(desk);
  await test.step('the sketch is drawn on again, and a picture that is chosen comes beside, in place of none', async () => {
    await desk.topic('Ferryman').click();
    await page.getByRole('button', { name: 'Notes' }).click();
    await page.getByRole('button', { name: 'Draw on it' }).click();
    await expect(page.getByTestId('strokes').locator('path')).toHaveCount(1);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Picture', exact: true }).click();
    await page.getByRole('searchbox').fill('boat');
    await page.getByRole('option').first().click();
    await page.getByRole('button', { name: 'Put it there' }).click();
    await expect(desk.topic('Ferryman').locator('image')).toHaveCount(2);
    await page.keyboard.press('Control+z');
    await expect(desk.topic('Ferryman').locator('image')).toHaveCount(1);
  });
  await page.context().close();
});

test('by keyboard alone: the same map', async ({ browser, school }) => {
  test.setTimeout(240_000);
  const page = await enter(browser, school, 'pavel');
  await page.getByRole('button', { name: 'Begin the map' }).first().waitFor();
  const desk = await begin(page);
  const { keyboard } = page;
  const type = async (...lines: string[]): Promise<void> => {
    for (const line of lines) {
      await keyboard.type(line);
      await keyboard.press('Enter');
    }
  };
  /** Goes to a topic by looking for it. */
  const to = async (text: string): Promise<void> => {
    await keyboard.press('Control+f');
    await expect(page.getByRole('textbox', { name: 'Find on the map' })).toBeFocused();
    await keyboard.press('Control+a');
    await keyboard.type(text);
    // The words may stand in several topics: on to the next one, until it is the one.
    const chosen = page.locator('.react-flow__node.selected [data-topic]');
    await expect(async () => {
      await keyboard.press('Enter');
      expect(await chosen.getAttribute('data-topic', { timeout: 1000 })).toBe(text);
    }).toPass();
    await keyboard.press('Escape');
    await expect(desk.canvas).toBeFocused();
  };
  const tabTo = async (what: string): Promise<void> => {
    for (let i = 0; i < 40; i++) {
      const name = await page.evaluate(() => {
        const here = document.activeElement;
        return `${here?.getAttribute('role') ?? here?.tagName} ${here?.getAttribute('aria-label') ?? here?.textContent ?? ''}`;
      });
      if (name.includes(what)) return;
      await keyboard.press('Tab');
    }
    throw new Error(`no way by Tab to ${what}`);
  };
  await desk.canvas.focus();
  for (const [i, [prompt, text]] of PROMPTS.entries()) {
    await to(prompt);
    await keyboard.press('F2');
    await keyboard.press('Control+a');
    await type(text);
    await expect(desk.topic(text)).toHaveCount(1);
    const link = desk.link('The Ferryman’s Bell', text);
    if ((await link.count()) > 0) {
      await keyboard.press('Alt+j');
      await keyboard.press('F2');
      await type(ROOT_SAYS[i]!);
    } else {
      await to('The Ferryman’s Bell');
      await keyboard.press('Alt+k');
      await type(text, ROOT_SAYS[i]!);
    }
  }
  const KEYS = { person: 'Alt+1', event: 'Alt+2', sign: 'Alt+3' };
  for (const [text, kind, from, phrase] of TOPICS) {
    await to(from);
    await keyboard.press('Tab');
    await type(text, phrase);
    await expect(desk.link(from, text)).toHaveCount(1);
    await keyboard.press(KEYS[kind]);
  }
  for (const [from, phrase, target] of TIES) {
    await to(from);
    await keyboard.press('Alt+k');
    await type(target, phrase);
    await expect(desk.link(from, target)).toHaveCount(1);
  }
  for (const topic of ['Bell', 'Dark water']) {
    await to(topic);
    await keyboard.press('Alt+n');
    await expect(page.getByRole('textbox', { name: 'Note' })).toBeFocused();
    await keyboard.type('“The water kept what it was told.”');
    await keyboard.press('Escape');
    await expect(page.getByRole('textbox', { name: 'Note' })).toHaveCount(0);
  }
  await to('Bell');
  await keyboard.press('Alt+i');
  await expect(page.getByRole('searchbox')).toBeFocused();
  await keyboard.type('bell');
  await expect(page.getByRole('option', { name: 'Bell', exact: true }).first()).toBeVisible();
  await tabTo('option ');
  await keyboard.press('ArrowRight');
  await keyboard.press('ArrowLeft');
  await keyboard.press('Enter');
  await tabTo('Put it there');
  await keyboard.press('Enter');
  await expect(desk.topic('Bell').locator('image')).toHaveCount(1);
  await to('Ferryman');
  await keyboard.press('Alt+s');
  await tabTo('Sheet to draw on');
  await keyboard.press(' ');
  for (const key of ['ArrowRight', 'ArrowRight', 'ArrowDown', 'ArrowRight', 'ArrowUp']) await keyboard.press(key);
  await keyboard.press(' ');
  await expect(page.getByTestId('strokes').locator('path')).toHaveCount(1);
  await keyboard.press('Tab');
  await keyboard.type('The ferryman’s boat');
  await keyboard.press('Enter');
  await expect(desk.topic('Ferryman').locator('image')).toHaveCount(1);
  await to('Widow on the hill');
  await keyboard.press('Alt+r');
  await type('What the night hides');
  await expect(page.getByRole('button', { name: 'Region What the night hides: change it' })).toHaveCount(1);
  await isWhole(desk);
  await page.context().close();
});
