import { applyChanges } from '../map/changes.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { sentenceOf } from '../propositions/sentence.js';
import type { TopicMap } from '../map/types.js';
import type { Outcome } from '../map/changes.js';
import { writeEnd, writeSentence } from './sentences.js';

const { legend } = assignmentOf();
const maker = () => {
  let n = 0;
  return { newId: () => `new-${++n}`, by: 'juno' };
};
const map = mapOf([topic('arch'), topic('load', { x: 300 }), topic('deck', { x: 600 })], [link('arch', 'load')]);
const write = (from: string, phrase: string, to: string): Outcome =>
  writeSentence(
    map,
    { from: { text: from, kind: null }, phrase, to: { text: to, kind: null }, kind: null, at: { x: 0, y: 500 } },
    maker(),
    legend,
  );
const read = (outcome: Outcome): string[] | string => {
  if (!outcome.ok) return outcome.code;
  const now: TopicMap = applyChanges(map, outcome.changes);
  const of = (id: string) => now.topics.find((one) => one.id === id)!;
  return now.links.map((one) => sentenceOf(one, of(one.from), of(one.to), legend));
};

describe('a sentence that is written', () => {
  test('joins topics that are there, and makes those that are not', () => {
    expect(read(write('Deck', 'rests on', 'ARCH'))).toEqual(['arch holds load.', 'deck rests on arch.']);
    expect(read(write('arch', 'needs', 'Abutment'))).toEqual(['arch holds load.', 'arch needs Abutment.']);
    expect(read(write('Wind', 'pushes', 'deck'))).toEqual(['arch holds load.', 'Wind pushes deck.']);
    expect(read(write('Wind', 'bends', 'Cable'))).toEqual(['arch holds load.', 'Wind bends Cable.']);
  });
  test('is refused, whole, where it cannot stand', () => {
    expect(read(write('arch', 'is', ' Arch'))).toBe('toItself');
    expect(read(write('arch', 'is', ' '))).toBe('endsWanted');
    expect(read(write('arch', 'bears', 'load'))).toBe('linkedAlready');
    expect(read(write('arch', 'x'.repeat(301), 'Cable'))).toBe('phraseTooLong');
    expect(read(write('arch', 'bears', 'x'.repeat(301)))).toBe('topicTooLong');
  });
});

describe('an end of a sentence', () => {
  const end = (text: string) => read(writeEnd(map, 'arch-load', 'to', text, legend));
  test('is led to the topic that bears the words, else its topic is reworded', () => {
    expect(end('deck')).toEqual(['arch holds deck.']);
    expect(end('Loads')).toEqual(['arch holds Loads.']);
    expect(end('LOAD')).toEqual(['arch holds LOAD.']);
    expect(end('arch')).toBe('toItself');
    expect(end(' ')).toBe('noWords');
  });
});
