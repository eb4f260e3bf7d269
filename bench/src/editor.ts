/// <reference lib="dom" />
import { chromium } from '@playwright/test';
import type { Page } from '@playwright/test';
import { readyPeople } from './drawer.js';
import type { Drawer } from './drawer.js';
import { mapOf } from './maps.js';
import { line, median, quantile, times, title } from './measure.js';
import { quietStack } from './stack.js';

const [LARGE, SMALL, DRAGGED] = [500, 30, 20];
const FRAME = 1000 / 60;

/** What a hand feels on a map of 500 topics and 750 links in headless Chromium, live checks on. */
export async function benchEditor(): Promise<void> {
  const stack = quietStack();
  await stack.start();
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu', '--js-flags=--expose-gc'],
  });
  const open = async (person: Drawer, host: string): Promise<{ page: Page; usable: number }> => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const [name, value] = person.cookie.split('=') as [string, string];
    await context.addCookies([{ name, value, url: host }]);
    const page = await context.newPage();
    await page.addInitScript(WATCH);
    const start = performance.now();
    await page.goto(`${host}/works/${person.workId}`);
    await page.locator('[data-topic]').first().waitFor();
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
    return { page, usable: performance.now() - start };
  };
  try {
    const [large, small] = (await readyPeople(stack.url, 2)) as [Drawer, Drawer];
    for (const [person, size] of [
      [large, LARGE],
      [small, SMALL],
    ] as const) {
      await person.open();
      await person.fill(mapOf(size, 3));
      person.close();
    }
    title(`A map of ${LARGE} topics and ${LARGE * 1.5} links in the browser`);
    // Once for what is fetched and compiled, then in turn.
    for (const person of [small, large]) await (await open(person, stack.url)).page.context().close();
    const opened: Record<'small' | 'large', number[]> = { small: [], large: [] };
    for (let i = 0; i < 3; i++)
      for (const [name, person] of [
        ['small', small],
        ['large', large],
      ] as const) {
        const { page, usable } = await open(person, stack.url);
        opened[name].push(usable);
        await page.context().close();
      }
    line(
      `open to usable, ${LARGE} topics : ${SMALL} topics`,
      times(median(opened.large) / median(opened.small)),
      'wanted: at most 3',
    );
    const { page } = await open(large, stack.url);
    await page.waitForTimeout(4000);
    for (const [what, act] of Object.entries(ACTS)) say(what, await watched(page, () => act(page)));
    line('a keystroke until it is painted, frames: p50 · p95', await keystrokes(page), 'wanted: at most 3');
    await memory(page);
  } finally {
    await browser.close();
    await stack.remove();
  }
}

/** In the page: how long each frame took, and each long task, since it was last asked. */
const WATCH = `
  window.seen = { frames: [], tasks: [] };
  let last = performance.now();
  const frame = (now) => { window.seen.frames.push(now - last); last = now; requestAnimationFrame(frame); };
  requestAnimationFrame(frame);
  new PerformanceObserver((list) => { for (const { duration } of list.getEntries()) window.seen.tasks.push(duration); })
    .observe({ type: 'longtask' });
`;
interface Seen {
  frames: number[];
  tasks: number[];
}

async function watched(page: Page, act: () => Promise<void>): Promise<Seen> {
  await page.evaluate('window.seen = { frames: [], tasks: [] }');
  await act();
  return page.evaluate<Seen>('window.seen');
}

function say(what: string, { frames, tasks }: Seen): void {
  const of = (share: number): string => (quantile(frames, share) / FRAME).toFixed(1);
  line(
    `${what}: frames, p50 · p95 · p99; longest task in frames`,
    `${of(0.5)} · ${of(0.95)} · ${of(0.99)}; ${(Math.max(0, ...tasks) / FRAME).toFixed(1)}`,
    what.startsWith('drag') ? 'wanted: no task over 6' : undefined,
  );
}

