import { seeded, spoil } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { bridges } from './assignment.js';
import { juno } from './students/juno.js';
import { leila } from './students/leila.js';
import { noor } from './students/noor.js';
import { oskar } from './students/oskar.js';
import { quentin } from './students/quentin.js';
import { rosa } from './students/rosa.js';
import { santeri } from './students/santeri.js';
import { tomke, tomkeAgain } from './students/tomke.js';
import { viggo } from './students/viggo.js';
import { wren } from './students/wren.js';
import { yusuf } from './students/yusuf.js';

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

/** Mateus sat beside Leila: her map with another title, and hardly a word on its links. */
const mateus: TopicMap = { ...spoil(leila, bridges, 'strip-phrases', seeded(9)), title: 'Bridges and loads' };

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
  { name: 'oskar', begun: [-3, '16:02'], map: oskar, handedIn: [-1, '19:41'] },
  {
    name: 'quentin',
    begun: [-2, '13:30'],
    map: quentin,
    handedIn: [-1, '20:12'],
    note: 'It got a bit crowded.',
  },
  {
    name: 'rosa',
    begun: [-2, '14:10'],
    map: rosa,
    handedIn: [-1, '16:25'],
  },
  {
    name: 'viggo',
    begun: [-4, '17:45'],
    map: viggo,
    handedIn: [-2, '18:20'],
  },
  {
    name: 'yusuf',
    begun: [-3, '18:50'],
    map: yusuf,
    handedIn: [-1, '21:03'],
    note: 'I wanted it to look like night.',
  },
  { name: 'leila', begun: [-2, '15:12'], map: leila, handedIn: [-1, '15:58'] },
  {
    name: 'mateus',
    begun: [-1, '15:40'],
    map: mateus,
    handedIn: [-1, '16:01'],
  },
  {
    name: 'tomke',
    begun: [-5, '14:05'],
    map: tomke,
    handedIn: [-3, '16:30'],
    returned: {
      at: [-2, '09:15'],
      comment:
        'Everything is there, Tomke. Now much hangs straight from “Bridge”: under which of your families does each belong?',
    },
    again: {
      at: [-1, '17:50'],
      map: tomkeAgain,
      note: 'I moved them under the families.',
    },
  },
  {
    name: 'wren',
    begun: [-1, '16:20'],
    map: wren,
  },
];
