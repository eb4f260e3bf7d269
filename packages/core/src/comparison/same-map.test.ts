import { link, mapOf, topic } from '../testing/make.js';
import { countChanged, isSameMap } from './same-map.js';

const map = mapOf([topic('a'), topic('b'), topic('c')], [link('a', 'b')]);

test.each([
  ['itself', map, 0],
  [
    'by others, in another order of the document, with another author and bank',
    {
      ...map,
      author: 'Noor',
      topics: map.topics.map((one, i) => ({ ...one, by: 'noor', order: `o${i}`, note: undefined })),
      wordBank: [{ id: 'w', text: 'Pier' }],
    },
    0,
  ],
  ['a topic moved', { ...map, topics: map.topics.map((one) => (one.id === 'a' ? { ...one, x: one.x + 1 } : one)) }, 1],
  ['a topic gone and one new', { ...map, topics: [...map.topics.slice(0, 2), topic('d')] }, 2],
  [
    'words on a link and a title',
    { ...map, title: 'New', links: map.links.map((one) => ({ ...one, phrase: 'has' })) },
    2,
  ],
  ['a region', { ...map, regions: [{ id: 'r', topics: ['a'], title: 'R', fill: '#ffffff' }] }, 1],
])('%s: what changed is counted', (_, other, count) => {
  expect(countChanged(map, other)).toBe(count);
  expect(isSameMap(map, other)).toBe(count === 0);
});
