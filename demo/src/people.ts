import type { NewAccount, Part } from '@ichnograph/contract';

/** Alder Quay School: everyone in it is made up. */
export const SCHOOL = { name: 'Alder Quay School', timeZone: 'Europe/Oslo' };
export const DEMO_PASSWORD = 'alder-quay';

type DemoPerson = Omit<NewAccount, 'password'> & { who?: string };

const staff = (name: string, givenName: string, familyName: string, who: string): DemoPerson => ({
  name,
  givenName,
  familyName,
  role: 'teacher',
  who,
});

export const STAFF_PEOPLE: DemoPerson[] = [
  { name: 'halina', givenName: 'Halina', familyName: 'Quist', role: 'administrator', who: 'Administrator' },
  staff('maren', 'Maren', 'Oyelaran', 'Teacher, technology'),
  staff('tobias', 'Tobias', 'Lindqvist-Rao', 'Teacher, English and history'),
  staff('piet', 'Piet', 'Abara', 'Assistant, technology'),
];

const NAMES_9B = [
  'Amara Diallo',
  'Bastian Krol',
  'Chidi Verhoeven',
  'Dalia Moreau',
  'Emre Salonen',
  'Freya Mbeki',
  'Goran Ito',
  'Hana Petrov',
  'Ilse Nakamura',
  'Juno Castellanos',
  'Kofi Lund',
  'Leila Brandt',
  'Mateus Okafor',
  'Noor Halvorsen',
  'Oskar Tanaka',
  'Priya Eklund',
  'Quentin Asante',
  'Rosa Lindgren',
  'Santeri Das',
  'Tomke Ferreira',
  'Uma Kowalczyk',
  'Viggo Haddad',
  'Wren Abebe',
  'Yusuf Marchetti',
];

const NAMES_8A = [
  'Anouk Silva',
  'Beniel Castro',
  'Cato Njoroge',
  'Dilnoza Berg',
  'Elio Tamm',
  'Farida Kjeldsen',
  'Gustavo Lehmann',
  'Hedda Osei',
  'Imre Valdez',
  'Jomo Pereira',
  'Kaia Sundaram',
  'Lazlo Mwangi',
  'Mira Thorsen',
  'Nikolai Boateng',
  'Olivia Rask',
  'Pavel Okonkwo',
  'Teo Marinova',
  'Yara Dubois',
];

const NAMES_11 = [
  'Aino Baptiste',
  'Bruno Lahti',
  'Celine Adeyemi',
  'Dmitri Solheim',
  'Esther Nwosu',
  'Fabio Jansen',
  'Greta Amadi',
  'Henrik Costa',
  'Inaya Virtanen',
  'Jonas Traore',
  'Klara Ndiaye',
  'Luca Bergstrom',
];

const students = (names: readonly string[]): DemoPerson[] =>
  names.map((full) => {
    const [givenName, familyName] = full.split(' ') as [string, string];
    return { name: givenName.toLowerCase(), givenName, familyName, role: 'student' };
  });

export const STUDENTS_9B = students(NAMES_9B);
export const STUDENTS_11 = students(NAMES_11);
export const STUDENTS_8A = students(NAMES_8A);

/** Sign-in names of those the first page offers with one click, and what each shows. */
export const FIRST_PAGE: Record<string, string> = {
  maren: 'Teacher: eleven maps wait to be marked',
  noor: 'Student: has handed in',
  juno: 'Student: half way through',
  kofi: 'Student: got the map back',
  amara: 'Student: has not begun',
  tobias: 'Teacher: English, with a draft',
  halina: 'Administrator',
};

export const CLASS_9B = {
  name: 'Technology 9B',
  staff: { maren: 'teacher', piet: 'assistant' } as Record<string, Part>,
};

export const CLASS_11 = {
  name: 'Technology 11 project group',
  staff: { maren: 'teacher', piet: 'assistant' } as Record<string, Part>,
};

export const CLASS_8A = { name: 'English 8A', teacher: 'tobias' };
/** Put away with all marks in. */
export const CLASS_7A = { name: 'English 7A, last term', teacher: 'tobias' };
