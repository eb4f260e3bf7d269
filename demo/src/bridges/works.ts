import type { TopicMap } from '@ichnograph/core';
import { draw } from '../draw.js';
import { legend, TARGETS } from './assignment.js';

/**
 * Three students' maps, drawn by hand. Ids that the starter has are the topics it gave out; all others are the
 * student's own.
 */

/** Noor: nearly perfect. “Foundations” is a term with an s too many, which counts; one link still lacks its words. */
export const noor: TopicMap = draw(legend, 'How a bridge hands its loads down', [
  ['bridge', 'Bridge', 'bridge', 0, 0],
  ['loads', 'Loads', 'family', -330, 105], ['ways', 'Ways to span', 'family', 40, 105], ['down', 'Ways down', 'family', 470, 105],
  ['dead', 'Dead load', 'force', -450, 215], ['live', 'Live load', 'force', -330, 230], ['wind', 'Wind load', 'force', -215, 215],
  ['bus', 'bus 40 at the stop on the bridge', 'seen', -405, 350], ['torsion', 'Torsion', 'force', -245, 345],
  ['resonance', 'Resonance', 'force', -155, 295],
  ['beam', 'Beam', 'part', -80, 210], ['truss', 'Truss', 'part', 20, 210], ['arch', 'Arch', 'part', 120, 210], ['cable', 'Cable', 'part', 260, 210],
  ['bending', 'Bending', 'force', -85, 400], ['shear', 'Shear', 'force', -20, 330], ['compression', 'Compression', 'force', 85, 360],
  ['keystone', 'Keystone', 'part', 185, 300], ['tension', 'Tension', 'force', 285, 325],
  ['span', 'Span', 'part', 470, 195], ['deck', 'Deck', 'part', 470, 280], ['joint', 'Expansion joint', 'part', 620, 280],
  ['bearing', 'Bearing', 'part', 470, 365], ['pier', 'Pier', 'part', 470, 450], ['tower', 'Tower', 'part', 375, 310],
  ['anchorage', 'Anchorage', 'part', 345, 440], ['abutment', 'Abutment', 'part', 190, 460],
  ['foundation', 'Foundations', 'part', 330, 570],
  ['trace', TARGETS[0], 'target', 100, 570], ['tell', TARGETS[1], 'target', 22, 490], ['choose', TARGETS[2], 'target', 310, -30],
], [
  ['bridge', 'must carry', 'loads'], ['bridge', 'can be built in', 'ways'], ['bridge', 'needs', 'down'],
  ['loads', 'lie still as', 'dead', { phraseAt: 0.62 }], ['loads', 'drive past as', 'live'], ['loads', 'blow as', 'wind', { phraseAt: 0.62 }],
  ['bus', 'is a', 'live'], ['wind', 'twists by', 'torsion', { phraseAt: 0.66 }], ['wind', 'can shake into', 'resonance', { phraseAt: 0.4 }],
  ['ways', 'lie on a', 'beam', { phraseAt: 0.6 }], ['ways', 'zigzag in a', 'truss', { phraseAt: 0.36 }], ['ways', 'curve in an', 'arch', { phraseAt: 0.66 }], ['ways', 'hang on a', 'cable', { phraseAt: 0.52 }],
  ['beam', 'sags by', 'bending', { phraseAt: 0.76 }], ['beam', 'is cut by', 'shear'], ['truss', 'splits loads into', 'compression', { phraseAt: 0.62 }],
  ['arch', 'squeezes by', 'compression', { phraseAt: 0.1 }], ['arch', 'is locked by a', 'keystone', { phraseAt: 0.8 }],
  ['cable', 'pulls by', 'tension', { phraseAt: 0.72 }], ['cable', 'hangs over a', 'tower'],
  ['down', 'begin at the', 'span'], ['span', 'bears the', 'deck'], ['deck', '', 'joint'], ['deck', 'sits on a', 'bearing'],
  ['bearing', 'hands over to a', 'pier'], ['pier', 'stands on', 'foundation'], ['anchorage', 'is sunk in', 'foundation'],
  ['keystone', 'pushes the sides into an', 'abutment', { phraseAt: 0.72 }], ['abutment', 'leans on', 'foundation'],
  ['tower', 'holds the line to an', 'anchorage'],
  ['trace', '', 'foundation', { kind: 'shows' }], ['tell', '', 'compression', { kind: 'shows' }], ['choose', '', 'ways', { kind: 'shows' }],
]);

