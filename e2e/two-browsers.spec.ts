import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { openStoredReport, readAssignment, reportFile, understood } from '@ichnograph/core';
import type { ReportFile } from '@ichnograph/core';
import { expect, enter, MapDesk, test } from './school';

interface Frozen {
  map: { topics: { id: string }[]; title: string };
  assignment: object;
  report: unknown;
  members: { id: string }[];
  due: string;
  handedInAt: string;
}

/** The report as a file holds it, with the sentences a person reads. */
const fileOf = ({ report, assignment }: Frozen): ReportFile =>
  reportFile(openStoredReport(report), understood(readAssignment(assignment)));

test('two browsers on one map end with the same map, and browser, server and command line report the same to the last flag', async ({
  browser,
  school,
}) => {
  const [one, other] = [await enter(browser, school, 'freya'), await enter(browser, school, 'freya')];
  const a = await MapDesk.begin(one);
  await other.reload();
  const b = await MapDesk.goOn(other);
  const box = (await a.canvas.boundingBox())!;
  await Promise.all([
    (async () => {
      await a.makeByDoubleClick('Loads', { x: box.x + 120, y: box.y + 50 });
      await a.linkByKeys('Bridge', 'Loads', 'has to carry');
      await a.linkByKeys('Loads', 'Live load', 'come and go as');
    })(),
    (async () => {
      await b.makeByDoubleClick('Shapes', { x: box.x + 600, y: box.y + 50 });
      await b.linkByKeys('Bridge', 'Shapes', 'takes one of several');
      await b.linkByKeys('Shapes', 'Arch', '');
    })(),
  ]);
  await b.topic('Deck').click();
  await other.keyboard.press('Alt+ArrowDown');
  for (const desk of [a, b]) {
    await expect(desk.topic('Loads')).toBeVisible();
    await expect(desk.topic('Shapes')).toBeVisible();
    await expect(desk.page.locator('[data-link]')).toHaveCount(4);
    await desk.saved();
  }
  const textOf = async ({ page }: MapDesk): Promise<string[]> => {
    await page.getByRole('button', { name: 'Sentences', exact: true }).click();
    const lines = await page.getByTestId('sentences').getByRole('listitem').allInnerTexts();
    await page.getByRole('button', { name: 'Map', exact: true }).click();
    return lines;
  };
  expect(await textOf(a)).toEqual(await textOf(b));
  // What the server alone can say, it says once the map is saved.
  for (const desk of [a, b]) await expect(desk.checks.getByText('Looked at as soon as it is saved.')).toHaveCount(0);
  const messages = (desk: MapDesk): Promise<string[]> => desk.checks.getByRole('listitem').allInnerTexts();
  await expect(async () => expect(await messages(a)).toEqual(await messages(b))).toPass();
  const shown = await messages(a);

  await one.getByRole('button', { name: 'Hand in …' }).click();
  await one.getByRole('dialog').getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(one.getByRole('heading', { level: 1 })).toContainText('Receipt');
  const id = one.url().split('/').at(-1)!;
  const frozen = (await (await one.request.get(`${school.url}/api/submissions/${id}`)).json()) as Frozen;
  expect(fileOf(frozen).results.map(({ message }) => message)).toEqual(shown.map((text) => text.split('\n').at(-1)));

  // The command line needs the answers, which only the teacher is sent.
  const teacher = await enter(browser, school, 'maren');
  const whole = (await (await teacher.request.get(`${school.url}/api/submissions/${id}`)).json()) as Frozen;
  await teacher.context().close();
  const folder = mkdtempSync(path.join(tmpdir(), 'ichnograph-e2e-'));
  try {
    const files = {
      'assignment.json': whole.assignment,
      'map.json': frozen.map,
      'context.json': {
        format: 'ichnograph-context',
        version: 1,
        members: frozen.members.map((member) => member.id),
        due: frozen.due,
        handedIn: frozen.handedInAt,
      },
    };
    for (const [name, value] of Object.entries(files)) writeFileSync(path.join(folder, name), JSON.stringify(value));
    const printed = execFileSync(
      process.execPath,
      [
        'scripts/cli.mjs',
        'check',
        path.join(folder, 'assignment.json'),
        path.join(folder, 'map.json'),
        '--context',
        path.join(folder, 'context.json'),
        '--format',
        'json',
      ],
      { encoding: 'utf8', cwd: path.resolve(import.meta.dirname, '..'), env: { ...process.env, INIT_CWD: '' } },
    );
    expect((JSON.parse(printed) as unknown[])[0]).toEqual(JSON.parse(JSON.stringify(fileOf(whole))));
  } finally {
    rmSync(folder, { recursive: true });
  }
  await one.context().close();
  await other.context().close();
});
