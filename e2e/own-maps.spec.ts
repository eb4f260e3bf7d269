import { readFileSync } from 'node:fs';
import sharp from 'sharp';
import { expect, enter, MapDesk, test } from './school';

/** A small drawing, as a file from the desktop. */
const DRAWING = Buffer.from(
  '<svg xmlns="http://www.w3.org/2000/svg" width="60" height="40"><script>alert(1)</script><rect width="60" height="40" fill="#8a5a00"/></svg>',
);

test('a map of one’s own: begun, enriched from the desktop, spelt, read as an outline, printed; kept, copied, taken elsewhere', async ({
  browser,
  school,
}) => {
  test.setTimeout(300_000);
  const page = await enter(browser, school, 'bastian');
  const { keyboard } = page;
  const desk = new MapDesk(page);
  const palette = async (words: string): Promise<void> => {
    await keyboard.press('Control+k');
    await page.getByRole('combobox').fill(words);
    await keyboard.press('Enter');
  };
  await test.step('begun in a folder, drawn on at once, saved without being asked', async () => {
    await page.getByRole('link', { name: 'Own maps', exact: true }).click();
    await expect(page.getByText('Nobody sees them but you, and those you share them with.')).toBeVisible();
    await page.getByRole('button', { name: 'New map' }).click();
    await page.getByLabel('Title').fill('Storms at sea');
    await page.getByRole('button', { name: 'Begin' }).click();
    await desk.canvas.focus();
    await keyboard.press('Insert');
    await keyboard.type('Strom');
    await keyboard.press('Enter');
    await keyboard.press('Tab');
    await keyboard.type('Waves');
    await keyboard.press('Enter');
    await keyboard.type('raises');
    await keyboard.press('Enter');
    await expect(desk.link('Strom', 'Waves')).toHaveCount(1);
    await desk.saved();
  });
  await test.step('a picture dropped on a topic is judged, drawn anew and put into it; another file stands beside it', async () => {
    const drop = (name: string, type: string, content: Buffer, on: string): Promise<void> =>
      desk.topic(on).evaluate(
        (target, [called, kind, text]) => {
          const bytes = Uint8Array.from(atob(text), (c) => c.charCodeAt(0));
          const data = new DataTransfer();
          data.items.add(new File([bytes], called, { type: kind }));
          const { x, y, width, height } = target.getBoundingClientRect();
          const at = { clientX: x + width / 2, clientY: y + height / 2, bubbles: true, cancelable: true };
          target.dispatchEvent(new DragEvent('dragover', { ...at, dataTransfer: data }));
          target.dispatchEvent(new DragEvent('drop', { ...at, dataTransfer: data }));
        },
        [name, type, content.toString('base64')] as const,
      );
    await drop('landing.svg', 'image/svg+xml', DRAWING, 'Waves');
    await expect(desk.topic('Waves').locator('image')).toHaveCount(1);
    const href = (await desk.topic('Waves').locator('image').getAttribute('href'))!;
    const answer = await page.request.get(school.url + href);
    expect(answer.headers()['content-type']).toBe('image/png');
    await drop('notes.html', 'text/html', Buffer.from('<script>alert(1)</script>'), 'Waves');
    await desk.topic('Waves').click();
    await expect(page.getByTestId('note-card')).toContainText('notes.html');
    await drop('what.zip', 'application/zip', Buffer.from('504b0304140000000000', 'hex'), 'Waves');
    await expect(page.getByTestId('refusal')).toContainText('Files of this sort are not taken');
    await page.getByRole('button', { name: 'Good' }).click();
  });
  await test.step('pictures are carried from the dialog to the map, one after the other; one in a topic is pulled larger', async () => {
    const { mouse } = page;
    const middle = async (of: ReturnType<typeof page.locator>): Promise<[number, number]> => {
      const { x, y, width, height } = (await of.boundingBox())!;
      return [x + width / 2, y + height / 2];
    };
    const carry = async (name: string, to: [number, number]): Promise<void> => {
      const picture = page.getByRole('option', { name, exact: true }).first();
      await picture.scrollIntoViewIfNeeded();
      await mouse.move(...(await middle(picture)));
      await mouse.down();
      await mouse.move(...to, { steps: 8 });
      await expect(page.locator('body[data-carrying]')).toHaveCount(1);
      await mouse.move(to[0] + 1, to[1]);
      await mouse.up();
      await expect(page.locator('body[data-carrying]')).toHaveCount(0);
    };
    const onto = await middle(desk.topic('Strom'));
    await keyboard.press('Alt+i');
    await page.getByRole('searchbox', { name: 'Look for a picture by word' }).pressSequentially('closed umbrella');
    await carry('Closed umbrella', onto);
    await carry('Closed umbrella', [onto[0] + 260, onto[1]]);
    await expect(desk.topic('Strom').locator('image')).toHaveCount(1);
    await expect(page.locator('[data-picture]')).toHaveCount(1);
    await page.getByRole('group', { name: 'Where from' }).getByText('Yours').click();
    await page.getByRole('option', { name: 'landing.svg' }).click();
    await page.getByRole('button', { name: 'Take it out of yours' }).click();
    await expect(page.getByRole('option')).toHaveCount(0);
    await page.getByRole('button', { name: 'Put it back' }).click();
    await expect(page.getByRole('option', { name: 'landing.svg' })).toHaveCount(1);
    await page.getByRole('button', { name: 'Take it out of yours' }).click();
    await expect(page.getByText('Maps that show it keep it.')).toBeVisible();
    await keyboard.press('Escape');
    await expect(desk.topic('Waves').locator('image')).toHaveCount(1);
    await desk.topic('Strom').click();
    const widthOf = async (): Promise<number> => (await desk.topic('Strom').locator('image').boundingBox())!.width;
    const before = await widthOf();
    const grip = page.locator('[data-grip=picture]');
    const from = await middle(grip);
    await mouse.move(...from);
    await mouse.down();
    await mouse.move(from[0] + 40, from[1] + 40, { steps: 4 });
    await mouse.up();
    await expect.poll(widthOf).toBeGreaterThan(before + 25);
    await keyboard.press('Control+z');
    await expect.poll(widthOf).toBe(before);
  });
  await test.step('its legend is changed, and what is drawn follows; a version is named and gone back to', async () => {
    const shapeOf = (): Promise<string | null> => desk.topic('Waves').locator('path').first().getAttribute('d');
    const before = await shapeOf();
    await palette('change the legend');
    await page.getByRole('button', { name: 'Looks of Idea' }).click();
    await page.getByRole('button', { name: 'hexagon' }).click();
    await keyboard.press('Escape');
    await page.getByRole('textbox', { name: 'Name of this kind', exact: true }).first().selectText();
    await keyboard.type('Thought');
    await page.getByRole('button', { name: 'Keep' }).click();
    // The map is opened anew with it.
    await expect(page.locator('li[title^="Thought"]')).toBeVisible();
    await expect.poll(shapeOf).not.toBe(before);
    await desk.saved();
    await desk.canvas.focus();
    await palette('versions');
    await page.getByLabel('Name the map as it is now').pressSequentially('All of them thoughts');
    await keyboard.press('Enter');
    await expect(page.getByRole('list', { name: 'Versions' }).getByText('All of them thoughts')).toBeVisible();
    await keyboard.press('Escape');
    await desk.topic('Waves').click();
    await keyboard.press('Delete');
    await expect(desk.topic('Waves')).toHaveCount(0);
    await palette('versions');
    await page.getByRole('list', { name: 'Versions' }).getByText('All of them thoughts').click();
    await page.getByRole('button', { name: 'Go back to this' }).click();
    await expect(desk.topic('Waves')).toHaveCount(1);
    await desk.saved();
  });
  await test.step('a word the dictionary does not know is found, and written otherwise when asked', async () => {
    await palette('spelling');
    await page.getByRole('button', { name: 'What might Strom be?' }).click();
    await page.getByRole('button', { name: 'Storm', exact: true }).click();
    await expect(page.getByText('Every word of yours is one that the dictionary knows.')).toBeVisible();
    await keyboard.press('Escape');
    await expect(desk.topic('Storm')).toHaveCount(1);
  });
  await test.step('the outline is read and saved; on paper it fits, and some of its words are left out', async () => {
    await page.getByRole('button', { name: 'Outline', exact: true }).click();
    await expect(page.getByTestId('outline')).toContainText('raises');
    const saving = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as text' }).click();
    const text = readFileSync(await (await saving).path(), 'utf8');
    expect(text).toContain('## Storm');
    expect(text).toContain('- *raises* Waves');
    const docx = page.waitForEvent('download', { timeout: 90_000 });
    await page.getByRole('button', { name: 'Save for a word processor' }).click();
    expect(
      readFileSync(await (await docx).path())
        .subarray(0, 2)
        .toString(),
    ).toBe('PK');
    await page.getByRole('button', { name: 'Map', exact: true }).click();
    await keyboard.press('Control+p');
    await expect(page.getByText(/It fits: the smallest letters are/)).toBeVisible();
    await page.getByLabel('Words of topics').selectOption('all');
    await expect(page.getByTestId('paper')).toContainText('Words to choose from:');
    await keyboard.press('Escape');
  });
  await test.step('it is saved as a file: for another program by the page, as a picture by the server; what has no room there is said', async () => {
    const savedAs = async (format: string): Promise<{ name: string; content: Buffer }> => {
      await palette('as a file');
      // By keys: the chosen one has the focus, and arrows choose the next.
      await expect(page.getByRole('radio', { name: 'PDF .pdf' })).toBeFocused();
      const wanted = page.getByRole('radio', { name: format });
      for (let presses = 0; presses < 20 && !(await wanted.isChecked()); presses++) await keyboard.press('ArrowDown');
      await expect(page.getByTestId('dropped')).toContainText(
        format === 'GraphML .graphml' ? 'room for all' : 'Not in it:',
      );
      const saving = page.waitForEvent('download', { timeout: 90_000 });
      await keyboard.press('Enter');
      const file = await saving;
      await expect(page.getByRole('dialog')).toHaveCount(0);
      return { name: file.suggestedFilename(), content: readFileSync(await file.path()) };
    };
    const graph = await savedAs('GraphML .graphml');
    expect(graph.name).toMatch(/^Storms at sea, .*\d{4}-\d\d-\d\d\.graphml$/);
    expect(graph.content.toString()).toContain('>raises</data>');
    const picture = await sharp((await savedAs('Picture .png')).content).metadata();
    expect(picture.width).toBeGreaterThan(100);
  });
  await test.step('a page drawn on paper is looked over, straightened and laid under the map, where no hand moves it', async () => {
    await palette('drawn on paper');
    const { width } = page.viewportSize()!;
    expect(width).toBe(1280);
    const photo = await page.evaluate(() => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [400, 300];
      const pen = canvas.getContext('2d')!;
      pen.fillStyle = '#e6e2d8';
      pen.fillRect(0, 0, 400, 300);
      pen.fillStyle = '#1e2846';
      for (let y = 20; y < 280; y += 30) pen.fillRect(30, y, 300, 3);
      return canvas.toDataURL('image/png').split(',')[1]!;
    });
    await page
      .locator('input[type=file]')
      .first()
      .setInputFiles({ name: 'page.png', mimeType: 'image/png', buffer: Buffer.from(photo, 'base64') });
    await expect(page.getByText(/It has few pixels/)).toBeVisible();
    await page
      .locator('input[type=file]')
      .first()
      .setInputFiles({ name: 'broken.pdf', mimeType: 'application/pdf', buffer: Buffer.from('%PDF-1.4 nonsense') });
    await expect(page.getByRole('alert').filter({ hasText: 'cannot be read' })).toBeVisible();
    await page.getByRole('button', { name: 'Lay it under the map' }).click();
    const pin = page.getByRole('button', { name: 'A page drawn on paper: lies still; take hold of it' });
    await expect(pin).toBeVisible();
    await expect(page.locator('[data-picture]')).toHaveCount(2);
    await desk.saved();
  });
  await test.step('in its place it is found by a word on it, copied, put into a folder, and one of two is deleted', async () => {
    await page.getByRole('link', { name: 'Own maps', exact: true }).first().click();
    await page.getByRole('searchbox', { name: 'Look for a map' }).fill('waves');
    await expect(page.getByRole('link', { name: 'Storms at sea' })).toHaveCount(1);
    await page.getByRole('button', { name: 'What to do with Storms at sea' }).click();
    await page.getByRole('menuitem', { name: 'Make a copy' }).click();
    await expect(page.getByRole('link', { name: 'Storms at sea (copy)' })).toHaveCount(1);
    await page.getByRole('button', { name: 'What to do with Storms at sea', exact: true }).click();
    await page.getByRole('menuitem', { name: 'Into a folder …' }).click();
    await page.getByRole('combobox', { name: 'Folder' }).fill('Weather');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await page.getByRole('button', { name: 'Weather' }).click();
    await expect(page.getByRole('link', { name: /Storms at sea/ })).toHaveCount(1);
    await page.getByRole('button', { name: 'All', exact: true }).click();
    await page.getByRole('button', { name: 'What to do with Storms at sea (copy)' }).click();
    await page.getByRole('menuitem', { name: 'Delete …' }).click();
    await page.getByRole('button', { name: 'Delete it' }).click();
    await expect(page.getByRole('link', { name: 'Storms at sea (copy)' })).toHaveCount(0);
  });
  await test.step('a table of another program becomes a map: columns are put right, it is seen before it is made, and nothing is made of a file that cannot be read', async () => {
    await page.getByRole('button', { name: 'Bring in a file' }).click();
    const choose = (name: string, content: string): Promise<void> =>
      page
        .getByLabel(/Choose (a|another) file/)
        .setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(content) });
    await choose('broken.graphml', '<graphml>');
    await expect(page.getByRole('alert')).toContainText('no well-formed XML');
    await choose('ferry.csv', 'Wo;Was;Wohin;Notiz\nQuay;leads to;Deck;x\nDeck;carries;Cars;y\nDeck;;Deck;z\n');
    await expect(page.getByRole('alert')).toContainText('has 4 columns');
    await page.getByRole('combobox', { name: /^From/ }).selectOption({ label: '1 · Wo' });
    await page.getByRole('combobox', { name: /^To/ }).selectOption({ label: '3 · Wohin' });
    await page.getByRole('combobox', { name: /^Phrase/ }).selectOption({ label: '2 · Was' });
    await expect(page.getByTestId('understood')).toHaveText('3 topics and 2 links');
    await expect(page.getByText('a link from Deck to itself: left out')).toBeVisible();
    await page.getByRole('button', { name: 'Make the map' }).click();
    await expect(desk.topic('Quay')).toBeVisible();
    await expect(desk.link('Deck', 'Cars')).toHaveCount(1);
    // Beside what is drawn, an outline of another program's; the notes it has come with it.
    await palette('bring in a file');
    await page.getByLabel('Choose a file').setInputFiles({
      name: 'tides.md',
      mimeType: 'text/markdown',
      buffer: Buffer.from('# Tides\n\n- *come from the* Moon\n  - *and the* Sun\n\n    Half as strong.'),
    });
    await page.getByRole('button', { name: 'Lay it beside what is drawn' }).click();
    await expect(desk.link('Tides', 'Moon')).toHaveCount(1);
    await expect(desk.topic('Quay')).toBeVisible();
    await desk.saved();
  });
  await page.context().close();

  await test.step('a teacher takes one of theirs as reference, told by the names of kinds', async () => {
    const teacher = await enter(browser, school, 'tobias');
    await teacher.getByRole('link', { name: 'Own maps', exact: true }).click();
    await teacher.getByRole('button', { name: 'New map' }).click();
    await teacher.getByLabel('Title').fill('My rivers');
    await teacher.getByLabel('Begin with').selectOption({ label: 'Story analysis' });
    await teacher.getByRole('button', { name: 'Begin' }).click();
    await expect(teacher.locator('[data-topic="The story"]')).toBeVisible();
    await expect(teacher.getByTestId('save-state')).toHaveText('Saved');
    await teacher.goto(`${school.url}/assignments`);
    await teacher
      .getByRole('link', { name: /What do we know about rivers/ })
      .first()
      .click();
    await teacher.getByRole('button', { name: 'Take one of your maps …' }).last().click();
    await teacher.getByRole('button', { name: /My rivers/ }).click();
    const reference = teacher.locator('#reference').getByText('The story');
    await expect(reference).toBeVisible();
    // What was drawn there before is not lost.
    await teacher.keyboard.press('Control+z');
    await expect(reference).toHaveCount(0);
    await teacher.context().close();
  });
});
