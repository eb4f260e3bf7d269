import type { Page } from '@playwright/test';
import { enter, expect, test } from './school';
import { accessible } from './sound';

const ESSAY = 'Should the town rebuild the footbridge?: essay plan';
const WORDS = 'Your two sides stand well apart. Say what the toll would cost.';

test('a class looks at each other’s maps: handed out without names, judged, beside the teacher’s marks, and told after release', async ({
  browser,
  school,
}) => {
  const [tobias, imre, lazlo] = (await Promise.all(
    ['tobias', 'imre', 'lazlo'].map((name) => enter(browser, school, name)),
  )) as [Page, Page, Page];
  const feedback = async (): Promise<void> => {
    await lazlo.goto(`${school.url}/`);
    await lazlo
      .getByRole('link', { name: /Receipt|Read the comments/ })
      .first()
      .click();
  };

  await test.step('handed out: each is given three, two are kept apart', async () => {
    await tobias.getByRole('link', { name: `Open the pile: ${ESSAY}, English 8A` }).click();
    await tobias.getByRole('link', { name: 'Reviews' }).click();
    await tobias.getByRole('button', { name: 'Three maps' }).click();
    await tobias.getByLabel('One of two kept apart').selectOption('Hedda Osei');
    await tobias.getByLabel('The other of two kept apart').selectOption('Olivia Rask');
    await tobias.getByRole('button', { name: 'Keep them apart' }).click();
    await tobias.getByLabel('Counts, once released, at').selectOption('20 % of the criteria');
    await accessible(tobias, 'handing maps out');
    await tobias.getByRole('button', { name: 'Hand the maps out' }).click();
    await expect(tobias.getByText('0 of 10 sent')).toBeVisible();
    await accessible(tobias, 'reviews of a class');
  });

  await test.step('one looks at a map by keys; what is given is kept through a lost network and a reload', async () => {
    await imre.reload();
    const tasks = imre.getByRole('region', { name: 'To look at' });
    await expect(tasks.getByRole('link')).toHaveCount(3);
    await expect(tasks).not.toContainText('Lazlo');
    for (let i = 1; ; i++) {
      await imre.getByRole('link', { name: `Look at map ${i} of 3: ${ESSAY}` }).click();
      await expect(imre.getByText(`Map ${i} of 3 to look at`)).toBeVisible();
      if (await imre.getByText('Build it', { exact: true }).first().isVisible()) break;
      await imre.getByRole('link', { name: 'English 8A' }).click();
    }
    await expect(imre.locator('body')).not.toContainText('Lazlo');
    await accessible(imre, 'reviewing a map');
    const state = imre.getByTestId('review-state');
    await imre.getByLabel('To whoever made it').click();
    await imre.context().setOffline(true);
    await imre.keyboard.type(WORDS);
    await expect(imre.getByRole('alert').filter({ hasText: 'does not answer' })).toBeVisible();
    await expect(state).toHaveText('Saving …');
    await imre.context().setOffline(false);
    await expect(state).toHaveText('Saved');
    await imre
      .getByRole('group', { name: /^Verdict on/ })
      .first()
      .getByRole('button', { name: 'Shaky' })
      .press('Enter');
    await imre.getByRole('radiogroup').first().getByRole('radio').first().focus();
    await imre.keyboard.press('2');
    await expect(state).toHaveText('Saved');
    // In the middle of a word.
    await imre.getByLabel('To whoever made it').press('Control+End');
    await imre.keyboard.type(' And wh');
    await imre.reload();
    await expect(imre.getByLabel('To whoever made it')).toHaveValue(`${WORDS} And wh`);
    await expect(state).toHaveText('Saved');
    await expect(imre.getByRole('radio', { checked: true })).toHaveCount(1);
    await expect(imre.getByRole('button', { name: 'Shaky', pressed: true })).toHaveCount(1);
  });

  await test.step('sent: what is missing is said first; then it stays', async () => {
    const send = async (): Promise<void> => {
      await imre.getByRole('button', { name: 'Send it …' }).click();
      await imre.getByRole('alertdialog').getByRole('button', { name: 'Send it' }).click();
    };
    const groups = imre.getByRole('radiogroup');
    if ((await groups.count()) > 1) {
      await send();
      await expect(imre.getByRole('alert').filter({ hasText: /^Give a level for/ })).toBeVisible();
      for (let i = 1; i < (await groups.count()); i++) {
        await groups.nth(i).getByRole('radio').first().focus();
        await imre.keyboard.press('2');
      }
    }
    await send();
    await expect(imre.getByRole('heading', { name: /^Today/ })).toBeVisible();
    await imre.getByRole('link', { name: /^Read map/ }).click();
    await expect(imre.getByText('Sent. It stays as it is.')).toBeVisible();
    await expect(imre.getByRole('button', { name: 'Send it …' })).toHaveCount(0);
    await expect(imre.getByLabel('To whoever made it')).toHaveJSProperty('readOnly', true);
  });

  await test.step('the teacher reads it beside their own marks; its maker reads nothing of it, returned or not', async () => {
    await tobias.reload();
    await expect(tobias.getByText('1 of 10 sent')).toBeVisible();
    await feedback();
    await expect(lazlo.locator('body')).not.toContainText('toll would cost');
    await tobias.getByRole('link', { name: 'Lazlo Mwangi' }).click();
    await tobias
      .getByRole('button', { name: /^Show .*Results|^Open Results|Results/ })
      .first()
      .click();
    const reviews = tobias.getByRole('region', { name: 'Reviews' });
    await expect(reviews).toContainText('Imre Valdez');
    await expect(reviews).toContainText(WORDS);
    await tobias.getByRole('button', { name: 'Return to Lazlo' }).click();
    await tobias.getByRole('alertdialog').getByRole('button', { name: 'Return all the same' }).click();
    await expect(tobias.getByText('Returned to Lazlo.').first()).toBeAttached();
    await feedback();
    await expect(lazlo.getByText('Came back to you').first()).toBeAttached();
    await expect(lazlo.locator('body')).not.toContainText('toll would cost');
  });

  await test.step('released: its maker reads it, without a name', async () => {
    await tobias.goBack();
    await tobias.getByRole('button', { name: 'Release the reviews …' }).click();
    await tobias.getByRole('alertdialog').getByRole('button', { name: 'Release them' }).click();
    await expect(tobias.getByText(/^Each was given.*Released/)).toBeVisible();
    await lazlo.reload();
    await lazlo
      .getByRole('button', { name: /Requirements/ })
      .first()
      .click();
    const told = lazlo.getByRole('region', { name: 'Reviews' });
    await expect(told).toContainText(WORDS);
    await expect(told).toContainText('Reviewer 1');
    await expect(told).not.toContainText('Imre');
    await imre.goto(`${school.url}/`);
    await expect(imre.getByRole('region', { name: 'To look at' })).toHaveCount(0);
  });
});
