import type { Locator, Page } from '@playwright/test';
import { enter, expect, MapDesk, test } from './school';
import { accessible } from './sound';

const card = (page: Page, name: string | RegExp): Locator => page.locator('[data-idea]').filter({ hasText: name });

test('a class gathers ideas on a projector: alike ones fall together, are sorted by keys and by drag, and become a starter map', async ({
  browser,
  school,
}) => {
  const [board, gustavo, hedda, jomo] = (await Promise.all(
    ['tobias', 'gustavo', 'hedda', 'jomo'].map((name) => enter(browser, school, name)),
  )) as [Page, Page, Page, Page];
  await board.getByRole('button', { name: 'Ask a class' }).click();
  await expect(board.getByLabel('Question')).toBeFocused();
  await board.keyboard.type('bells?');
  await board.getByRole('combobox', { name: 'Class' }).selectOption('English 8A');
  await accessible(board, 'a question to a class');
  await board.keyboard.press('Tab');
  await board.getByRole('button', { name: 'Open the question' }).press('Enter');
  await expect(board.getByRole('heading', { level: 1 })).toHaveText('What do you know already about bells?');
  const code = await board.getByTestId('code').innerText();
  const field = (page: Page): Locator => page.getByLabel(/^What you know/);
  const send = async (page: Page, ...ideas: string[]): Promise<void> => {
    for (const idea of ideas) {
      await expect(field(page)).toBeFocused();
      await page.keyboard.type(idea);
      await page.keyboard.press('Enter');
      await expect(field(page)).toHaveValue('');
    }
  };

  await test.step('one comes by the code, others from Today; what they send stands on the board at once', async () => {
    await gustavo.getByLabel('Code on the board').click();
    await gustavo.keyboard.type(code.toLowerCase());
    await gustavo.keyboard.press('Enter');
    for (const page of [hedda, jomo]) {
      await page.reload();
      await page.getByRole('link', { name: 'Answer: What do you know already about bells?' }).click();
    }
    await send(gustavo, 'Bronze', 'They ring the hours');
    await send(hedda, 'bronze!', 'A rope', 'Gustavo is silly');
    await send(jomo, 'Bronz', 'Rope');
    await expect(card(board, 'Bronze')).toHaveAccessibleName('Bronze, 3 persons');
    await expect(board.locator('[data-idea]')).toHaveCount(5);
    await expect(board.getByText('3 of 18 students have sent something')).toBeVisible();
    await expect(jomo.getByRole('region', { name: 'What the class says' })).toContainText('They ring the hours');
    // Neither the projector nor a student’s page tells who sent what.
    await expect(board.locator('#main')).not.toContainText('Hedda');
    await expect(jomo.locator('#main')).not.toContainText('Hedda');
    await accessible(board, 'the board of a question');
    await accessible(jomo, 'answering a question');
  });

  await test.step('without a network the words stay in their field, and are sent once there is one', async () => {
    await hedda.context().setOffline(true);
    await hedda.keyboard.type('A tower');
    await hedda.keyboard.press('Enter');
    await expect(hedda.getByRole('alert').filter({ hasText: 'does not answer' })).toBeVisible();
    await expect(field(hedda)).toHaveValue('A tower');
    await hedda.context().setOffline(false);
    await hedda.keyboard.press('Enter');
    await expect(card(board, 'A tower')).toBeVisible();
    await jomo.getByRole('button', { name: 'Take back: Bronz' }).click();
    await expect(card(board, 'Bronze')).toHaveAccessibleName('Bronze, 2 persons');
  });

  await test.step('by keys: to a card, hidden and shown again, into a group, taken', async () => {
    await board.getByLabel('Name of a new group').click();
    await board.keyboard.type('What they are made of');
    await board.keyboard.press('Enter');
    await expect(board.getByRole('region', { name: 'What they are made of' })).toBeVisible();
    await card(board, 'Gustavo is silly').focus();
    await board.keyboard.press('h');
    await expect(card(board, 'Gustavo is silly')).toHaveCount(0);
    await expect(jomo.getByRole('region', { name: 'What the class says' })).not.toContainText('silly');
    await card(board, 'Bronze').focus();
    await board.keyboard.press('1');
    const group = board.getByRole('region', { name: 'What they are made of' });
    await expect(group.locator('[data-idea]')).toHaveCount(1);
    // The hand stays where it sorts: at the next one of the column.
    await expect(board.getByRole('region', { name: 'In no group' }).locator('[data-idea]:focus')).toHaveCount(1);
    await card(board, 'Bronze').focus();
    await board.keyboard.press('Enter');
    await expect(card(board, 'Bronze')).toHaveAccessibleName(/taken/);
    await board.keyboard.press('ArrowLeft');
    await expect(board.getByRole('region', { name: 'In no group' }).locator('[data-idea]:focus')).toHaveCount(1);
  });

  await test.step('by drag: one onto another, one into a group; what was done last is taken back', async () => {
    const drag = async (from: Locator, to: Locator): Promise<void> => {
      const [a, b] = [(await from.boundingBox())!, (await to.boundingBox())!];
      await board.mouse.move(a.x + 20, a.y + a.height / 2);
      await board.mouse.down();
      await board.mouse.move(a.x + 40, a.y + a.height / 2 + 4, { steps: 3 });
      await board.mouse.move(b.x + 40, b.y + b.height / 2, { steps: 12 });
      await board.mouse.up();
    };
    await drag(card(board, /^Rope/), card(board, 'A rope'));
    await expect(card(board, 'A rope')).toHaveAccessibleName('A rope, 2 persons');
    await board.keyboard.press('Control+z');
    await expect(card(board, /^Rope/)).toBeVisible();
    await drag(card(board, /^Rope/), card(board, 'A rope'));
    await expect(card(board, 'A rope')).toHaveAccessibleName('A rope, 2 persons');
    await drag(card(board, 'A rope'), card(board, 'Bronze'));
    await expect(card(board, 'Bronze')).toContainText('also: A rope, Rope');
    await card(board, 'Bronze').getByRole('button', { name: 'What to do with Bronze' }).click();
    await board.getByRole('menuitem', { name: 'Take it apart' }).click();
    await expect(card(board, /^A rope/)).toBeVisible();
  });

  await test.step('now: a second round beside the first', async () => {
    await board.getByRole('button', { name: 'And now?' }).click();
    await expect(field(gustavo)).toBeVisible();
    await expect(gustavo.getByText('What you know now')).toBeVisible();
    await field(gustavo).click();
    await send(gustavo, 'bronze', 'A clapper');
    await board.getByRole('button', { name: 'Then and now' }).click();
    await expect(board.getByRole('region', { name: 'Then and now' })).toContainText('Bronze');
    await expect(board.getByRole('region', { name: 'Only now' })).toContainText('A clapper');
    await board.getByRole('button', { name: 'The board' }).click();
  });

  await test.step('closed, and made into a starter map in one act', async () => {
    await board.getByRole('button', { name: 'Close the question' }).press('Enter');
    await expect(jomo.getByText('This question is closed. What you sent is kept.')).toBeVisible();
    await card(board, 'A clapper').focus();
    await board.keyboard.press('Enter');
    await expect(card(board, 'A clapper')).toHaveAccessibleName(/taken/);
    await board.keyboard.press('m');
    const dialog = board.getByRole('dialog', { name: 'Make something of the ideas' });
    await expect(dialog).toContainText('Of the 2 ideas you took.');
    await accessible(board, 'what is made of ideas');
    await dialog.getByRole('button', { name: 'Make it' }).click();
    await expect(board).toHaveURL(/\/assignments\/.*\/sheet$/);
    await board.goto(board.url().replace(/sheet$/, 'starter'));
    for (const text of ['What do you know already about bells?', 'What they are made of', 'Bronze', 'A clapper'])
      await expect(new MapDesk(board).topic(text)).toBeVisible();
  });
});
