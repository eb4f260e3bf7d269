import { applyChanges } from '../map/changes.js';
import { fitTopic } from '../geometry/fit.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { ownWords, respell } from './own-words.js';

const assignment = assignmentOf({ terms: [{ text: 'Keystone', accept: ['top stone'] }] });
const map = mapOf(
  [
    topic('given', { text: 'Kepstone', origin: 's1' }),
    topic('own', { text: 'the brigde’s end, A4, NATO, x2y', note: 'see https://exampel.org: brigde' }),
    topic('term', { text: 'top stone' }),
  ],
  [link('own', 'term', { phrase: 'ist neer the' })],
);
const found = ownWords(map, assignment);

test('own words alone, once each, with where they stand; nothing given, no short forms, no addresses', () => {
  expect(found.map(({ word }) => word)).toEqual(['the', "brigde's", 'end', 'see', 'brigde', 'ist', 'neer']);
  expect(found.find(({ word }) => word === 'the')!.in).toEqual(['own', 'own-term']);
});

test('a word is written otherwise wherever its author wrote it, whole words alone, and topics fit', () => {
  const outcome = respell(map, 'neer', 'near', assignment.legend);
  const after = applyChanges(map, outcome.ok ? outcome.changes : []);
  expect(after.links[0]!.phrase).toBe('ist near the');
  const longer = respell(map, "brigde's", 'enormously long bridge’s', assignment.legend);
  const next = applyChanges(map, longer.ok ? longer.changes : []).topics[1]!;
  expect(next.text).toBe('the enormously long bridge’s end, A4, NATO, x2y');
  expect(next).toMatchObject(fitTopic(next, assignment.legend));
  expect(respell(map, 'Kepstone', 'Keystone', assignment.legend)).toEqual({ ok: true, changes: [] });
});
