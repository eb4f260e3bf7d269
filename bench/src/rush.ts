import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { besideSchool, classOf } from './large-class.js';
import { line, ms, quantile, title } from './measure.js';

const STUDENTS = 300;
const WITHIN_MS = 60_000;

/** Whether everybody gets a receipt when three hundred hand in within the minute before a due time. */
export const benchRush = (): Promise<void> =>
  besideSchool(async (url, database) => {
    const { students } = await classOf(database, STUDENTS, 0);
    const cookies: string[] = [];
    for (const { id } of students) {
      const token = randomBytes(32).toString('base64url');
      const hash = createHash('sha256').update(token).digest('hex');
      await database.query('INSERT INTO session VALUES (?, ?, ?, NOW() + INTERVAL 1 DAY)', [randomUUID(), hash, id]);
      cookies.push(`ichnograph_session=${token}`);
    }
    title(`${STUDENTS} hand in within ${WITHIN_MS / 1000} s`);
    const took: number[] = [];
    const refused: string[] = [];
    await Promise.all(
      students.map(async ({ work }, i) => {
        await new Promise((resolve) => setTimeout(resolve, (i / STUDENTS) * WITHIN_MS));
        const begun = performance.now();
        const response = await fetch(`${url}/api/works/${work}/hand-in`, {
          method: 'POST',
          headers: { cookie: cookies[i]!, 'content-type': 'application/json', 'idempotency-key': randomUUID() },
          body: JSON.stringify({ client: 'nobody', count: 0, note: '' }),
        });
        if (!response.ok) refused.push(`${response.status} ${await response.text()}`);
        else took.push(performance.now() - begun);
      }),
    );
    line('receipts', `${took.length} of ${STUDENTS}`, 'wanted: all');
    for (const one of new Set(refused)) line('refused', one);
    if (took.length > 0) line('p50 · p99', `${ms(quantile(took, 0.5))} · ${ms(quantile(took, 0.99))}`);
  });