const middleOf = async (page: Page): Promise<{ x: number; y: number }> => {
  const box = (await page.getByTestId('canvas').boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};

/** A topic that can be grasped near the middle of what is seen. */
async function graspable(page: Page): Promise<{ x: number; y: number }> {
  const { x, y } = await middleOf(page);
  const boxes = await page
    .locator('.react-flow__node')
    .evaluateAll((nodes) => nodes.map((node) => node.getBoundingClientRect().toJSON() as DOMRect));
  const [nearest] = boxes
    .map((box) => ({ x: box.x + box.width / 2, y: box.y + box.height / 2 }))
    .sort((a, b) => Math.hypot(a.x - x, a.y - y) - Math.hypot(b.x - x, b.y - y));
  return nearest!;
}

/** Drags what is selected; what comes of letting go is watched apart. */
async function drag(page: Page, seconds: number): Promise<void> {
  const { x, y } = await graspable(page);
  await page.mouse.move(x, y);
  await page.mouse.down();
  const end = performance.now() + 1000 * seconds;
  for (let i = 0; performance.now() < end; i++)
    await page.mouse.move(x + 60 * Math.sin(i / 9), y + 40 * Math.cos(i / 7));
}

async function letGo(page: Page): Promise<void> {
  await page.mouse.up();
  await page.waitForTimeout(300);
  await page.keyboard.press('Control+z');
  await page.waitForTimeout(300);
  await page.keyboard.press('Escape');
}

/** Selects the topics nearest to the middle, one by one as a person does. */
async function chooseSome(page: Page, many: number): Promise<void> {
  const { x, y } = await middleOf(page);
  const boxes = await page
    .locator('.react-flow__node')
    .evaluateAll((nodes) => nodes.map((node) => node.getBoundingClientRect().toJSON() as DOMRect));
  const places = boxes
    .map((box) => ({ x: box.x + box.width / 2, y: box.y + box.height / 2 }))
    .sort((a, b) => Math.hypot(a.x - x, a.y - y) - Math.hypot(b.x - x, b.y - y))
    .slice(0, many);
  await page.keyboard.down('Shift');
  for (const place of places) await page.mouse.click(place.x, place.y);
  await page.keyboard.up('Shift');
}

const ACTS: Record<string, (page: Page) => Promise<void>> = {
  [`choose ${DRAGGED} topics`]: (page) => chooseSome(page, DRAGGED),
  [`drag ${DRAGGED} selected topics for 5 s`]: (page) => drag(page, 5),
  'let go and undo': letGo,
  'choose all topics': async (page) => {
    await page.getByTestId('canvas').focus();
    await page.keyboard.press('Control+a');
    await page.waitForTimeout(300);
  },
  'drag all topics for 3 s': (page) => drag(page, 3),
  'let go of all and undo': letGo,
  'pan for 3 s': async (page) => {
    const { x, y } = await middleOf(page);
    await page.mouse.move(x, y);
    const end = performance.now() + 3000;
    for (let i = 0; performance.now() < end; i++) await page.mouse.wheel(20 * Math.sin(i / 9), 20 * Math.cos(i / 9));
  },
  'zoom for 3 s': async (page) => {
    await page.keyboard.down('Control');
    const end = performance.now() + 3000;
    for (let i = 0; performance.now() < end; i++) await page.mouse.wheel(0, 60 * Math.sin(i / 12));
    await page.keyboard.up('Control');
  },
  'tidy the whole map': async (page) => {
    await page.getByTestId('canvas').focus();
    await page.keyboard.press('Alt+a');
    await page.keyboard.press('t');
    await page.getByText('Tidying …').waitFor({ state: 'visible' });
    await page.getByText('Tidying …').waitFor({ state: 'hidden', timeout: 120_000 });
    await page.waitForTimeout(500);
    await page.keyboard.press('Control+z');
  },
};

async function keystrokes(page: Page): Promise<string> {
  const { x, y } = await graspable(page);
  await page.mouse.dblclick(x, y);
  await page.locator('[data-typing]').waitFor();
  const found: number[] = [];
  for (let i = 0; i < 40; i++) {
    const painted = page.evaluate(
      () =>
        new Promise<number>((done) => {
          window.addEventListener(
            'keydown',
            ({ timeStamp }) => requestAnimationFrame(() => setTimeout(() => done(performance.now() - timeStamp))),
            { once: true, capture: true },
          );
        }),
    );
    await page.evaluate('0');
    await page.keyboard.press('a');
    found.push(await painted);
  }
  await page.keyboard.press('Escape');
  return `${(quantile(found, 0.5) / FRAME).toFixed(1)} · ${(quantile(found, 0.95) / FRAME).toFixed(1)}`;
}

/** As many edits as half an hour brings: one a second, made as fast as they go. */
async function memory(page: Page): Promise<void> {
  const used = async (): Promise<number> => {
    await page.evaluate('gc()');
    return page.evaluate<number>('performance.memory.usedJSHeapSize');
  };
  const edits = async (many: number): Promise<void> => {
    for (let i = 0; i < many; i++) {
      await page.keyboard.press(i % 2 === 0 ? 'Alt+ArrowRight' : 'Alt+ArrowLeft');
      if (i % 100 === 99) await page.waitForTimeout(200);
    }
    await page.waitForTimeout(3000);
  };
  const { x, y } = await graspable(page);
  await page.mouse.click(x, y);
  await edits(300);
  const early = await used();
  await edits(1500);
  const late = await used();
  line('heap after 1,800 edits : after 300', times(late / early), 'wanted: about 1');
}
