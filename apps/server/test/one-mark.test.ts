import { inflateSync } from 'node:zlib';
import fc from 'fast-check';
import Papa from 'papaparse';
import { markWords } from '@ichnograph/core';
import type { MarkDetail } from '@ichnograph/core';
import type {
  ClassInsight,
  ClassPropositions,
  Gradebook,
  MapProposition,
  Pile,
  SubmissionDetail,
  SubmissionRow,
} from '@ichnograph/contract';
import { classAtWork } from './setup/class-at-work.js';
import type { Person } from './setup/client.js';

let classes = 0;

/** A class of two whose marks are made of everything a mark can be made of. */
async function markedClass() {
  const title = `One mark ${(classes += 1)}`;
  const desk = await classAtWork(title);
  const { tobias, save, requirement, id, student } = desk;
  await save('requirements', {
    requirements: [
      requirement('r1', 'kind-count', { kind: 'own', min: 3 }, 4),
      requirement('x1', 'link-count', { min: 2 }, 1),
    ],
  });
  const level = (name: string, points: number) => ({ name, points, description: '' });
  await save('criteria', {
    criteria: [{ id: 'c1', name: 'Insight', levels: [level('little', 0), level('some', 1.5), level('much', 3)] }],
  });
  const structural = { points: 2, full: 20, proposition: 1, level: 5, crossLink: 10, example: 1, exampleKinds: [] };
  const marks = {
    late: null,
    propositions: { points: 3, full: 2 },
    structural,
    scale: { as: 'percent', decimals: 1 },
    whileWorking: 'points',
  };
  await save('marks', { marks });
  expect((await tobias.post(`assignments/${id}/next-revision`, {})).status).toBe(204);
  const makers = [];
  for (const name of [`Una${classes}`, `Duo${classes}`]) {
    const made = await student(name, 'Beam', 'Pier');
    const [one, two] = made.client.live.snapshot.topics;
    const link = { id: `l-${name}`, from: one!.id, to: two!.id, phrase: 'rests on', kind: null };
    made.client.live.apply([{ do: 'add', to: 'links', item: link }]);
    await made.client.saved();
    makers.push({ ...made, ids: [await made.handIn()] });
  }
  return { ...desk, title, makers };
}
type Class = Awaited<ReturnType<typeof markedClass>>;
type Maker = Class['makers'][number];
const newest = ({ ids }: Maker): string => ids.at(-1)!;

