import type { TopicMap } from '@ichnograph/core';
import { draw } from '../../draw.js';
import { legend, TARGETS } from '../assignment.js';

/** Juno: half done. Sorted into two families, a few links without words, much still in the bank. */
export const juno: TopicMap = draw(
  legend,
  'How bridges carry loads',
  [
    ['bridge', 'Bridge', 'bridge', 0, 0],
    ['shapes', 'Shapes', 'family', -220, 120],
    ['pushes', 'Pushes and pulls', 'family', 220, 120],
    ['beam', 'Beam', 'part', -400, 240],
    ['arch', 'Arch', 'part', -220, 240],
    ['cable', 'Cable', 'part', -40, 240],
    ['live', 'Live load', 'force', 90, 240],
    ['compression', 'Compression', 'force', 230, 240],
    ['tension', 'Tension', 'force', 370, 240],
    ['deck', 'Deck', 'part', 90, 350],
    ['pier', 'Pier', 'part', 90, 450],
    ['keystone', 'Keystone', 'part', -220, 350],
    ['trace', TARGETS[0], 'target', 320, 360],
    ['tell', TARGETS[1], 'target', 320, 440],
    ['choose', TARGETS[2], 'target', -440, 120],
  ],
  [
    ['bridge', 'comes in different', 'shapes'],
    ['bridge', 'stands up to', 'pushes'],
    ['shapes', 'can be a', 'beam'],
    ['shapes', 'can be an', 'arch'],
    ['shapes', 'can hang on a', 'cable'],
    ['pushes', 'start with a', 'live'],
    ['pushes', '', 'compression'],
    ['pushes', '', 'tension'],
    ['arch', 'is closed by a', 'keystone'],
    ['live', 'rolls over the', 'deck'],
    ['deck', 'rests on a', 'pier'],
    ['choose', '', 'shapes', { kind: 'shows' }],
  ],
);
