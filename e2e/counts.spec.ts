import type { Browser, CDPSession, Locator, Page } from '@playwright/test';
import { enter, expect, MapDesk, test } from './school';

/** What a map of twenty topics, each hung with words, costs three kinds of hands. A pointer's press, a key, a run of words: one. */

type Branch = readonly [main: string, says: string, leaves: readonly (readonly [text: string, says: string])[]];
const ROOT = 'Storm';
const BRANCHES: readonly Branch[] = [
  ['Wind', 'brings', [['Waves', 'raises'], ['Branches', 'breaks'], ['Cold', 'carries']]], // prettier-ignore
  ['Rain', 'pours down', [['Rivers', 'fills'], ['Cellars', 'floods'], ['Mud', 'leaves']]], // prettier-ignore
  ['Clouds', 'piles up', [['Darkness', 'spread'], ['Hail', 'drop'], ['Towers', 'look like']]], // prettier-ignore
  ['Lightning', 'hurls', [['Trees', 'splits'], ['Fire', 'lights'], ['Thunder', 'is followed by']]], // prettier-ignore
  ['Shelter', 'drives us to', [['Barns', 'is found in'], ['Bridges', 'is found under']]], // prettier-ignore
];
const TOPICS = 1 + BRANCHES.reduce((sum, [, , leaves]) => sum + 1 + leaves.length, 0);

class Hand {
  actions = 0;
  constructor(
    readonly page: Page,
    readonly desk: MapDesk,
  ) {}
  async type(words: string): Promise<void> {
    this.actions += 1;
    await this.page.keyboard.type(words);
  }
  async press(key: string): Promise<void> {
    this.actions += 1;
    await this.page.keyboard.press(key);
  }
}

async function begun(browser: Browser, school: Parameters<typeof enter>[1], name: string, hasTouch = false) {
  const page = await enter(browser, school, name, { hasTouch });
  await page.goto(`${school.url}/own-maps`);
  await page.getByRole('button', { name: 'New map' }).click();
  await page.getByLabel('Title').fill('Storms');
  await page.getByRole('button', { name: 'Begin' }).click();
  const desk = new MapDesk(page);
  await expect(desk.canvas).toBeVisible();
  await desk.saved();
  return new Hand(page, desk);
}

async function isWhole({ page, desk, actions }: Hand, by: string): Promise<void> {
  await page.keyboard.press('Escape');
  await expect(page.locator('[data-topic]')).toHaveCount(TOPICS);
  for (const [main, , leaves] of BRANCHES) {
    await expect(desk.link(ROOT, main)).toHaveCount(1);
    for (const [leaf] of leaves) await expect(desk.link(main, leaf)).toHaveCount(1);
  }
  await expect(page.locator('[data-link]')).toHaveCount(TOPICS - 1);
  await page.getByRole('group', { name: 'View' }).getByRole('button', { name: 'Sentences' }).click();
  for (const [main, says, leaves] of BRANCHES)
    for (const [from, how, to] of [
      [ROOT, says, main] as const,
      ...leaves.map(([leaf, by]) => [main, by, leaf] as const),
    ]) {
      const row = page.getByRole('row').filter({ has: page.getByText(how, { exact: true }) });
      await expect(row.filter({ hasText: from }).filter({ hasText: to }).first()).toBeVisible();
    }
  await desk.saved();
  console.log(`a map of ${TOPICS} topics ${by}: ${actions} actions`);
  test.info().annotations.push({ type: 'actions', description: `${by}: ${actions}` });
}

