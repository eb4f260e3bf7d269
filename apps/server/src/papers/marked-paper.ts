import {
  anchorPoint,
  bearersOf,
  bestPage,
  isBlank,
  isCounted,
  levelOf,
  numbered,
  openStoredAssignment,
  openStoredMap,
  openStoredReport,
  pointsOf,
  propositionOf,
  requirementSentence,
  say,
  sentenceOf,
  toDecimals,
} from '@ichnograph/core';
import type { Assignment, Judgement, Legend, MarkLine, Point, Report, TopicMap } from '@ichnograph/core';
import { spotOf } from '@ichnograph/contract';
import type { CommentRow, JudgementRow, MapProposition } from '@ichnograph/contract';
import { drawMap, MARGIN, QUIET, readFontsFor, Typesetter } from '@ichnograph/formats/node';
import type { LetterAt, Pictures } from '@ichnograph/formats/node';

/** All that stands on one student's paper. Dates are words already: the school's clock is not the worker's business. */
export interface MarkedPaper {
  names: string;
  title: string;
  className: string;
  handedIn: string;
  returned: string | null;
  /** instant of the newest thing on it, ISO */
  at: string;
  map: Record<string, unknown>;
  assignment: Record<string, unknown>;
  report: Record<string, unknown>;
  /** the mark on the assignment's scale */
  mark: string;
  lines: MarkLine[];
  judgement: Judgement;
  judgements: JudgementRow[];
  propositions: MapProposition[];
  comments: CommentRow[];
  pictures: Pictures;
}

const STATES = {
  met: 'met',
  partly: 'partly met',
  unmet: 'not met',
  judge: 'to judge',
  'not-applicable': 'does not apply',
} as const;
const TWO = 2;
const figure = (value: number): string => String(toDecimals(value, TWO));
const letterOf = (index: number): string =>
  index < 26 ? String.fromCharCode(97 + index) : `${letterOf(Math.floor(index / 26) - 1)}${letterOf(index % 26)}`;

/** One student's paper: the marked map on a page of its own, then mark, remarks, sentences, results and criteria. */
export async function markedPaperPdf(papers: readonly MarkedPaper[], onePage = false): Promise<Uint8Array> {
  const [first] = papers;
  await readFontsFor(JSON.stringify(papers));
  const pages = new Typesetter(first!.title, new Date(first!.at));
  for (const paper of papers) setPaper(pages, paper, onePage);
  return pages.end(
    (page, of) => `${first!.title} · ${papers.length === 1 ? `${first!.names} · ` : ''}${page} of ${of}`,
  );
}

function setPaper(pages: Typesetter, paper: MarkedPaper, onePage: boolean): void {
  const [map, assignment, report] = [
    openStoredMap(paper.map),
    openStoredAssignment(paper.assignment),
    openStoredReport(paper.report),
  ];
  setMap(pages, paper, map, assignment);
  if (onePage) return;
  pages.text((text) => {
    setHead(text, paper);
    setComments(text, paper.comments, map, assignment);
    setSentences(text, paper.propositions, map, assignment);
    setResults(text, paper, report, assignment);
    setNotes(text, map);
  });
}

function setMap(pages: Typesetter, paper: MarkedPaper, map: TopicMap, assignment: Assignment): void {
  // The way round in which it is printed largest.
  pages.page(bestPage(map, assignment.legend).sideways ? 'landscape' : 'portrait');
  const { doc } = pages;
  const { width, height } = doc.page;
  pages.line(paper.names, MARGIN, MARGIN, { face: 'bold', size: 14 });
  const about = `${paper.title} · ${paper.className} · ${paper.handedIn}`;
  pages.line(about, MARGIN, MARGIN + 14, { size: 9, ink: QUIET });
  pages.line(paper.mark, width - MARGIN - pages.widthOf(paper.mark, { face: 'bold', size: 14 }), MARGIN, {
    face: 'bold',
    size: 14,
  });
  const letters = paper.comments.flatMap(({ anchor, target }, i): LetterAt[] => {
    const at: Point | null = placeOfRemark(map, assignment.legend, anchor, target, spotOf(target));
    return at ? [{ letter: letterOf(i), at }] : [];
  });
  const frame = { left: MARGIN, top: MARGIN + 24, right: width - MARGIN, bottom: height - MARGIN + 10 };
  drawMap(pages, { map, legend: assignment.legend, pictures: paper.pictures, letters }, frame);
}

/** Where a remark's letter stands, or null where it speaks of no place. */
const placeOfRemark = (
  map: TopicMap,
  legend: Legend,
  anchor: string,
  target: string | null,
  spot: Point | null,
): Point | null => (anchor === 'spot' ? spot : target === null ? null : anchorPoint(map, legend, target));

function setHead(pages: Typesetter, paper: MarkedPaper): void {
  const { doc } = pages;
  pages.paragraph(paper.names, { face: 'bold', size: 16, gap: 0 });
  pages.paragraph(`${paper.title}, ${paper.className}`, { size: 11, gap: 0 });
  pages.paragraph([paper.handedIn, paper.returned].filter(Boolean).join(' '), { size: 9, ink: QUIET, gap: 8 });
  pages.paragraph(paper.mark, { face: 'bold', size: 14, gap: 4 });
  for (const { what, how, points, outOf } of paper.lines) {
    const y = doc.y;
    const figures = outOf === null ? figure(points) : `${figure(points)} of ${figure(outOf)}`;
    pages.paragraph(how === undefined ? what : `${what}: ${how}`, { gap: 1 });
    const below = doc.y;
    pages.line(figures, doc.page.width - MARGIN - pages.widthOf(figures), y + 9);
    doc.y = below;
  }
}

