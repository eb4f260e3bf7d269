import { seeded, spoil } from '@ichnograph/core';
import type { TopicMap, WayName } from '@ichnograph/core';
import { bridges } from './assignment.js';
import { juno, noor, santeri } from './works.js';

/** When things were done, in days before today and the hour, UTC. */
type When = [days: number, time: string];

export interface ClassWork {
  name: string;
  begun: When;
  map: TopicMap;
  handedIn?: When;
  note?: string;
  /** returned by the teacher with one comment on the whole */
  returned?: { at: When; comment: string };
  /** drawn again after it came back, and handed in once more */
  again?: { at: When; map: TopicMap; note: string };
}

const given = new Set(bridges.starter!.topics.map(({ id }) => id));
/** A drawn map as one that was begun from the starter: what it gave is known by its origin. */
const asBegun = (map: TopicMap): TopicMap => ({
  ...map,
  topics: map.topics.map((topic) => (given.has(topic.id) ? { ...topic, origin: topic.id } : topic)),
});

/** A good map gone wrong in the ways that real ones do. */
const gone = (title: string, base: TopicMap, seed: number, ...ways: WayName[]): TopicMap => {
  const random = seeded(seed);
  return ways.reduce((map, way) => spoil(map, bridges, way, random), { ...asBegun(base), title });
};

const reference = bridges.reference!;
const alike = gone('Bridges and what they carry', reference, 8, 'misspell-terms');

/** Technology 9B at work: whoever is not here has not begun. */
export const classWorks: ClassWork[] = [
  { name: 'juno', begun: [-1, '18:15'], map: juno },
  { name: 'noor', begun: [-2, '16:40'], map: noor, handedIn: [-1, '14:32'] },
  {
    name: 'santeri',
    begun: [-3, '15:20'],
    map: santeri,
    handedIn: [-1, '17:05'],
    note: 'Resonance is still in my bank. I did not understand it.',
  },
  { name: 'oskar', begun: [-3, '16:02'], map: gone('Bridges', noor, 3, 'rename-terms'), handedIn: [-1, '19:41'] },
  {
    name: 'quentin',
    begun: [-2, '13:30'],
    map: gone('How bridges carry loads', santeri, 14, 'cross-lines'),
    handedIn: [-1, '20:12'],
    note: 'It got a bit crowded.',
  },
  {
    name: 'rosa',
    begun: [-2, '14:10'],
    map: gone('Loads on a bridge', reference, 5, 'cut-loose'),
    handedIn: [-1, '16:25'],
  },
  {
    name: 'viggo',
    begun: [-4, '17:45'],
    map: gone('Bridge map', noor, 6, 'vague-phrases'),
    handedIn: [-2, '18:20'],
  },
  {
    name: 'yusuf',
    begun: [-3, '18:50'],
    map: gone('A bridge by night', santeri, 7, 'dark-fills'),
    handedIn: [-1, '21:03'],
    note: 'I wanted it to look like night.',
  },
  { name: 'leila', begun: [-2, '15:12'], map: alike, handedIn: [-1, '15:58'] },
  {
    name: 'mateus',
    begun: [-1, '15:40'],
    map: gone('Bridges and loads', alike, 9, 'strip-phrases'),
    handedIn: [-1, '16:01'],
  },
  {
    name: 'tomke',
    begun: [-5, '14:05'],
    map: gone('Bridges', noor, 10, 'all-to-root'),
    handedIn: [-3, '16:30'],
    returned: {
      at: [-2, '09:15'],
      comment:
        'Everything is there, Tomke. Now much hangs straight from “Bridge”: under which of your families does each belong?',
    },
    again: {
      at: [-1, '17:50'],
      map: gone('Bridges, sorted', noor, 11, 'double-topic'),
      note: 'I moved them under the families.',
    },
  },
  {
    name: 'wren',
    begun: [-1, '16:20'],
    map: gone('How bridges carry loads', reference, 12, 'drop-terms', 'lose-kinds'),
  },
];
