import { enter, expect, test } from './school';
import { sound } from './sound';

const VIEWS = [
  ['Targets', 'Choose a bridge for a site'],
  ['Requirements', 'of the class'],
  ['Terms', 'of the class'],
  ['Spread', 'Cross-links'],
  ['Composite map', 'Choose a topic or a tie'],
  ['First and last', 'Tomke Ferreira'],
  ['Alike', 'accuse nobody'],
  ['Weights', 'at least 5 marked maps'],
] as const;

test('what is said once, and what is seen over a class, stands for everybody who reads it', async ({
  browser,
  school,
}) => {
  const page = await enter(browser, school, 'maren');
  await page.getByRole('link', { name: 'Open the pile: How bridges carry loads' }).click();
  await page.getByRole('link', { name: 'The class together' }).click();
  await expect(page.getByTestId('so-many-judged')).toBeVisible();
  await page.locator('[data-verdict=Wrong]').first().click();
  await expect(page.getByTestId('so-many-judged')).toContainText('1 of');
  await page.keyboard.press('r');
  await page.getByPlaceholder('Enter keeps it').fill('Which way does it push?');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Which way does it push?')).toBeVisible();
  await sound(page, 'class: sentences');
  for (const [name, words] of VIEWS) {
    await page.getByRole('navigation', { name: 'The class' }).getByRole('link', { name }).click();
    await expect(page.getByText(words).first()).toBeVisible();
    if (name === 'Composite map') await expect(page.getByTestId('composite')).toBeVisible();
    await sound(page, `class: ${name}`);
  }
  await page.getByRole('link', { name: 'The pile' }).click();
  await page.getByRole('link', { name: 'Noor Halvorsen' }).click();
  await expect(page.getByTestId('canvas')).toBeVisible();
  await page.getByRole('button', { name: 'Unfold Results' }).click();
  await page.keyboard.press('Alt+s');
  await expect(page.getByTestId('verdicts-left')).toBeVisible();
  await sound(page, 'marking: sentences');
  await page.getByRole('button', { name: 'Reference over it' }).click();
  await expect(page.getByRole('region', { name: 'Beside the reference' })).toContainText('shared');
  await sound(page, 'marking: the reference over a map');
  await page.getByRole('button', { name: 'Remark bank' }).click();
  await expect(page.getByRole('combobox', { name: /Find a remark/ })).toBeFocused();
  await sound(page, 'marking: remark bank');
  await page.keyboard.press('Escape');
  await page
    .getByRole('link', { name: 'Marks', exact: true })
    .or(page.getByRole('link', { name: 'Ichnograph' }))
    .first()
    .click();
  await page.getByRole('link', { name: 'Marks', exact: true }).click();
  await expect(page.getByRole('heading', { name: /^Marks of/ })).toBeVisible();
  await page.getByRole('button', { name: 'Look over all assignments' }).click();
  await expect(page.getByText('What is hardest stands first.', { exact: false })).toBeVisible();
  await sound(page, 'gradebook');
});

test('class views and marks work on a narrow screen', async ({ browser, school }) => {
  const page = await enter(browser, school, 'maren', { viewport: { width: 390, height: 780 } });
  const task = (
    (await (await page.request.get(`${school.url}/api/today/teacher`)).json()) as {
      publicationId: string;
      title: string;
    }[]
  ).find(({ title }) => title === 'How bridges carry loads')!;
  const tooWide: string[] = [];
  for (const path of [
    `class/${task.publicationId}/sentences`,
    `class/${task.publicationId}/requirements`,
    `class/${task.publicationId}/spread`,
    `class/${task.publicationId}/alike`,
    'gradebook',
  ]) {
    await page.goto(`${school.url}/${path}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.waitForLoadState('networkidle');
    const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    tooWide.push(...(over > 0 ? [`${path} by ${over}`] : []));
  }
  expect(tooWide).toEqual([]);
});