function setComments(pages: Typesetter, comments: readonly CommentRow[], map: TopicMap, { legend }: Assignment): void {
  if (comments.length === 0) return;
  pages.heading('Remarks');
  comments.forEach(({ anchor, target, text, answers }, i) => {
    pages.paragraph(`${letterOf(i)}  ${aboutWords(map, legend, anchor, target)}`, { size: 9, ink: QUIET, gap: 0 });
    pages.paragraph(text, { indent: 14, gap: 1 });
    for (const answer of answers)
      pages.paragraph(`${answer.by.givenName}: ${answer.text}`, { indent: 24, size: 9, gap: 1 });
    pages.doc.y += 3;
  });
}

/** What a remark speaks of. */
function aboutWords(map: TopicMap, legend: Assignment['legend'], anchor: string, target: string | null): string {
  const topic = (id: string | undefined) => map.topics.find((one) => one.id === id);
  if (anchor === 'topic') return `on “${topic(target ?? '')?.text ?? ''}”`;
  if (anchor === 'spot') return 'on a spot of the map';
  if (anchor === 'result') return 'on a result';
  const link = map.links.find(({ id }) => id === target);
  const [from, to] = [topic(link?.from), topic(link?.to)];
  return link && from && to ? `on “${sentenceOf(link, from, to, legend).replace(/\.$/, '')}”` : 'on the whole map';
}

function setSentences(
  pages: Typesetter,
  propositions: readonly MapProposition[],
  map: TopicMap,
  { legend }: Assignment,
): void {
  const judged = propositions.filter((one) => one.judged);
  if (judged.length === 0) return;
  pages.heading('Sentences');
  for (const { links, judged: verdict } of judged) {
    const link = map.links.find(({ id }) => id === links[0])!;
    const [from, to] = [link.from, link.to].map((id) => map.topics.find((one) => one.id === id)!);
    const read = propositionOf(link, from!, to!, legend);
    const word = `${verdict!.verdict}${verdict!.thin ? ', say how' : ''}`;
    pages.paragraph(`${read.from} ${read.phrase || '…'} ${read.to}: ${word}`, { gap: verdict!.remark ? 0 : 2 });
    if (verdict!.remark) pages.paragraph(verdict!.remark, { indent: 14, size: 9, ink: QUIET, gap: 2 });
  }
}

/** What stands behind the topics: it is not to be seen on the drawing. */
function setNotes(pages: Typesetter, map: TopicMap): void {
  const bearers = bearersOf(map);
  if (bearers.length === 0) return;
  pages.heading('Notes, sources and files');
  const small = { indent: 14, size: 9, gap: 1 };
  for (const { text, note, source, weblinks = [], files = [] } of bearers) {
    pages.paragraph(text, { face: 'bold', gap: 0 });
    if (!isBlank(note)) pages.paragraph(note!.trim(), { ...small, size: 10 });
    if (!isBlank(source)) pages.paragraph(`Source: ${source}`, { ...small, ink: QUIET });
    for (const { url, title } of weblinks)
      pages.paragraph([title, url].filter(Boolean).join(': '), { ...small, ink: QUIET });
    for (const { name } of files) pages.paragraph(`File: ${name ?? 'without a name'}`, { ...small, ink: QUIET });
    pages.doc.y += 3;
  }
}

function setResults(pages: Typesetter, paper: MarkedPaper, report: Report, assignment: Assignment): void {
  pages.heading('Requirements');
  for (const { number, ...result } of numbered(report.results)) {
    const requirement = assignment.requirements.find(({ id }) => id === result.id);
    if (!requirement) continue;
    const points = isCounted(result) ? `${figure(pointsOf(result, paper.judgement))} of ${figure(result.outOf)}` : '–';
    pages.paragraph(`${number}  ${requirementSentence(requirement, assignment)}`, { gap: 0 });
    pages.paragraph(`${STATES[result.status]}, ${points}. ${say(result.type, result)}`, {
      indent: 18,
      size: 9,
      ink: QUIET,
      gap: 1,
    });
    const own = paper.judgements.find(({ kind, subject }) => kind === 'result' && subject === result.id);
    if (own) pages.paragraph(`Your teacher: ${own.reason}`, { indent: 18, size: 9, gap: 1 });
    pages.doc.y += 3;
  }
  if (assignment.criteria.length === 0) return;
  pages.heading('Criteria');
  for (const criterion of assignment.criteria) {
    const level = levelOf(criterion, paper.judgement);
    pages.paragraph(`${criterion.name}: ${level ? `${level.name} (${figure(level.points)})` : 'not judged'}`, {
      gap: 0,
    });
    if (level?.description) pages.paragraph(level.description, { indent: 14, size: 9, ink: QUIET });
  }
}
