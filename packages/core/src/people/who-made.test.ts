import { emptyMap } from '../map/types.js';
import { whoMade } from './who-made.js';

const topic = (id: string, by?: string) => ({
  id,
  text: id,
  kind: null,
  x: 0,
  y: 0,
  width: 80,
  height: 40,
  ...(by && { by }),
});
const link = (id: string, by?: string) => ({ id, from: 'a', to: 'b', phrase: '', kind: null, ...(by && { by }) });
const map = {
  ...emptyMap(),
  topics: [topic('given'), topic('a', 'noor'), topic('b', 'noor'), topic('c', 'gone')],
  links: [link('ab', 'juno')],
};

test('each member has what they made, others come behind, and what was given counts for nobody', () => {
  expect(whoMade(map, ['juno', 'kofi', 'noor'])).toEqual([
    { by: 'juno', topics: [], links: ['ab'], share: 0.25 },
    { by: 'kofi', topics: [], links: [], share: 0 },
    { by: 'noor', topics: ['a', 'b'], links: [], share: 0.5 },
    { by: 'gone', topics: ['c'], links: [], share: 0.25 },
    { by: null, topics: ['given'], links: [], share: 0 },
  ]);
});

test('of an empty map nobody made anything', () => {
  expect(whoMade(emptyMap(), ['noor'])).toEqual([{ by: 'noor', topics: [], links: [], share: 0 }]);
  expect(whoMade(emptyMap(), [])).toEqual([]);
});
