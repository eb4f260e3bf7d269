import { Stack } from '../scripts/lib/stack.mjs';
import { expect, enter, MapDesk, test, watched } from './school';
import { accessible, sound } from './sound';

test('the pages of someone who is not signed in', async ({ browser, school }) => {
  const page = await watched(await browser.newContext());
  await page.goto(school.url);
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await sound(page, 'sign-in');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('Type your password')).toBeVisible();
  await sound(page, 'sign-in, empty');
  await page.getByLabel('Sign-in name').fill('noor');
  await page.getByLabel('Password').fill('not this one');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('do not belong together')).toBeVisible();
  await sound(page, 'sign-in, refused');
  await page.context().close();
});

test('a student’s pages', async ({ browser, school }) => {
  const page = await enter(browser, school, 'kofi');
  await expect(page.getByRole('heading', { name: 'Came back to you' })).toBeVisible();
  await sound(page, 'today, returned');
  await page.getByRole('link', { name: 'Read the comments' }).click();
  await expect(page.getByTestId('canvas')).toBeVisible();
  await sound(page, 'feedback');
  await new MapDesk(page).unfold('Requirements');
  await page.getByRole('button', { name: /At most 2 crossings/, expanded: false }).click();
  await sound(page, 'feedback, a requirement chosen');
  await page.getByRole('button', { name: /main branches leave/ }).click();
  await sound(page, 'feedback, branches tinted');
  await page.getByTestId('right').getByRole('button', { name: 'Sentences', exact: true }).click();
  await sound(page, 'feedback, sentences beside the map');
  await page.getByRole('banner').getByRole('button', { name: 'Sentences', exact: true }).click();
  await sound(page, 'feedback, sentences');
  await page.goto(`${school.url}/password`);
  await page.getByRole('button', { name: 'Change password' }).click();
  await expect(page.getByText('A password has at least 10 characters.')).toBeVisible();
  await sound(page, 'password, refused');
  await page.goto(`${school.url}/own-maps`);
  await sound(page, 'own maps, none');
  await page.getByRole('button', { name: 'New map' }).click();
  await accessible(page, 'own maps, a new one');
  await page.getByLabel('Title').fill('Unbreakable'.repeat(20));
  await page.getByLabel('Begin with').selectOption({ index: 1 });
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByTestId('canvas')).toBeVisible();
  await sound(page, 'own map');
  await page.goto(`${school.url}/own-maps`);
  await expect(page.getByRole('button', { name: /What to do with/ })).toBeVisible();
  await sound(page, 'own maps, one');
  await page.goto(`${school.url}/no-such-page`);
  await sound(page, 'no such page');
  await page.goto(`${school.url}/works/not-mine`);
  await expect(page.getByRole('alert').first()).toContainText('not yours to see');
  await sound(page, 'not yours');
  await page.context().close();
});

