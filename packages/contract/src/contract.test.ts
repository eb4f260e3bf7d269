import 'reflect-metadata';
import { validateSync } from 'class-validator';
import {
  BringInAssignment,
  ChangeComment,
  ChangePassword,
  FirstAdministrator,
  HandIn,
  NewAccount,
  NewClass,
  NewComment,
  NewPublication,
  SignIn,
} from './index.js';

/** The rules that browser and server share: what is taken, and what a person is told of the rest. */

const CLASS_ID = '5f0c1d5e-7f3b-4f7e-9a43-2c1f0d8b6a11';
const person = { givenName: 'Noor', familyName: 'Halvorsen', name: 'noor', password: 'a long enough one' };

const SOUND: [new () => object, object][] = [
  [SignIn, { name: 'noor', password: 'x' }],
  [ChangePassword, { current: 'x', next: 'ten letters' }],
  [NewAccount, { ...person, role: 'teacher' }],
  [FirstAdministrator, { ...person, school: 'Alder Quay School', timeZone: 'Europe/Oslo' }],
  [NewClass, { name: 'Technology 9B' }],
  [BringInAssignment, { file: {} }],
  [NewPublication, { classId: CLASS_ID }],
  [NewPublication, { classId: CLASS_ID, due: '2026-11-28T18:00:00+01:00', mayHandInAgain: false }],
  [NewPublication, { classId: CLASS_ID, due: null }],
  [HandIn, { client: 'c', count: 0 }],
  [HandIn, { client: 'c', count: 12, note: 'x'.repeat(2000) }],
  [NewComment, { anchor: 'map', text: 'Good.' }],
  [NewComment, { anchor: 'link', target: 'l1', text: 'x'.repeat(2000) }],
  [ChangeComment, { text: 'Better.' }],
];

const told = (wire: new () => object, fields: object): string[] =>
  validateSync(Object.assign(new wire(), fields)).flatMap(({ property, constraints }) =>
    Object.values(constraints ?? {}).map((words) => `${property}: ${words}`),
  );

test.each(SOUND.map(([wire, fields]) => [wire.name, wire, fields] as const))(
  '%s takes what is sound',
  (_, wire, fields) => expect(told(wire, fields)).toEqual([]),
);

test.each<[string, new () => object, object, string]>([
  ['no name', SignIn, { name: '', password: 'x' }, 'name: type your sign-in name'],
  ['no text for a name', SignIn, { name: { $ne: '' }, password: 'x' }, 'name: name must be a string'],
  ['no password', SignIn, { name: 'noor' }, 'password: type your password'],
  [
    'a short new password',
    ChangePassword,
    { current: 'x', next: 'short' },
    'next: a password has at least 10 characters',
  ],
  ['spaces in a name', NewAccount, { ...person, role: 'student', name: 'Noor H' }, 'name: a sign-in name has 2 to 40'],
  ['an unknown role', NewAccount, { ...person, role: 'owner' }, 'role: choose student, teacher or administrator'],
  [
    'no family name',
    NewAccount,
    { ...person, role: 'student', familyName: '' },
    'familyName: a family name has 1 to 60',
  ],
  [
    'a time zone of nowhere',
    FirstAdministrator,
    { ...person, school: 'S', timeZone: 'Mars/Base' },
    'timeZone: choose the',
  ],
  [
    'a nameless school',
    FirstAdministrator,
    { ...person, school: '', timeZone: 'Europe/Oslo' },
    'school: a school’s name',
  ],
  ['a text for a file', BringInAssignment, { file: 'x' }, 'file: the file holds no assignment'],
  ['no file', BringInAssignment, {}, 'file: the file holds no assignment'],
  ['a class by its name', NewPublication, { classId: 'Technology 9B' }, 'classId: choose a class'],
  ['a day that is none', NewPublication, { classId: CLASS_ID, due: '2026-02-30' }, 'due: choose a due date and time'],
  ['a count below none', HandIn, { client: 'c', count: -1 }, 'count: count must not be less than 0'],
  ['half a change', HandIn, { client: 'c', count: 0.5 }, 'count: count must be an integer number'],
  ['a note without end', HandIn, { client: 'c', count: 1, note: 'x'.repeat(2001) }, 'note: a note has room for 2,000'],
  ['nobody handing in', HandIn, { client: '', count: 1 }, 'client: client must be longer than or equal to 1'],
  ['a comment on nothing', NewComment, { anchor: 'wall', text: 'x' }, 'anchor: a comment speaks of a topic, a link,'],
  ['an empty comment', NewComment, { anchor: 'map', text: '' }, 'text: a comment has 1 to 2,000 characters'],
  ['a change to nothing', ChangeComment, { text: '' }, 'text: a comment has 1 to 2,000 characters'],
])('%s is refused, and the reason said', (_, wire, fields, words) => {
  expect(told(wire, fields).some((one) => one.startsWith(words))).toBe(true);
});
