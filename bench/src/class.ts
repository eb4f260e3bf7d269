import { readFileSync } from 'node:fs';
import { checkMap, readClass, writeMap } from '@ichnograph/core';
import type { Assignment, TopicMap } from '@ichnograph/core';
import { Piscina } from 'piscina';
import { besideSchool, classOf } from './large-class.js';
import { assignmentFor, mapOf } from './maps.js';
import { line, ms, quantile, times, title } from './measure.js';

const [TOPICS, AGAIN, STUDENTS, PAPERS] = [60, 1000, 120, 30];
const WORKERS = new URL('../../apps/server/dist/workers/', import.meta.url).href;
const WORKER = `${WORKERS}worker.js`;
const PROBES = 200;
const MIB = 2 ** 20;

/** Class-wide work: how much more two workers do than one, what it holds in memory, and what others notice of it. */
export async function benchClass(): Promise<void> {
  const maps = Array.from({ length: STUDENTS }, (_, i) => mapOf(TOPICS, i + 1));
  const assignment = assignmentFor(maps[0]!);
  await throughput(maps, assignment);
  await besideOthers(maps);
}

async function throughput(maps: readonly TopicMap[], assignment: Assignment): Promise<void> {
  title(`Maps of ${TOPICS} topics, all ${assignment.requirements.length} requirement types: one worker, then two`);
  const check = Array.from({ length: AGAIN }, (_, i) => ({ map: maps[i % maps.length], assignment, context: {} }));
  const papers = maps.slice(0, PAPERS).map((map) => ({ papers: [paperOf(map, assignment)], onePage: false }));
  const classes = [0, 1].map(() => ({ maps, assignment }));
  for (const [what, name, tasks] of [
    [`${AGAIN} submissions checked again`, 'check', check],
    [`propositions, composite, likeness of ${STUDENTS}, two classes`, 'together', classes],
    [`the PDF of ${PAPERS} maps`, 'paper', papers],
  ] as const) {
    // One, two, one again: a machine that is slow for a while is slow for both.
    const [one, two, again] = [
      await timeWith(1, name, tasks),
      await timeWith(2, name, tasks),
      await timeWith(1, name, tasks),
    ];
    const single = (one + again) / 2;
    line(`${what}: one worker · two`, `${ms(single)} · ${ms(two)}`);
    line(`${what}: ratio`, times(single / two), 'wanted: at least 1.8');
  }
}

/** Milliseconds for all tasks with so many workers, which are warm before. */
async function timeWith(threads: number, name: string, tasks: readonly object[]): Promise<number> {
  const pool = new Piscina({
    filename: WORKER,
    minThreads: threads,
    maxThreads: threads,
    resourceLimits: { maxYoungGenerationSizeMb: 64 },
  });
  const { packed } = (await import(`${WORKERS}shared-assignment.js`)) as { packed: (task: object) => object };
  const run = (task: object): Promise<unknown> => pool.run(packed(task), { name });
  await Promise.all(Array.from({ length: 2 * threads }, () => run(tasks[0]!)));
  const begun = performance.now();
  await Promise.all(tasks.map(run));
  const took = performance.now() - begun;
  await pool.destroy();
  return took;
}

const paperOf = (map: TopicMap, assignment: Assignment) => ({
  names: 'A student',
  title: assignment.title,
  className: 'A class',
  handedIn: '',
  returned: null,
  at: '2026-01-01T00:00:00.000Z',
  map: writeMap(map),
  assignment: { format: 'ichnograph-assignment', version: 1, ...assignment, starter: null, reference: null },
  report: checkMap(map, assignment),
  mark: '',
  lines: [],
  judgement: { points: {}, levels: {} },
  judgements: [],
  propositions: Object.entries(readClass([map], assignment).held[0]!).map(([key, links]) => ({
    key,
    links,
    own: false,
    judged: {
      verdict: 'sound',
      thin: false,
      remark: 'Well said.',
      by: { id: '', givenName: '', familyName: '' },
      at: '',
    },
  })),
  comments: [],
  pictures: {},
});

/** The same asked of the server, while others ask for ordinary things. */
const besideOthers = (maps: readonly TopicMap[]): Promise<void> =>
  besideSchool(async (url, database, pid) => {
    const room = await classOf(database, STUDENTS, 1);
    for (const [i, { work }] of room.students.entries())
      await database.query('UPDATE submission SET map = ? WHERE work_id = ?', [
        JSON.stringify(writeMap(maps[i]!)),
        work,
      ]);
    const cookie = await cookieOf(url, room.teacher);
    const ask = async (path: string, method = 'GET', body?: object): Promise<Record<string, unknown>> => {
      const response = await fetch(`${url}/api/${path}`, {
        method,
        headers: { cookie, ...(body && { 'content-type': 'application/json' }) },
        ...(body && { body: JSON.stringify(body) }),
      });
      const text = await response.text();
      if (!response.ok) throw new Error(`${path}: ${response.status} ${text}`);
      return JSON.parse(text) as Record<string, unknown>;
    };
    /** An ordinary request of somebody else, again and again. */
    const probe = async (isOver: (asked: number) => boolean): Promise<number[]> => {
      const took: number[] = [];
      while (!isOver(took.length)) {
        const begun = performance.now();
        await ask('today/teacher');
        took.push(performance.now() - begun);
        await new Promise((resolve) => setTimeout(resolve, 10));
      }
      return took;
    };
    await probe((asked) => asked >= PROBES / 2);
    const idle = await probe((asked) => asked >= PROBES);
    const rest = memoryOf(pid, 'VmRSS');
    let isDone = false;
    const busy = (async () => {
      const { id } = await ask(`publications/${room.publication}/exports`, 'POST', { as: 'zip' });
      await ask(`publications/${room.publication}/insight`);
      await ask(`publications/${room.publication}/propositions`);
      while ((await ask(`exports/${String(id)}`)).state === 'running')
        await new Promise((resolve) => setTimeout(resolve, 200));
      isDone = true;
    })();
    const meanwhile = await probe(() => isDone);
    await busy;
    title(`A class of ${STUDENTS} read together and its papers written out, while somebody else opens Today`);
    const [before, during] = [quantile(idle, 0.99), quantile(meanwhile, 0.99)];
    line('p99 idle · meanwhile', `${ms(before)} · ${ms(during)}`);
    line('p99: ratio', times(during / before), 'wanted: at most 3');
    const peak = memoryOf(pid, 'VmHWM') - rest;
    line('memory: peak over at rest', `${(peak / MIB).toFixed(0)} MiB`, 'wanted: under 512 MiB');
  });

async function cookieOf(url: string, name: string): Promise<string> {
  const response = await fetch(`${url}/api/demo/sign-in/${name}`, { method: 'POST' });
  return response.headers.getSetCookie()[0]!.split(';')[0]!;
}

/** What the kernel says a process holds, or has held at most, bytes. */
function memoryOf(pid: number, which: 'VmRSS' | 'VmHWM'): number {
  const [, kilobytes] = new RegExp(`${which}:\\s+(\\d+) kB`).exec(readFileSync(`/proc/${pid}/status`, 'utf8'))!;
  return Number(kilobytes) * 1024;
}