test('the map page in its states', async ({ browser, school }) => {
  const page = await enter(browser, school, 'goran');
  await sound(page, 'today, not begun');
  const desk = await MapDesk.begin(page);
  await sound(page, 'map, bare starter');
  await page.getByRole('button', { name: 'Brief' }).click();
  await accessible(page, 'map, brief');
  await page.keyboard.press('Escape');
  const box = (await desk.canvas.boundingBox())!;
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Zoom out' }).click();
  await desk.makeByDoubleClick('W'.repeat(300), { x: box.x + 90, y: box.y + 150 });
  await desk.makeByDoubleClick(`A very long idea ${'that goes on and on '.repeat(10)}`.trim(), {
    x: box.x + 650,
    y: box.y + 130,
  });
  await desk.entitle();
  await accessible(page, 'map, title block');
  await page.getByLabel('Map title').fill('Long '.repeat(60));
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.getByRole('textbox', { name: 'A term of your own' }).fill('unbreakable'.repeat(27));
  await page.keyboard.press('Enter');
  await sound(page, 'map, longest texts');
  await desk.topic('Bridge').click();
  await sound(page, 'map, a topic selected');
  await page.getByRole('button', { name: 'Looks' }).click();
  await accessible(page, 'map, looks');
  await page.keyboard.press('Escape');
  await desk.topic('Bridge').click();
  await page.keyboard.press('F2');
  await accessible(page, 'map, typing');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Alt+k');
  await accessible(page, 'map, link dialog');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /Every given term/ }).click();
  await sound(page, 'map, a requirement chosen');
  await desk.topic('Bridge').click();
  await page.keyboard.press('Delete');
  await accessible(page, 'map, delete a given topic');
  await page.getByRole('button', { name: 'Keep' }).click();
  await page.getByRole('button', { name: 'Fold Requirements', exact: true }).click();
  await page.getByRole('button', { name: 'Fold Legend and word bank', exact: true }).click();
  await sound(page, 'map, folded');
  await page.getByRole('button', { name: 'Requirement 8', exact: false }).first().hover();
  await accessible(page, 'map, a requirement’s card');
  await desk.unfold('Requirements');
  await desk.unfold('Legend and word bank');
  await page.keyboard.press('Control+k');
  await accessible(page, 'map, palette');
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await accessible(page, 'map, keys');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Goran Ito' }).click();
  await accessible(page, 'map, user menu');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Alt+i');
  await expect(page.getByRole('option').first()).toBeVisible();
  await accessible(page, 'map, library');
  await page.getByRole('button', { name: 'Yours', exact: true }).click();
  await accessible(page, 'map, own pictures');
  await page.getByRole('button', { name: 'Sketch', exact: true }).click();
  await accessible(page, 'map, sketch');
  await page.keyboard.press('Escape');
  for (const [words, state] of [
    ['On paper', 'on paper'],
    ['spelling', 'spelling'],
    ['drawn on paper', 'paper under the map'],
  ] as const) {
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox').fill(words);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog')).toBeVisible();
    await accessible(page, `map, ${state}`);
    await page.keyboard.press('Escape');
  }
  await page.getByRole('button', { name: 'Outline', exact: true }).click();
  await sound(page, 'map, outline');
  await page.getByRole('button', { name: 'Sentences', exact: true }).click();
  await sound(page, 'map, sentences');
  await page.getByRole('button', { name: 'Map', exact: true }).click();
  await desk.saved();
  await page.getByRole('button', { name: 'Hand in …' }).click();
  await accessible(page, 'map, hand in');
  await page.getByRole('dialog').getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Receipt');
  await sound(page, 'receipt');
  await page.getByRole('link', { name: 'Back to the map' }).click();
  await desk.opened();
  await sound(page, 'map, handed in');
  await page.goto(school.url);
  await sound(page, 'today, handed in');
  await page.context().close();
});

