import type { CommentRow, Person, Pile, RemarkPlace, SubmissionDetail } from '@ichnograph/contract';
import {
  commentsWithoutNames,
  detailWithoutNames,
  pileWithoutNames,
  placesWithoutNames,
  worksWithoutNames,
} from './without-names';

const person = (id: string, givenName: string): Person => ({ id, givenName, familyName: 'Halvorsen' });
const [noor, kofi, maren] = [person('1', 'Noor'), person('2', 'Kofi'), person('3', 'Maren')];
const entry = (workId: string | null, ...members: Person[]) => ({ workId, members, state: 'handed in' });
const names = /Noor|Kofi|Halvorsen/;

test('works of a pile have codes for names, the same each time and in no order of names; who has no work keeps theirs', () => {
  const pile = {
    title: 'Bridges',
    entries: [entry('f1a2-9', noor), entry('0b3c-1', kofi, noor), entry(null, maren)],
  } as unknown as Pile;
  const { entries, title } = pileWithoutNames(pile);
  expect(title).toBe('Bridges');
  expect(entries.map(({ members }) => members.map(({ givenName }) => givenName))).toEqual([
    ['Maren'],
    ['Map 0B3C'],
    ['Map F1A2'],
  ]);
  expect(JSON.stringify(entries.filter(({ workId }) => workId))).not.toMatch(names);
  expect(pileWithoutNames(pile)).toEqual(pileWithoutNames(pileWithoutNames(pile)));
});

test('a map bears no name, in its head or in its title block', () => {
  const detail = detailWithoutNames({
    workId: 'f1a2-9',
    members: [noor, kofi],
    map: { title: 'Bridges', author: 'Noor Halvorsen' },
  } as unknown as SubmissionDetail);
  expect(JSON.stringify(detail)).not.toMatch(names);
  expect(detail.map).toMatchObject({ title: 'Bridges' });
});

test('answers of its students bear no name, a colleague’s do', () => {
  const comments = [
    { text: 'Why?', by: maren, answers: [{ by: noor, text: 'So.' }, { by: maren, text: 'Good.' }] }, // prettier-ignore
  ] as unknown as CommentRow[];
  const [first] = commentsWithoutNames(comments, { members: [noor, kofi] } as unknown as SubmissionDetail);
  expect(first!.answers.map(({ by, text }) => [by.givenName, text])).toEqual([
    ['The student', 'So.'],
    ['Maren', 'Good.'],
  ]);
});

test('works of a class have codes too, and a remark on many addresses nobody by name', () => {
  expect(JSON.stringify(worksWithoutNames([{ workId: 'f1a2-9', members: [noor, kofi] }]))).not.toMatch(names);
  const places = [{ workId: 'f1a2-9', members: [noor], text: 'Noor: look at “Arch”, Noor.' }] as RemarkPlace[];
  expect(placesWithoutNames(places).map(({ text }) => text)).toEqual(['{name}: look at “Arch”, {name}.']);
});