/** What somebody may do next; what cannot be done just then is refused, and changes nothing. */
const ACTS = {
  level: ({ tobias }: Class, maker: Maker, n: number) =>
    tobias.call('PUT', `submissions/${newest(maker)}/judgements`, {
      kind: 'criterion',
      subject: 'c1',
      value: n % 4 === 3 ? null : n % 4,
    }),
  points: ({ tobias }: Class, maker: Maker, n: number) =>
    tobias.call('PUT', `submissions/${newest(maker)}/judgements`, {
      kind: 'result',
      subject: n % 2 ? 'r1' : 'x1',
      value: n % 2 ? n % 5 : 1,
      reason: 'As I see it.',
    }),
  'verdict for the class': async ({ tobias, publicationId }: Class, _maker: Maker, n: number) => {
    const { propositions } = (await tobias.get<ClassPropositions>(`publications/${publicationId}/propositions`)).body;
    const [first] = propositions;
    if (!first) return;
    const verdict = [null, 'sound', 'shaky', 'wrong'][n % 4]!;
    await tobias.call('PUT', `publications/${publicationId}/verdicts`, {
      keys: [first.key],
      verdict,
      remark: n % 3 ? 'Say how.' : '',
    });
  },
  'verdict for one map': async ({ tobias }: Class, maker: Maker, n: number) => {
    const [said] = (await tobias.get<MapProposition[]>(`submissions/${newest(maker)}/verdicts`)).body;
    const verdict = [null, 'sound', 'shaky', 'wrong'][n % 4]!;
    if (said) await tobias.call('PUT', `submissions/${newest(maker)}/verdicts`, { keys: [said.key], verdict });
  },
  return: ({ tobias }: Class, maker: Maker) =>
    tobias.post(`submissions/${newest(maker)}/return`, { unjudged: true, letter: 'It is {mark}, {name}.' }),
  'return what is complete': ({ tobias, publicationId }: Class) =>
    tobias.post(`publications/${publicationId}/return-complete`, { letter: 'It is {mark}, {name}.' }),
  'take back': ({ tobias }: Class, maker: Maker) => tobias.post(`submissions/${newest(maker)}/take-back`),
  read: ({ publicationId: _ }: Class, maker: Maker) => maker.person.get(`submissions/${newest(maker)}`),
  'draw on and hand in again': async (_class: Class, maker: Maker, n: number) => {
    await maker.person.post(`works/${maker.work.id}/revise`);
    const { client, person, work } = maker;
    client.live.apply([{ do: 'entitle', fields: { title: `Drawn on ${n}` } }]);
    const sent = { client: client.client, count: client.live.made };
    const { status, body } = await person.post<SubmissionDetail>(`works/${work.id}/hand-in`, sent);
    if (status === 201) maker.ids.push(body.id);
  },
  revise: async ({ save, requirement, tobias, id }: Class, _maker: Maker, n: number) => {
    await save('requirements', {
      requirements: [
        requirement('r1', 'kind-count', { kind: 'own', min: 2 + (n % 2) }, 2 + (n % 3)),
        requirement('x1', 'link-count', { min: 2 }, 1),
      ],
    });
    await tobias.post(`assignments/${id}/next-revision`, {});
  },
} satisfies Record<string, (desk: Class, maker: Maker, n: number) => unknown>;

const figuresOf = (mark: MarkDetail | SubmissionRow['mark']) =>
  mark && { sum: mark.sum, outOf: mark.outOf, shown: mark.shown };

/** Asks everything that shows a mark, and holds it to the one that the page shows. */
async function insistOneMark(desk: Class): Promise<void> {
  const { tobias, makers, publicationId, room } = desk;
  const pile = (await tobias.get<Pile>(`publications/${publicationId}/pile`)).body;
  const book = (await tobias.get<Gradebook>(`classes/${room.id}/gradebook`)).body;
  const insight = (await tobias.get<ClassInsight>(`publications/${publicationId}/insight`)).body;
  const written = await textOf(tobias, `classes/${room.id}/gradebook.csv`);
  const csv = Papa.parse<Record<string, string>>(written, { header: true, skipEmptyLines: true }).data;
  for (const maker of makers) {
    const id = newest(maker);
    const page = (await tobias.get<{ mark: MarkDetail }>(`submissions/${id}/mark`)).body.mark;
    const wanted = figuresOf(page);
    const isIt = ({ workId }: { workId: string | null }): boolean => workId === maker.work.id;
    expect(page.lines.reduce((sum, { points }) => sum + points, 0)).toBeCloseTo(page.sum, 9);
    expect(figuresOf(pile.entries.find(isIt)!.submission!.mark)).toEqual(wanted);
    const student = book.students.find(({ cells }) => cells.some(isIt))!;
    expect(figuresOf(student.cells.find(isIt)!.mark)).toEqual(wanted);
    const row = csv.find((one) => one['Given name'] === student.person.givenName)!;
    expect(Number(row[desk.title])).toBe((page.shown as { percent: number }).percent);
    const inClass = insight.works.find(isIt)!.mark;
    expect([inClass.sum, inClass.outOf]).toEqual([page.sum, page.outOf]);
    const detail = (await tobias.get<SubmissionDetail>(`submissions/${id}`)).body;
    expect(figuresOf(detail.submissions.find((one) => one.id === id)!.mark)).toEqual(wanted);
    const left = page.notJudged.length + page.toJudge.length + page.propositionsToJudge;
    expect(detail.submissions.find((one) => one.id === id)!.mark!.notJudged).toBe(left);
    if (detail.letter) expect(detail.letter).toContain(`It is ${markWords(page.shown)},`);
    if (!detail.returnedAt) continue;
    // Looked at as the list has it, so that nothing is marked as read that may be taken back yet.
    const trail = (await tobias.get<{ kind: string; after: number }[]>(`submissions/${id}/trail`)).body;
    expect(trail.findLast(({ kind }) => kind === 'return')!.after).toBe(page.sum);
  }
}

