import { randomUUID } from 'node:crypto';
import mysql from 'mysql2/promise';
// @ts-expect-error the scripts of this project are plain JavaScript
import { Stack } from '../../scripts/lib/stack.mjs';
import { line, ms, quantile, times, title } from './measure.js';

interface RunningStack {
  start: () => Promise<unknown>;
  remove: () => Promise<void>;
  url: string;
  settings: Record<string, string>;
}

const STUDENTS = 120;
const SUBMISSIONS = 5;
const ROUNDS = 60;

/** How long the pile and Today of a large class take beside those of a class with nobody in it. */
export async function benchPile(): Promise<void> {
  const stack = new (Stack as new (name: string, options: object) => RunningStack)('bench', {
    env: { ICHNOGRAPH_LOG: 'silent' },
  });
  await stack.start();
  try {
    const database = await mysql.createConnection({
      socketPath: stack.settings.ICHNOGRAPH_DB_SOCKET,
      user: stack.settings.ICHNOGRAPH_DB_USER,
      password: stack.settings.ICHNOGRAPH_DB_PASSWORD,
      database: stack.settings.ICHNOGRAPH_DB_NAME,
    });
    const [full, empty] = [await classOf(database, STUDENTS), await classOf(database, 0)];
    await database.end();
    const teachers = [await signedIn(stack.url, full.teacher), await signedIn(stack.url, empty.teacher)] as const;
    title(`A class of ${STUDENTS} with ${SUBMISSIONS} submissions each, beside one with nobody in it`);
    for (const [what, path] of [
      ['the pile', (id: string) => `publications/${id}/pile`],
      ['Today', () => 'today/teacher'],
    ] as const) {
      const [of, ofNone]: [number[], number[]] = [[], []];
      // In turn, so that a machine that is slow for a while is slow for both.
      for (let round = 0; round < ROUNDS; round++) {
        of.push(await teachers[0](path(full.publication)));
        ofNone.push(await teachers[1](path(empty.publication)));
      }
      const [large, none] = [quantile(of, 0.5), quantile(ofNone, 0.5)];
      line(`${what}: p50 · of an empty class`, `${ms(large)} · ${ms(none)}`);
      line(`${what}: ratio`, times(large / none), 'wanted: at most 3');
    }
  } finally {
    await stack.remove();
  }
}

/** A class with its own teacher, given the demo's assignment; its works are copies of one that was handed in. */
async function classOf(
  database: mysql.Connection,
  students: number,
): Promise<{ teacher: string; publication: string }> {
  const row = async <T>(sql: string): Promise<T> => ((await database.query(sql)) as unknown as [T[]])[0][0]!;
  const { hash } = await row<{ hash: string }>('SELECT password_hash AS hash FROM account LIMIT 1');
  const revision = await row<{ id: string; assignment_id: string }>('SELECT id, assignment_id FROM revision LIMIT 1');
  const sample = await row<{ id: string }>('SELECT id FROM submission LIMIT 1');
  const [classId, publication] = [randomUUID(), randomUUID()];
  const person = async (name: string, role: string, part: string): Promise<string> => {
    const id = randomUUID();
    await database.query('INSERT INTO account VALUES (?, ?, ?, ?, ?, ?, NOW())', [id, name, name, 'Bench', role, hash]);
    await database.query('INSERT INTO enrolment VALUES (?, ?, ?)', [classId, id, part]);
    return id;
  };
  await database.query('INSERT INTO school_class VALUES (?, ?)', [classId, `Bench ${students}`]);
  const teacher = `bench-${students}`;
  await person(teacher, 'teacher', 'teacher');
  await database.query(
    'INSERT INTO publication (id, assignment_id, revision_id, class_id, may_hand_in_again, created_at) VALUES (?, ?, ?, ?, 1, NOW())',
    [publication, revision.assignment_id, revision.id, classId],
  );
  for (let i = 0; i < students; i++) {
    const [student, work] = [await person(`bench-${students}-${i}`, 'student', 'student'), randomUUID()];
    await database.query("INSERT INTO work VALUES (?, ?, ?, 'handed in', NOW())", [work, publication, revision.id]);
    await database.query('INSERT INTO work_member VALUES (?, ?, ?)', [work, student, publication]);
    for (let number = 1; number <= SUBMISSIONS; number++)
      await database.query(
        `INSERT INTO submission (id, work_id, revision_id, number, map, report, left_out, note, handed_in_by, handed_in_at, late, earned, out_of, extra, flags)
         SELECT ?, ?, ?, ?, map, report, 0, '', ?, NOW(), 0, earned, out_of, extra, flags FROM submission WHERE id = ?`,
        [randomUUID(), work, revision.id, number, student, sample.id],
      );
  }
  return { teacher, publication };
}

/** @returns asks for an address as that person, and answers with the milliseconds it took */
async function signedIn(url: string, name: string): Promise<(path: string) => Promise<number>> {
  const response = await fetch(`${url}/api/demo/sign-in/${name}`, { method: 'POST' });
  const cookie = response.headers.getSetCookie()[0]!.split(';')[0]!;
  return async (path) => {
    const begun = performance.now();
    await (await fetch(`${url}/api/${path}`, { headers: { cookie } })).json();
    return performance.now() - begun;
  };
}
