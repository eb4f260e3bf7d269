import { checkMap, emptyMap, writeAssignment, writeMap } from '@ichnograph/core';
import type { Assignment, Topic } from '@ichnograph/core';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { markedPaperPdf } from './marked-paper.js';
import type { MarkedPaper } from './marked-paper.js';

const assignment: Assignment = {
  title: 'Bridges',
  focusQuestion: '',
  brief: '',
  language: 'en',
  styleMode: 'guided',
  legend: { topicKinds: [], linkKinds: [] },
  terms: [],
  starter: null,
  reference: null,
  requirements: [],
  criteria: [],
};

function paperOf(topics: Topic[]): MarkedPaper {
  const map = { ...emptyMap(), topics };
  return {
    names: 'Kofi Lund',
    title: 'Bridges',
    className: '10a',
    handedIn: 'handed in 3 September',
    returned: null,
    at: '2026-09-03T08:00:00Z',
    map: writeMap(map),
    assignment: writeAssignment(assignment),
    report: checkMap(map, assignment),
    mark: '0 of 0',
    lines: [],
    judgement: { points: {}, levels: {}, feel: null } as unknown as MarkedPaper['judgement'],
    judgements: [],
    propositions: [],
    comments: [],
    pictures: {},
  } as unknown as MarkedPaper;
}

/** What a PDF says, as one line. */
async function wordsOf(paper: MarkedPaper, onePage = false): Promise<string> {
  const loading = getDocument({ data: new Uint8Array(await markedPaperPdf([paper], onePage)), isEvalSupported: false });
  const pdf = await loading.promise;
  const pages = [];
  for (let n = 1; n <= pdf.numPages; n++) {
    const { items } = await (await pdf.getPage(n)).getTextContent();
    pages.push(items.map((item) => ('str' in item ? item.str : '')).join(' '));
  }
  await loading.destroy();
  return pages.join(' ').replace(/\s+/g, ' ');
}

const topic = (id: string, fields: Partial<Topic>): Topic => ({
  id,
  text: id,
  kind: null,
  x: 0,
  y: 0,
  width: 100,
  height: 40,
  ...fields,
});

test('what stands behind the topics is on the paper in full, on its one page it is not', async () => {
  const long = Array.from({ length: 400 }, (_, i) => `word${i}`).join(' ');
  const paper = paperOf([
    topic('Arch', { note: long, source: 'Our book, p. 12' }),
    topic('Cable', {
      weblinks: [{ url: 'https://example.org/cables', title: 'Cables' }],
      files: [{ src: `upload:${'a'.repeat(64)}`, name: 'drawing.pdf' }],
    }),
    topic('Deck', {}),
  ]);
  const words = await wordsOf(paper);
  expect(words).toContain('Notes, sources and files');
  for (const said of [
    'word0 ',
    'word399',
    'Source: Our book, p. 12',
    'Cables: https://example.org/cables',
    'File: drawing.pdf',
  ])
    expect(words).toContain(said);
  expect(await wordsOf(paper, true)).not.toContain('word399');
});

test('a map that bears nothing has no such part', async () => {
  expect(await wordsOf(paperOf([topic('Arch', {})]))).not.toContain('Notes, sources');
});
