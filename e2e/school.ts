import { expect, test as base } from '@playwright/test';
import type { Browser, BrowserContext, Locator, Page } from '@playwright/test';
import { Stack } from '../scripts/lib/stack.mjs';

interface School {
  url: string;
  killServer: () => Promise<void>;
  startServer: () => Promise<void>;
  killDatabase: () => Promise<void>;
  startDatabase: () => Promise<void>;
  freezeServer: (frozen: boolean) => void;
}

/** Every journey runs against a made-up school of its own, a real server and a real database, as it was on the first day. */
export const test = base.extend<{ school: School }>({
  school: [
    // Playwright insists on a destructured first argument.
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const stack = new Stack('browser', { env: { ICHNOGRAPH_LOG: 'fatal' } });
      try {
        await stack.start();
        await use({
          url: stack.url,
          killServer: () => stack.killServer(),
          startServer: () => stack.startServer(),
          killDatabase: () => stack.killDatabase(),
          startDatabase: () => stack.startDatabase(),
          freezeServer: (frozen) => stack.freezeServer(frozen),
        });
      } finally {
        await stack.remove();
      }
    },
    { timeout: 120_000 },
  ],
});
export { expect };

/** A browser of one's own, signed in with one click as a made-up person. Fails on any error a page logs. */
export async function enter(
  browser: Browser,
  { url }: School,
  name: string,
  options: Parameters<Browser['newContext']>[0] = {},
): Promise<Page> {
  const context = await browser.newContext(options);
  const page = await watched(context);
  await page.request.post(`${url}/api/demo/sign-in/${name}`);
  await page.goto(url);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  return page;
}

/** What a page's console said that it should not have; connection failures are part of some journeys. */
export const troubles: string[] = [];
export async function watched(context: BrowserContext): Promise<Page> {
  const page = await context.newPage();
  page.on('pageerror', (error) => troubles.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error' && !/Failed to load resource|WebSocket connection/.test(message.text()))
      troubles.push(message.text());
  });
  return page;
}
test.beforeEach(() => {
  troubles.length = 0;
});
test.afterEach(() => {
  expect(troubles).toEqual([]);
});

/** The map page, as a person works on it. */
export class MapDesk {
  readonly canvas: Locator;
  constructor(readonly page: Page) {
    this.canvas = page.getByTestId('canvas');
  }

  static async begin(page: Page): Promise<MapDesk> {
    await page.getByRole('button', { name: 'Begin the map' }).click();
    return new MapDesk(page).opened();
  }

  static async goOn(page: Page): Promise<MapDesk> {
    await page.getByRole('link', { name: 'Go on with the map' }).click();
    return new MapDesk(page).opened();
  }

  async opened(): Promise<this> {
    await expect(this.canvas).toBeVisible();
    await expect(this.topic('Bridge')).toBeVisible();
    await this.saved();
    // A rail in a window of this width, until one chooses otherwise.
    await this.unfold('Legend and word bank');
    return this;
  }

  /** Shows the wide form of a panel, if it is a rail now. */
  async unfold(name: string): Promise<void> {
    const [rail, wide] = ['Unfold', 'Fold'].map((what) =>
      this.page.getByRole('button', { name: `${what} ${name}`, exact: true }),
    );
    await expect(rail!.or(wide!)).toBeVisible();
    if (await rail!.isVisible()) await rail!.click();
    await expect(wide!).toBeVisible();
  }

  /** Opens the whole title block. */
  async entitle(): Promise<void> {
    await this.page.getByRole('button', { name: 'Unfold the title block' }).click();
  }

  topic = (text: string): Locator => this.page.locator(`[data-topic="${text}"]`);
  link = (from: string, to: string): Locator => this.page.locator(`[data-link="${from} → ${to}"]`);
  get state(): Locator {
    return this.page.getByTestId('save-state');
  }
  saved = (): Promise<void> => expect(this.state).toHaveText('Saved');
  get checks(): Locator {
    return this.page.getByTestId('checks');
  }
  get reading(): Locator {
    return this.page.getByTestId('reading-line');
  }

  async centreOf(what: Locator): Promise<{ x: number; y: number }> {
    const box = (await what.boundingBox())!;
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  }

  /** Drags from one place to another as a hand does: in steps. */
  async drag(from: { x: number; y: number }, to: { x: number; y: number }): Promise<void> {
    await this.page.mouse.move(from.x, from.y);
    await this.page.mouse.down();
    await this.page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 4 });
    await this.page.mouse.move(to.x, to.y, { steps: 4 });
    await this.page.mouse.up();
  }

  async placeByDrag(term: string, to: { x: number; y: number }): Promise<void> {
    const chip = this.page.getByRole('button', { name: term, exact: true });
    await chip.scrollIntoViewIfNeeded();
    await this.drag(await this.centreOf(chip), to);
    await expect(this.topic(term)).toBeVisible();
  }

  async makeByDoubleClick(text: string, at: { x: number; y: number }): Promise<void> {
    await this.page.mouse.dblclick(at.x, at.y);
    await this.page.keyboard.type(text);
    await this.page.keyboard.press('Enter');
    await expect(this.topic(text)).toBeVisible();
  }

  /** Pulls the ring under a topic to another topic and types the phrase. */
  async linkByDrag(from: string, to: string, phrase: string): Promise<void> {
    await this.topic(from).hover();
    const grip = this.topic(from).locator('.grip');
    await this.drag(await this.centreOf(grip), await this.centreOf(this.topic(to)));
    await this.typePhrase(from, to, phrase);
  }

  async linkByKeys(from: string, to: string, phrase: string): Promise<void> {
    await this.topic(from).click();
    await this.page.keyboard.press('Alt+k');
    await this.page.getByRole('textbox', { name: 'Find a topic' }).fill(to);
    await this.page.keyboard.press('Enter');
    await this.typePhrase(from, to, phrase);
  }

  async typePhrase(from: string, to: string, phrase: string): Promise<void> {
    const field = this.page.getByRole('textbox', { name: `Words on the link from ${from} to ${to}` });
    await expect(field).toBeFocused();
    await this.page.keyboard.type(phrase);
    if (phrase) await expect(this.reading).toContainText(`${from} ${phrase} ${to}.`);
    await this.page.keyboard.press('Enter');
    await expect(this.link(from, to)).toBeAttached();
  }
}