test('a map of twenty topics by pointer, by keys and by finger', async ({ browser, school }) => {
  expect(TOPICS).toBe(20);
  await test.step('by pointer: the ring is pressed, and the next press ends the words', async () => {
    const hand = await begun(browser, school, 'juno');
    const { page, desk } = hand;
    const box = (await desk.canvas.boundingBox())!;
    hand.actions += 1;
    await page.mouse.dblclick(box.x + box.width / 2, box.y + 80);
    await hand.type(ROOT);
    const grow = async (from: string, text: string, says: string): Promise<void> => {
      hand.actions += 1;
      await desk.topic(from).hover();
      await desk.topic(from).locator('.grip').click();
      await hand.type(text);
      await hand.press('Enter');
      await hand.type(says);
    };
    // The first words are ended by Enter: until then there is no ring to press.
    await hand.press('Enter');
    for (const [main, says, leaves] of BRANCHES) {
      await grow(ROOT, main, says);
      for (const [leaf, how] of leaves) await grow(main, leaf, how);
    }
    await hand.press('Enter');
    await isWhole(hand, 'by pointer');
    expect(hand.actions).toBeLessThanOrEqual(90);
    await page.context().close();
  });
  await test.step('by keys alone', async () => {
    const hand = await begun(browser, school, 'kofi');
    await hand.desk.canvas.focus();
    await hand.press('Insert');
    await hand.type(ROOT);
    await hand.press('Enter');
    const grow = async (key: 'Tab' | 'Enter', text: string, says: string): Promise<void> => {
      await hand.press(key);
      await hand.type(text);
      await hand.press('Enter');
      await hand.type(says);
      await hand.press('Enter');
    };
    for (const [i, [main, says, leaves]] of BRANCHES.entries()) {
      // Back from the last leaf to its branch, whose sibling is next.
      if (i > 0) await hand.press('Alt+u');
      await grow(i === 0 ? 'Tab' : 'Enter', main, says);
      for (const [j, [leaf, how]] of leaves.entries()) await grow(j === 0 ? 'Tab' : 'Enter', leaf, how);
    }
    await isWhole(hand, 'by keys');
    expect(hand.actions).toBeLessThanOrEqual(130);
    await hand.page.context().close();
  });
  await test.step('by finger', async () => {
    const hand = await begun(browser, school, 'noor', true);
    const { page, desk } = hand;
    const touch = await page.context().newCDPSession(page);
    const box = (await desk.canvas.boundingBox())!;
    // Twice on one place.
    hand.actions += 1;
    await tapAt(touch, { x: box.x + box.width / 2, y: box.y + 80 }, 2);
    const field = page.locator('[data-typing]');
    await expect(field).toBeFocused();
    await hand.type(ROOT);
    await hand.press('Enter');
    const grow = async (from: string, text: string, says: string): Promise<void> => {
      hand.actions += 2;
      await tapAt(touch, await restingAt(desk, desk.topic(from)));
      await expect(page.locator('.react-flow__node.selected').locator(desk.topic(from))).toHaveCount(1);
      await tapAt(touch, await restingAt(desk, desk.topic(from).locator('.grip')));
      await expect(field).toBeFocused();
      await hand.type(text);
      await hand.press('Enter');
      await hand.type(says);
      await hand.press('Enter');
    };
    for (const [main, says, leaves] of BRANCHES) {
      await grow(ROOT, main, says);
      for (const [leaf, how] of leaves) await grow(main, leaf, how);
    }
    await isWhole(hand, 'by finger');
    await page.context().close();
  });
});

/** The middle of what lies still and open to a finger: a view that follows what was made is waited for, as one does. */
async function restingAt(desk: MapDesk, what: Locator): Promise<{ x: number; y: number }> {
  await what.click({ trial: true });
  return desk.centreOf(what);
}

let seconds = 0;
/** Taps at a finger's pace, a twentieth of a second down and up, which no page that is busy slows: its answers are not waited for between. */
async function tapAt(touch: CDPSession, { x, y }: { x: number; y: number }, times = 1): Promise<void> {
  seconds = Math.max(seconds, Date.now() / 1000);
  const sent: Promise<unknown>[] = [];
  for (let tap = 0; tap < times; tap++)
    for (const type of ['touchStart', 'touchEnd'] as const)
      sent.push(
        touch.send('Input.dispatchTouchEvent', {
          type,
          timestamp: (seconds += 0.05),
          touchPoints: type === 'touchStart' ? [{ x, y }] : [],
        }),
      );
  await Promise.all(sent);
}
