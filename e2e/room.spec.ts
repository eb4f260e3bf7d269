import type { Page } from '@playwright/test';
import { smallestLetters } from './letters';
import { expect, enter, test } from './school';

/** Every topic lies within the canvas, and nothing but rings and letters lies on it. */
const isClear = (page: Page): Promise<string[]> =>
  page.getByTestId('canvas').evaluate((canvas) => {
    const view = canvas.getBoundingClientRect();
    return [...canvas.querySelectorAll('[data-topic]')].flatMap((topic) => {
      const box = topic.getBoundingClientRect();
      const inside =
        box.left >= view.left && box.right <= view.right && box.top >= view.top && box.bottom <= view.bottom;
      const over = document.elementFromPoint(box.left + box.width / 2, box.top + box.height / 2);
      return inside && topic.closest('.react-flow__node')!.contains(over)
        ? []
        : [(topic as HTMLElement).dataset.topic!];
    });
  });

const SIZES = [
  { width: 1280, height: 800, least: 10, name: 'Noor', family: 'Halvorsen' },
  { width: 1024, height: 768, least: 8, name: 'Oskar', family: 'Tanaka' },
] as const;

for (const { width, height, least, name, family } of SIZES)
  test(`at ${width} by ${height} the largest maps are fitted with letters of at least ${least} pixels`, async ({
    browser,
    school,
  }) => {
    const viewport = { width, height };
    const check = async (page: Page, what: string): Promise<void> => {
      await expect(page.getByTestId('canvas')).toBeVisible();
      await expect(async () => {
        expect([what, await isClear(page)]).toEqual([what, []]);
        expect([what, (await smallestLetters(page)) >= least]).toEqual([what, true]);
      }).toPass({ timeout: 15_000 });
    };
    const maren = await enter(browser, school, 'maren', { viewport });
    await maren.getByRole('link', { name: 'Open the pile: How bridges carry loads' }).click();
    await maren.getByRole('link', { name: `${name} ${family}` }).click();
    await check(maren, 'marking');
    await maren.getByRole('link', { name: /^Leila Brandt/ }).click();
    await check(maren, 'marking, another');
    const student = await enter(browser, school, name.toLowerCase(), { viewport });
    await student
      .getByRole('link', { name: /Go on with the map|Look at the map/ })
      .first()
      .click();
    await check(student, 'map');

    // With comments in the margin, for the marker and for the reader.
    await maren.getByRole('link', { name: new RegExp(`^${name} ${family}`) }).click();
    await expect(maren.getByRole('button', { name: `Return to ${name}` })).toBeVisible();
    const id = (
      (await (await maren.request.get(`${school.url}/api/${pathOf(maren)}/pile`)).json()) as Pile
    ).entries.find(({ members }) => members[0]!.givenName === name)!.submission.id;
    for (const text of ['Which word is missing here?', 'A map that one can read.'])
      await maren.request.post(`${school.url}/api/submissions/${id}/comments`, { data: { anchor: 'map', text } });
    await maren.reload();
    await expect(maren.getByRole('complementary', { name: 'Margin' })).toBeVisible();
    await check(maren, 'marking, with comments');
    await maren.request.post(`${school.url}/api/submissions/${id}/return`, { data: { unjudged: true } });
    await student.goto(`${school.url}/feedback/${id}`);
    await expect(student.getByRole('complementary', { name: 'Margin' })).toBeVisible();
    await check(student, 'feedback, with comments');
    await student.context().close();
    await maren.context().close();
  });

interface Pile {
  entries: { members: { givenName: string }[]; submission: { id: string } }[];
}
const pathOf = (page: Page): string => `publications/${new URL(page.url()).pathname.split('/')[2]}`;

test('a rail opens as a card, by pointer and by key, is pinned, and goes', async ({ browser, school }) => {
  const page = await enter(browser, school, 'juno', { viewport: { width: 1024, height: 768 } });
  await page.getByRole('link', { name: 'Go on with the map' }).click();
  await expect(page.getByTestId('canvas')).toBeVisible();
  await page.getByRole('button', { name: /^Word bank, \d+ to place/ }).click();
  const card = page.getByRole('group', { name: 'Legend and word bank' });
  await expect(card.getByRole('textbox', { name: 'A term of your own' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(card).toHaveCount(0);
  await page.getByRole('button', { name: 'Unfold Legend and word bank' }).press('Enter');
  await card.getByRole('button', { name: 'Pin it here' }).click();
  await page.mouse.click(500, 640);
  await expect(card).toBeVisible();
  await card.getByRole('button', { name: 'Let go of the pin' }).click();
  await page.mouse.click(500, 640);
  await expect(card).toHaveCount(0);
  // Where there is room beside the map, what is pinned stands there and lies over nothing.
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('button', { name: /^Word bank, \d+ to place/ }).click();
  await card.getByRole('button', { name: 'Pin it here' }).click();
  await expect(card).toHaveCount(0);
  await expect(page.getByRole('textbox', { name: 'A term of your own' })).toBeVisible();
  await page.getByRole('button', { name: 'Fold Legend and word bank', exact: true }).click();
  const mark = page.getByRole('button', { name: /^Requirement 8/ });
  await mark.focus();
  await expect(page.getByRole('region', { name: 'Requirement 8' })).toContainText('join different main branches');
  await page.context().close();
});