test('a teacher’s pages', async ({ browser, school }) => {
  await test.step('with the longest names that can be', async () => {
    const page = await enter(browser, school, 'halina');
    const post = async (path: string, data: object) =>
      (await page.request.post(`${school.url}/api/${path}`, { data })).json() as Promise<{ id: string }>;
    const person = await post('accounts', {
      role: 'student',
      givenName: 'W'.repeat(60),
      familyName: 'Longestname '.repeat(5).trim(),
      name: 'w'.repeat(40),
      password: 'a long first one',
    });
    const classes = (await (await page.request.get(`${school.url}/api/classes`)).json()) as {
      id: string;
      name: string;
    }[];
    const room = classes.find(({ name }) => name === 'Technology 9B')!;
    await page.request.post(`${school.url}/api/classes/${room.id}/people`, {
      data: { accountId: person.id, part: 'student' },
    });
    await post('classes', { name: 'M'.repeat(100) });
    await page.context().close();
    const student = await enter(browser, school, 'w'.repeat(40));
    await sound(student, 'a first password');
    await student.getByLabel('The password on your card').fill('a long first one');
    await student.getByLabel('The new one').fill('a password of my own');
    await student.getByRole('button', { name: 'Change password' }).click();
    await expect(student.getByRole('heading', { name: /^Today/ })).toBeVisible();
    await sound(student, 'today, a very long name');
    await MapDesk.begin(student);
    await sound(student, 'map, a very long name');
    await student.context().close();
  });
  const page = await enter(browser, school, 'maren');
  await sound(page, 'today, teacher');
  await page.getByRole('link', { name: 'Open the pile: How bridges carry loads' }).click();
  await expect(page.getByRole('table')).toBeVisible();
  await sound(page, 'pile');
  await page.getByRole('link', { name: 'Noor Halvorsen' }).click();
  await expect(page.getByTestId('canvas')).toBeVisible();
  await sound(page, 'marking');
  await new MapDesk(page).unfold('Results');
  await page.getByPlaceholder('Write a comment …').fill('x'.repeat(600));
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('article')).toBeVisible();
  await page.getByRole('button', { name: /Every link has words/ }).click();
  await sound(page, 'marking, with a long comment');
  await page.goto(`${school.url}/assignments`);
  await expect(page.getByRole('table')).toBeVisible();
  await sound(page, 'assignments');
  await page.setInputFiles('input[type=file]', {
    name: 'bad.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"ichnograph-assignment"}'),
  });
  await expect(page.getByText(/This file was not taken: \$/).first()).toBeVisible();
  await sound(page, 'assignments, a file refused');
  await page.setInputFiles('input[type=file]', {
    name: 'cut.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":'),
  });
  await expect(page.getByText('the file was cut short').first()).toBeVisible();
  await page.getByRole('link', { name: 'How bridges carry loads', exact: true }).click();
  await expect(page.getByRole('img', { name: 'Starter map' })).toBeVisible();
  await sound(page, 'assignment');
  await page.getByRole('link', { name: 'What else can I ask for?' }).click();
  await expect(page.getByRole('article')).toHaveCount(52);
  await sound(page, 'what can I ask for');
  await page.getByRole('searchbox', { name: 'Find' }).fill('crossing');
  await expect(page.getByRole('article').first()).toContainText('1 crossing, 1 too many.');
  await expect(
    page.getByRole('article').first().getByRole('img', { name: 'A map that does not meet it' }),
  ).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find' }).fill('unicorns');
  await expect(page.getByText('Nothing here has all these words.')).toBeVisible();
  await page.goto(`${school.url}/assignments`);
  await page.getByRole('link', { name: 'How bridges carry loads', exact: true }).click();
  await page.getByRole('link', { name: 'The guide for students, to print' }).click();
  await expect(page.getByRole('heading', { name: 'A finished map, on another subject' })).toBeVisible();
  await sound(page, 'guide');
  await page.goto(`${school.url}/people`);
  await expect(page.getByRole('table')).toBeVisible();
  await sound(page, 'people, teacher');
  await page.getByRole('button', { name: 'Standing rules' }).click();
  await expect(page.getByRole('heading', { name: 'What must a map show?' })).toBeVisible();
  await sound(page, 'standing rules');
  await page.context().close();
});

test('an administrator’s pages, and a school that holds nothing yet', async ({ browser, school }) => {
  const page = await enter(browser, school, 'halina');
  await expect(page.getByRole('table')).toBeVisible();
  await sound(page, 'people, administrator');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await expect(page.getByText('A given name has 1 to 60 characters')).toBeVisible();
  await accessible(page, 'people, refused');
  await page.getByRole('searchbox', { name: 'Find a person' }).fill('noor halv');
  await page.getByRole('link', { name: 'Noor Halvorsen' }).click();
  await expect(page.getByRole('heading', { name: 'Noor Halvorsen' })).toBeVisible();
  await sound(page, 'a person');
  await page.context().close();

  const empty = new Stack('browser-empty', { demo: false });
  try {
    await empty.start();
    const first = await watched(await browser.newContext());
    await first.goto(empty.url);
    await expect(first.getByRole('heading', { name: 'Set up your school' })).toBeVisible();
    await sound(first, 'first administrator');
    await first.getByRole('button', { name: 'Make the first administrator' }).click();
    await expect(first.getByText('A school’s name has 1 to 100 characters.')).toBeVisible();
    await accessible(first, 'first administrator, refused');
    const words = {
      School: 'Heron Lane School',
      'Your given name': 'Ada',
      'Your family name': 'Ruiz',
      'Sign-in name': 'ada',
      Password: 'a good long one',
    };
    for (const [label, text] of Object.entries(words)) await first.getByLabel(label, { exact: true }).fill(text);
    await first.getByRole('button', { name: 'Make the first administrator' }).click();
    await expect(first.getByRole('heading', { name: 'People' })).toBeVisible();
    expect((await first.request.get(`${empty.url}/api/demo/people`)).status()).toBe(404);
    expect(
      (
        await first.request.post(`${empty.url}/api/first-administrator`, {
          data: {
            ...{ school: 'x', timeZone: 'UTC', givenName: 'x', familyName: 'x', name: 'xx', password: 'xxxxxxxxxxx' },
          },
        })
      ).status(),
    ).toBe(409);
    await sound(first, 'people, empty school');
    await first.context().close();
  } finally {
    await empty.remove();
  }
});