async function textOf({ url, cookie }: Person, path: string): Promise<string> {
  const response = await fetch(`${url}/api/${path}`, { headers: { connection: 'close', cookie } });
  return (await response.text()).replace(/^\ufeff/, '');
}

test('after every act a mark is the same figure wherever it is shown', async () => {
  const step = fc.tuple(fc.constantFrom(...(Object.keys(ACTS) as (keyof typeof ACTS)[])), fc.nat(1), fc.nat(11));
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 8, maxLength: 14 }), async (steps) => {
      const desk = await markedClass();
      await insistOneMark(desk);
      for (const [act, who, n] of steps) {
        await ACTS[act](desk, desk.makers[who]!, n);
        await insistOneMark(desk);
      }
      // At last everything goes back, and the student and the paper read the same.
      for (const maker of desk.makers) {
        await ACTS.return(desk, maker);
        const page = (await desk.tobias.get<{ mark: MarkDetail }>(`submissions/${newest(maker)}/mark`)).body.mark;
        const read = (await maker.person.get<{ mark: MarkDetail }>(`submissions/${newest(maker)}/mark`)).body.mark;
        expect(read).toEqual(page);
        maker.client.close();
      }
    }),
    { numRuns: process.env.ICHNOGRAPH_THOROUGH ? 20 : 3, endOnFailure: true },
  );
}, 300_000);

test('the paper shows the mark that the page shows', async () => {
  const desk = await markedClass();
  const [maker] = desk.makers;
  await ACTS.level(desk, maker!, 2);
  await ACTS.return(desk, maker!);
  const page = (await desk.tobias.get<{ mark: MarkDetail }>(`submissions/${newest(maker!)}/mark`)).body.mark;
  const { url, cookie } = desk.tobias;
  const response = await fetch(`${url}/api/submissions/${newest(maker!)}/paper`, {
    headers: { connection: 'close', cookie },
  });
  const words = wordsOf(Buffer.from(await response.arrayBuffer()));
  for (const { what, points, outOf } of page.lines.filter(({ outOf }) => outOf !== null)) {
    const shown = `${Math.round(points * 100) / 100}of${outOf}`;
    expect([what, words.includes(shown)]).toEqual([what, true]);
  }
  for (const { client } of desk.makers) client.close();
});

/** What a PDF says, glyph by glyph: the hexadecimal strings of its pages, read by the maps from glyphs to letters. */
function wordsOf(pdf: Buffer): string {
  const streams: string[] = [];
  for (let at = pdf.indexOf('stream\n'); at >= 0; at = pdf.indexOf('stream\n', at + 1)) {
    const end = pdf.indexOf('endstream', at);
    try {
      streams.push(inflateSync(pdf.subarray(at + 7, end)).toString('latin1'));
    } catch {
      // Not everything in it is compressed text.
    }
  }
  const letters = new Map<string, string>();
  for (const stream of streams.filter((one) => one.includes('beginbfrange')))
    for (const [, list] of stream.matchAll(/<0000> <[0-9a-f]+> \[([^\]]*)\]/g))
      [...list!.matchAll(/<([0-9a-f]+)>/g)].forEach(([, code], i) =>
        letters.set(
          i.toString(16).padStart(4, '0'),
          String.fromCharCode(...(code!.match(/.{4}/g) ?? []).map((unit) => parseInt(unit, 16))),
        ),
      );
  return streams
    .flatMap((stream) => [...stream.matchAll(/<([0-9a-f]{4,})>/g)].map(([, glyphs]) => glyphs!))
    .map((glyphs) => (glyphs.match(/.{4}/g) ?? []).map((glyph) => letters.get(glyph) ?? '').join(''))
    .join('')
    .replace(/ /g, '');
}
