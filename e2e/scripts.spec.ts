import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { enter, expect, MapDesk, test } from './school';

/** A topic in each of ten scripts, and two in ours by whose places on both the others are found. */
const [FIRST, LAST] = ['Northernmost', 'Southernmost'];
const TOPICS = [
  FIRST,
  'Łódź, façade → CO₂',
  'Ελληνική φωτοσύνθεση',
  'Пищевая цепь экосистемы',
  'מפת נושאים (12) של הכיתה',
  'الشبكة الغذائية في ١٢٣ بحيرة',
  'प्रकाश संश्लेषण',
  'การสังเคราะห์ด้วยแสงของพืช',
  '植物通过光合作用制造养分',
  '光合作用は植物のはたらき',
  '광합성은 빛을 이용한다',
  LAST,
];
/** Picture dots to a CSS pixel. */
const DENSE = 3;
/** How far ink may be off, picture dots: half a CSS pixel and the edge of a letter. */
const OFF = 2;

interface Spot {
  x: number;
  y: number;
}
interface Picture {
  width: number;
  height: number;
  isInk: (x: number, y: number) => boolean;
}

async function pictureOf(content: Buffer | string): Promise<Picture> {
  const { data, info } = await sharp(content)
    .flatten({ background: '#fff' })
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const { width, height } = info;
  const isInside = (x: number, y: number): boolean => x >= 0 && y >= 0 && x < width && y < height;
  return { width, height, isInk: (x, y) => isInside(x, y) && data[y * width + x]! < 128 };
}

/** The share of the ink within a box of one picture that has ink near the same place of the other. */
function foundAgain(one: Picture, other: Picture, box: DOMRect, shift: (at: Spot) => Spot): number {
  let [ink, found] = [0, 0];
  for (let y = Math.floor(box.y); y < box.y + box.height; y++)
    for (let x = Math.floor(box.x); x < box.x + box.width; x++) {
      if (!one.isInk(x, y)) continue;
      ink++;
      const there = shift({ x, y });
      const [cx, cy] = [Math.round(there.x), Math.round(there.y)];
      const steps = Array.from({ length: 2 * OFF + 1 }, (_, i) => i - OFF);
      if (steps.some((dy) => steps.some((dx) => other.isInk(cx + dx, cy + dy)))) found++;
    }
  return ink === 0 ? 0 : found / ink;
}

/** A page in PDF as a reader of its own shows it. */
class Paper {
  private readonly said: string;
  constructor(
    private readonly folder: string,
    private readonly name: string,
    content: Buffer,
  ) {
    writeFileSync(this.file, content);
    this.said = execFileSync('pdftotext', ['-bbox', this.file, '-']).toString();
  }

  private get file(): string {
    return path.join(this.folder, `${this.name}.pdf`);
  }

  /** Where a word stands, points. */
  at(word: string): Spot {
    const [, x, y] = new RegExp(`xMin="([\\d.]+)" yMin="([\\d.]+)"[^>]*>${word}<`).exec(this.said)!;
    return { x: Number(x), y: Number(y) };
  }

  /** @param scale dots to a point */
  async drawn(scale: number): Promise<Picture> {
    const to = path.join(this.folder, this.name);
    execFileSync('pdftoppm', ['-r', String(72 * scale), '-png', '-singlefile', this.file, to]);
    return pictureOf(`${to}.png`);
  }
}
const between = (one: Spot, other: Spot): number => Math.hypot(one.x - other.x, one.y - other.y);

