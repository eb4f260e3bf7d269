import { randomUUID } from 'node:crypto';
import mysql from 'mysql2/promise';
// @ts-expect-error the scripts of this project are plain JavaScript
import { Stack } from '../../scripts/lib/stack.mjs';

interface RunningStack {
  start: () => Promise<unknown>;
  remove: () => Promise<void>;
  url: string;
  settings: Record<string, string>;
  server: { pid: number };
}

/** Runs something beside the made-up school, with a server and a database of its own. */
export async function besideSchool(
  work: (url: string, database: mysql.Connection, serverPid: number) => Promise<void>,
): Promise<void> {
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
    try {
      await work(stack.url, database, stack.server.pid);
    } finally {
      await database.end();
    }
  } finally {
    await stack.remove();
  }
}

export interface LargeClass {
  teacher: string;
  publication: string;
  students: { id: string; work: string }[];
}

/**
 * A class with its own teacher, given the demo's assignment; its works are copies of one that was handed in.
 * @param submissions of each student; none: their works are in progress
 */
export async function classOf(database: mysql.Connection, size: number, submissions: number): Promise<LargeClass> {
  const row = async <T>(sql: string): Promise<T> => ((await database.query(sql)) as unknown as [T[]])[0][0]!;
  const { hash } = await row<{ hash: string }>('SELECT password_hash AS hash FROM account LIMIT 1');
  const sample = await row<{ id: string; work_id: string; revision_id: string }>(
    'SELECT s.id, s.work_id, s.revision_id FROM submission s JOIN revision r ON r.id = s.revision_id ORDER BY LENGTH(r.body) DESC, s.id LIMIT 1',
  );
  const revision = await row<{ id: string; assignment_id: string }>(
    `SELECT id, assignment_id FROM revision WHERE id = '${sample.revision_id}'`,
  );
  const [classId, publication] = [randomUUID(), randomUUID()];
  const person = async (name: string, role: string, part: string): Promise<string> => {
    const id = randomUUID();
    await database.query(
      'INSERT INTO account (id, name, given_name, family_name, role, password_hash, created_at) VALUES (?, ?, ?, ?, ?, ?, NOW())',
      [id, name, name, 'Bench', role, hash],
    );
    await database.query('INSERT INTO enrolment VALUES (?, ?, ?)', [classId, id, part]);
    return id;
  };
  await database.query('INSERT INTO school_class (id, name) VALUES (?, ?)', [classId, `Bench ${size}`]);
  const teacher = `bench-${size}`;
  await person(teacher, 'teacher', 'teacher');
  await database.query(
    'INSERT INTO publication (id, assignment_id, revision_id, class_id, may_hand_in_again, created_at) VALUES (?, ?, ?, ?, 1, NOW())',
    [publication, revision.assignment_id, revision.id, classId],
  );
  const students: LargeClass['students'] = [];
  for (let i = 0; i < size; i++) {
    const [id, work] = [await person(`bench-${size}-${i}`, 'student', 'student'), randomUUID()];
    const state = submissions > 0 ? 'handed in' : 'in progress';
    await database.query(
      'INSERT INTO work (id, publication_id, revision_id, state, begun_at) VALUES (?, ?, ?, ?, NOW())',
      [work, publication, revision.id, state],
    );
    await database.query('INSERT INTO work_member VALUES (?, ?, ?)', [work, id, publication]);
    await copyDocument(database, `work:${sample.work_id}`, `work:${work}`);
    for (let number = 1; number <= submissions; number++)
      await database.query(
        `INSERT INTO submission (id, work_id, revision_id, number, map, report, left_out, note, handed_in_by, handed_in_at, late, earned, out_of, extra, flags)
         SELECT ?, ?, ?, ?, map, report, 0, '', ?, NOW(), 0, earned, out_of, extra, flags FROM submission WHERE id = ?`,
        [randomUUID(), work, revision.id, number, id, sample.id],
      );
    students.push({ id, work });
  }
  return { teacher, publication, students };
}

async function copyDocument(database: mysql.Connection, from: string, to: string): Promise<void> {
  await database.query('INSERT INTO live_document SELECT ?, compacted FROM live_document WHERE name = ?', [to, from]);
  await database.query(
    'INSERT INTO live_update (document_name, data) SELECT ?, data FROM live_update WHERE document_name = ? ORDER BY id',
    [to, from],
  );
}
