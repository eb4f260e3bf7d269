import mysql from 'mysql2/promise';
import { openStoredReport, readAssignment, reportFile, understood } from '@ichnograph/core';
import type { Report } from '@ichnograph/core';
import type { Pile, SubmissionDetail } from '@ichnograph/contract';
import { Stack } from '../../../scripts/lib/stack.mjs';
import { SoundBase1700000000002 } from '../src/database/migrations/2-sound-base.js';
import { Person } from './setup/client.js';

const stack = new Stack('upgrade', { env: { ICHNOGRAPH_LOG: 'silent' } }) as {
  start: () => Promise<unknown>;
  remove: () => Promise<void>;
  url: string;
  settings: Record<string, string>;
  killServer: () => Promise<void>;
  startServer: () => Promise<void>;
};
beforeAll(() => stack.start(), 180_000);
afterAll(() => stack.remove(), 180_000);

const connection = (): Promise<mysql.Connection> =>
  mysql.createConnection({
    socketPath: stack.settings.ICHNOGRAPH_DB_SOCKET!,
    user: stack.settings.ICHNOGRAPH_DB_USER!,
    password: stack.settings.ICHNOGRAPH_DB_PASSWORD!,
    database: stack.settings.ICHNOGRAPH_DB_NAME!,
  });

/** A report as it was stored before: with its sentences, as a file has it. */
function asBefore({ report, assignment }: SubmissionDetail): unknown {
  return reportFile(openStoredReport(report), understood(readAssignment(assignment)));
}

test('data from before is upgraded at the next start: the same figures in the pile, the same words in every report', async () => {
  const maren = await Person.signedIn('maren', stack.url);
  const { publicationId } = await maren.teacherTask();
  const pile = async (): Promise<Pile> => (await maren.get<Pile>(`publications/${publicationId}/pile`)).body;
  const handedIn = (await pile()).entries.flatMap(({ submission }) => submission?.id ?? []);
  expect(handedIn.length).toBeGreaterThan(5);
  const details = await Promise.all(
    handedIn.map(async (id) => (await maren.get<SubmissionDetail>(`submissions/${id}`)).body),
  );
  const before = await pile();
  await stack.killServer();

  const database = await connection();
  for (const detail of details)
    await database.query('UPDATE submission SET report = ? WHERE id = ?', [
      JSON.stringify(asBefore(detail)),
      detail.id,
    ]);
  await new SoundBase1700000000002().down({ query: (sql: string) => database.query(sql) } as never);
  await database.query("DELETE FROM migrations WHERE name = 'SoundBase1700000000002'");
  await database.end();
  await stack.startServer();

  expect(await pile()).toEqual(before);
  for (const detail of details) {
    const { body } = await maren.get<SubmissionDetail>(`submissions/${detail.id}`);
    const [was, is] = [openStoredReport(detail.report), openStoredReport(body.report)];
    const file = (report: Report) => reportFile(report, understood(readAssignment(detail.assignment)));
    expect(file(is).results.map(({ message, evidence }) => [message, evidence.map((one) => one.message)])).toEqual(
      file(was).results.map(({ message, evidence }) => [message, evidence.map((one) => one.message)]),
    );
    expect([is.earned, is.outOf]).toEqual([was.earned, was.outOf]);
  }
});