test('a map in ten scripts is the same on the screen and on paper, dot for dot', async ({ browser, school }) => {
  test.setTimeout(180_000);
  const page = await enter(browser, school, 'amara', { deviceScaleFactor: DENSE });
  const desk = await MapDesk.begin(page);
  for (const text of TOPICS) {
    await desk.canvas.focus();
    await page.keyboard.press('Insert');
    await page.keyboard.insertText(text);
    await page.keyboard.press('Enter');
    await expect(desk.topic(text)).toBeVisible();
    await page.keyboard.press('Escape');
  }
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox').fill('tidy');
  await page.keyboard.press('Enter');
  await desk.saved();
  await page.keyboard.press('Escape');
  // A font is loaded when it is needed; what was drawn before is drawn again.
  for (const text of TOPICS)
    await desk
      .topic(text)
      .locator('text')
      .first()
      .evaluate((line, words) => {
        const { fontSize, fontFamily } = getComputedStyle(line);
        return document.fonts
          .load(`${fontSize} ${fontFamily}`, words)
          .then(() => document.fonts.ready.then(() => null));
      }, text);
  await page.getByRole('button', { name: 'Fit', exact: true }).click();
  await page.mouse.move(5, 5);

  const wordsOf = (text: string): Promise<DOMRect> =>
    desk.topic(text).evaluate((topic) => {
      const boxes = [...topic.querySelectorAll('text')].map((line) => line.getBoundingClientRect());
      const [left, top] = [Math.min(...boxes.map((box) => box.left)), Math.min(...boxes.map((box) => box.top))];
      const right = Math.max(...boxes.map((box) => box.right));
      const bottom = Math.max(...boxes.map((box) => box.bottom));
      return new DOMRect(left, top, right - left, bottom - top).toJSON() as DOMRect;
    });
  const allBoxes = async (): Promise<Map<string, DOMRect>> => {
    const found = new Map<string, DOMRect>();
    for (const text of TOPICS) {
      const { x, y, width, height } = await wordsOf(text);
      found.set(text, { x: x * DENSE, y: y * DENSE, width: width * DENSE, height: height * DENSE } as DOMRect);
    }
    return found;
  };
  // Topics glide to their new places: until they are there.
  let boxes = await allBoxes();
  await expect
    .poll(async () => {
      const before = JSON.stringify([...boxes]);
      boxes = await allBoxes();
      return JSON.stringify([...boxes]) === before;
    })
    .toBe(true);
  const screen = await pictureOf(await page.screenshot({ scale: 'device' }));
  const whole = await desk.canvas.evaluate((canvas, dense) => {
    const all = [...canvas.querySelectorAll('[data-topic]')].map((topic) => topic.getBoundingClientRect());
    const [left, top] = [Math.min(...all.map((box) => box.left)), Math.min(...all.map((box) => box.top))];
    const right = Math.max(...all.map((box) => box.right));
    const bottom = Math.max(...all.map((box) => box.bottom));
    return new DOMRect(left * dense, top * dense, (right - left) * dense, (bottom - top) * dense).toJSON() as DOMRect;
  }, DENSE);

  const folder = mkdtempSync(path.join(tmpdir(), 'scripts-'));
  await page.keyboard.press('Control+p');
  await expect(page.getByTestId('paper')).toBeVisible();
  const printed = new Paper(folder, 'printed', await page.pdf({ preferCSSPageSize: true }));
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'Hand in …' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Receipt');
  const [, submission] = /receipts\/([\w-]+)/.exec(page.url())!;
  const maren = await enter(browser, school, 'maren');
  const answer = await maren.request.get(`${school.url}/api/submissions/${submission}/paper?pages=one`);
  const served = new Paper(folder, 'served', await answer.body());
  // From where the two of ours stand, how dense paper has to be drawn to be as large as the screen.
  const [a, b] = [FIRST, LAST].map((word) => served.at(word));
  const [p, q] = [FIRST, LAST].map((text) => boxes.get(text)!);
  const scale = between(p!, q!) / between(a!, b!);
  const paper = await served.drawn(scale);
  // A reader of PDF and a browser reckon the upper edge of a line differently: by the first of ours it is found out by how much.
  const steps = Array.from({ length: 61 }, (_, i) => i - 30);
  const moved =
    (dy: number) =>
    ({ x, y }: Spot): Spot => ({ x: x - p!.x + a!.x * scale, y: y - p!.y + a!.y * scale + dy });
  const found = (dy: number): number => foundAgain(screen, paper, p!, moved(dy));
  const down = steps.reduce((best, dy) => (found(dy) > found(best) ? dy : best), 0);
  const shift = moved(down);
  const back = ({ x, y }: Spot): Spot => ({ x: x + p!.x - a!.x * scale, y: y + p!.y - a!.y * scale - down });
  for (const text of TOPICS) {
    const box = boxes.get(text)!;
    const there = foundAgain(screen, paper, box, shift);
    const corner = shift(box);
    const here = foundAgain(paper, screen, { ...box, ...corner, width: box.width, height: box.height }, back);
    if (there < 0.97 || here < 0.97) console.log(text, there.toFixed(3), here.toFixed(3));
    expect([text, there > 0.97 && here > 0.97]).toEqual([text, true]);
  }

  await test.step('and the same when the browser prints it', async () => {
    const [c, d] = [FIRST, LAST].map((word) => printed.at(word));
    const own = between(p!, q!) / between(c!, d!);
    const sheet = await printed.drawn(own);
    const there = ({ x, y }: Spot): Spot => ({ x: x - a!.x * scale + c!.x * own, y: y - a!.y * scale + c!.y * own });
    for (const text of TOPICS) {
      const box = boxes.get(text)!;
      const share = foundAgain(paper, sheet, { ...box, ...shift(box), width: box.width, height: box.height }, there);
      expect([text, share, share > 0.97]).toEqual([text, share, true]);
    }
  });

  await test.step('and the same as a drawing for other programs', async () => {
    const { map, assignment } = (await (
      await maren.request.get(`${school.url}/api/submissions/${submission}`)
    ).json()) as {
      map: object;
      assignment: { legend: object };
    };
    const sent = { as: 'svg', map: { ...map, legend: assignment.legend } };
    const drawn = await maren.request.post(`${school.url}/api/drawings`, {
      data: sent,
      headers: { origin: school.url },
      timeout: 90_000,
    });
    const context = await browser.newContext({ deviceScaleFactor: DENSE, viewport: { width: 1800, height: 1400 } });
    const other = await context.newPage();
    await other.setContent(`<body style="margin:0">${(await drawn.text()).replace(/^<\?xml[^>]*>/, '')}`);
    // The fonts it bears come when they are first drawn with: all of them, before anything is measured.
    await other.evaluate(() => Promise.all([...document.fonts].map((font) => font.load())));
    const ourWords = (word: string): Promise<Spot> =>
      other
        .locator('svg text', { hasText: word })
        .first()
        .evaluate((line) => {
          const { x, y } = line.getBoundingClientRect();
          return { x, y };
        });
    const dots = async (word: string): Promise<Spot> => {
      const { x, y } = await ourWords(word);
      return { x: x * DENSE, y: y * DENSE };
    };
    // As large as on the screen, told by the two of ours.
    const [first, last] = [await dots(FIRST), await dots(LAST)];
    await other.evaluate(
      (factor) => {
        const svg = document.querySelector('svg')!;
        const { width, height } = svg.getBoundingClientRect();
        svg.style.width = `${width * factor}px`;
        svg.style.height = `${height * factor}px`;
      },
      between(p!, q!) / between(first, last),
    );
    const now = await dots(FIRST);
    const file = await pictureOf(await other.screenshot({ scale: 'device', fullPage: true }));
    const there = ({ x, y }: Spot): Spot => ({ x: x - p!.x + now.x, y: y - p!.y + now.y });
    const back = ({ x, y }: Spot): Spot => ({ x: x + p!.x - now.x, y: y + p!.y - now.y });
    for (const text of TOPICS) {
      const box = boxes.get(text)!;
      const shares = [
        foundAgain(screen, file, box, there),
        foundAgain(file, screen, { ...box, ...there(box), width: box.width, height: box.height }, back),
      ];
      expect([text, shares, shares.every((share) => share > 0.97)]).toEqual([text, shares, true]);
    }
    // And all else of the map that is seen: shapes, lines, arrows. The screen has marks of the checks besides.
    expect(
      foundAgain(file, screen, { ...whole, ...there(whole), width: whole.width, height: whole.height }, back),
    ).toBeGreaterThan(0.97);
    await context.close();
  });
});
