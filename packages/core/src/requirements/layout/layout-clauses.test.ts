import { bridge, clauses, part, root } from '../../testing/clauses.js';
import { link, mapOf } from '../../testing/make.js';
import type { Link, Topic, TopicMap } from '../../map/types.js';

const cross = mapOf(
  [part('a'), part('b', { x: 400, y: 400 }), part('c', { x: 400 }), part('d', { y: 400 })],
  [link('a', 'b'), link('c', 'd')],
);
const line = (middle: Partial<Topic>, more: Partial<Link> = {}): TopicMap =>
  mapOf([part('a'), part('m', { x: 200, ...middle }), part('b', { x: 400 })], [link('a', 'b', more)]);
clauses([
  { says: 'one over none is a half', type: 'few-crossings', map: cross, gives: [0.5, 'a-b', 'c-d'] },
  { says: 'as many as allowed are none too many', type: 'few-crossings', params: { max: 1 }, map: cross, gives: [1] },
  {
    says: 'links with an end in common do not cross',
    type: 'few-crossings',
    map: mapOf(cross.topics as Topic[], [link('a', 'b'), link('a', 'c'), link('a', 'd')]),
    gives: [1],
  },
  { says: 'behind a filled topic it is excused', type: 'clear-text', map: line({}), gives: [1] },
  { says: 'not when the topic has no fill', type: 'clear-text', map: line({ fill: 'none' }), gives: [0, 'a-b', 'm'] },
  { says: 'nor when the line lies above', type: 'clear-text', map: line({}, { z: 2 }), gives: [0, 'a-b', 'm'] },
  {
    says: 'nor when nothing is excused',
    type: 'clear-text',
    params: { excuseBehind: false },
    map: line({}),
    gives: [0, 'a-b', 'm'],
  },
  {
    says: 'the rim of a topic holds no words',
    type: 'clear-text',
    params: { excuseBehind: false },
    map: line({ y: 17, height: 40 }),
    gives: [1],
  },
  {
    says: 'touching is not overlapping, and a gap is asked on both sides together',
    type: 'no-overlaps',
    map: mapOf([part('a'), part('b', { x: 100 })]),
    gives: [1],
  },
  {
    says: 'closer than the gap is too close',
    type: 'no-overlaps',
    params: { gap: 20 },
    map: mapOf([part('a'), part('b', { x: 119 }), part('c', { x: 239 })]),
    gives: [1 / 3, 'a', 'b'],
  },
  {
    says: 'what is measured is the drawn part',
    type: 'short-links',
    params: { max: 300 },
    map: mapOf([part('a'), part('b', { x: 400 }), part('c', { x: 1000 })], [link('a', 'b'), link('b', 'c')]),
    gives: [0.5, 'b-c'],
  },
  {
    says: 'equal numbers make no pair; either way takes the better',
    type: 'in-sequence',
    map: mapOf([
      part('a', { sequence: 1 }),
      part('b', { sequence: 1, x: -50 }),
      part('c', { sequence: 2, x: -90, y: 90 }),
    ]),
    gives: [1],
  },
  {
    says: 'right and down as good: right, and both of the others are flagged',
    type: 'in-sequence',
    map: mapOf([
      part('a', { sequence: 1 }),
      part('b', { sequence: 2, x: 90, y: -90 }),
      part('c', { sequence: 3, x: 50, y: 0 }),
    ]),
    gives: [0.5, 'b', 'c'],
  },
  {
    says: 'a step counts whichever way its arrow points',
    type: 'arrangement',
    params: { form: 'downward', minShare: 1 },
    assignment: bridge,
    map: mapOf([root, part('a', { y: 100 }), part('b', { y: 50 })], [link('a', 'r'), link('a', 'b')]),
    gives: [0.5, 'a-b'],
  },
  {
    says: 'outward is from the root’s centre',
    type: 'arrangement',
    params: { form: 'outward', minShare: 1 },
    assignment: bridge,
    map: mapOf([root, part('a', { y: -100 }), part('b', { x: 300 })], [link('r', 'a'), link('a', 'b')]),
    gives: [1],
  },
  {
    says: 'a small map is not blown up: words stay as small as they are',
    type: 'fits-paper',
    params: { minPoint: 12 },
    map: mapOf([part('a', { fontSize: 8 })]),
    gives: [0.5, 'a'],
  },
  {
    says: 'one that is wider than the sheet shrinks, and its words with it',
    type: 'fits-paper',
    params: { orientation: 'portrait', minPoint: 10.5 },
    map: mapOf([part('a'), part('b', { x: 1296.6 - 140 })]),
    gives: [((190 / 25.4) * 96) / 1296.6, 'a', 'b'],
  },
  {
    says: 'blank fields are empty',
    type: 'map-details',
    map: { ...mapOf([part('a')]), title: 'A map', author: ' ' },
    gives: [1 / 3],
  },
  {
    says: 'stops at what is gone do not count, and the longest tour does',
    type: 'tour',
    params: { minStops: 2 },
    map: {
      ...mapOf([part('a'), part('b')]),
      tours: [
        {
          id: 't',
          title: '',
          stops: [
            { topic: 'gone', words: '' },
            { topic: 'a', words: '' },
          ],
        },
        { id: 'u', title: '', stops: [{ topic: 'gone', words: '' }] },
      ],
    },
    gives: [0.5],
  },
  {
    says: 'what nobody is named for is left out of the shares',
    type: 'group-share',
    params: { minShare: 0.5 },
    context: { members: ['me', 'you'] },
    map: mapOf([part('a', { by: 'me' }), part('b', { by: 'you' }), part('c')]),
    gives: [1],
  },
  {
    says: 'without a context it does not apply',
    type: 'group-share',
    map: mapOf([part('a', { by: 'me' })]),
    gives: [null],
  },
  {
    says: 'without a due time it does not apply',
    type: 'on-time',
    context: { due: null, handedIn: '2026-03-02T17:00:00Z' },
    map: mapOf([part('a')]),
    gives: [null],
  },
]);