/** Juno: half done. Sorted into two families, a few links without words, much still in the bank. */
export const juno: TopicMap = draw(legend, 'How bridges carry loads', [
  ['bridge', 'Bridge', 'bridge', 0, 0],
  ['shapes', 'Shapes', 'family', -220, 120], ['pushes', 'Pushes and pulls', 'family', 220, 120],
  ['beam', 'Beam', 'part', -400, 240], ['arch', 'Arch', 'part', -220, 240], ['cable', 'Cable', 'part', -40, 240],
  ['live', 'Live load', 'force', 90, 240], ['compression', 'Compression', 'force', 230, 240], ['tension', 'Tension', 'force', 370, 240],
  ['deck', 'Deck', 'part', 90, 350], ['pier', 'Pier', 'part', 90, 450], ['keystone', 'Keystone', 'part', -220, 350],
  ['trace', TARGETS[0], 'target', 320, 360], ['tell', TARGETS[1], 'target', 320, 440], ['choose', TARGETS[2], 'target', -440, 120],
], [
  ['bridge', 'comes in different', 'shapes'], ['bridge', 'stands up to', 'pushes'],
  ['shapes', 'can be a', 'beam'], ['shapes', 'can be an', 'arch'], ['shapes', 'can hang on a', 'cable'],
  ['pushes', 'start with a', 'live'], ['pushes', '', 'compression'], ['pushes', '', 'tension'],
  ['arch', 'is closed by a', 'keystone'], ['live', 'rolls over the', 'deck'], ['deck', 'rests on a', 'pier'],
  ['choose', '', 'shapes', { kind: 'shows' }],
]);

/** Kofi: handed in and returned. Two terms apart, one renamed, crossings, and three phrases that say little. */
export const kofi: TopicMap = draw(legend, 'Bridges', [
  ['bridge', 'Bridge', 'bridge', 0, 0],
  ['forces', 'Forces', 'family', -300, 120], ['bits', 'Building parts', 'family', 260, 120],
  ['live', 'Traffic', 'force', -470, 240], ['dead', 'Dead load', 'force', -330, 240], ['wind', 'Wind load', 'force', -190, 240],
  ['compression', 'Compression', 'force', -470, 360], ['tension', 'Tension', 'force', -320, 360], ['bending', 'Bending', 'force', -190, 360],
  ['shear', 'Shear', 'force', -70, 360],
  ['beam', 'Beam', 'part', -20, 240], ['arch', 'Arch', 'part', 100, 240], ['cable', 'Cable', 'part', 220, 240], ['truss', 'Truss', 'part', 340, 240],
  ['deck', 'Deck', 'part', 460, 240], ['tower', 'Tower', 'part', 220, 360], ['keystone', 'Keystone', 'part', 90, 360],
  ['pier', 'Pier', 'part', 460, 360], ['foundation', 'Foundation', 'part', 340, 470], ['abutment', 'Abutment', 'part', 160, 470],
  ['ferry', 'old stone bridge by the ferry landing', 'seen', -40, 480],
  ['torsion', 'Torsion', 'force', -430, 480], ['span', 'Span', 'part', 590, 360],
  ['trace', TARGETS[0], 'target', 600, 480], ['tell', TARGETS[1], 'target', -470, 570], ['choose', TARGETS[2], 'target', 520, 120],
], [
  ['bridge', 'feels', 'forces'], ['bridge', 'is made of', 'bits'],
  ['forces', 'has', 'live'], ['forces', 'has', 'dead'], ['forces', 'has', 'wind'], ['live', 'makes', 'compression'],
  ['wind', 'bends by', 'bending'], ['dead', 'stretches by', 'tension'], ['beam', 'is cut by', 'shear'],
  ['bits', 'can be a', 'beam'], ['bits', 'can be an', 'arch'], ['bits', 'can be a', 'cable'], ['bits', 'can be a', 'truss'], ['bits', 'include the', 'deck'],
  ['arch', 'is closed by a', 'keystone'], ['cable', 'hangs from a', 'tower'], ['deck', 'stands on a', 'pier'],
  ['pier', 'goes down to the', 'foundation'], ['arch', 'pushes on the', 'abutment', { route: 'curved', bend: -0.12 }], ['abutment', 'goes into the', 'foundation'],
  ['ferry', 'is an', 'arch', { route: 'curved', bend: -0.3 }], ['compression', 'acts in the', 'beam'], ['tension', 'acts in the', 'cable'],
  ['trace', '', 'foundation', { kind: 'shows' }], ['choose', '', 'bits', { kind: 'shows' }],
]);
