import { assignmentOf, link, topic } from '../testing/make.js';
import { colourDistance, contrast, luminance } from './colour.js';
import { effectiveKind, isStructural } from './kinds.js';
import { linkArrow, linkStyle, topicStyle } from './style.js';

const guided = assignmentOf();
const { legend } = guided;
const free = assignmentOf({ styleMode: 'free' });

test('a look is the mark’s own, else its kind’s, else the default', () => {
  expect(topicStyle(topic('a', { kind: 'own', fill: '#123456' }), legend)).toMatchObject({
    shape: 'parallelogram',
    fill: '#123456',
    outline: '#333333',
    fontSize: 14,
    z: 1,
  });
  expect(topicStyle(topic('a', { kind: 'nobody’s' }), legend)).toMatchObject({ shape: 'rounded', fill: '#ffffff' });
  expect(topicStyle(topic('a'), undefined)).toMatchObject({ shape: 'rounded', ink: '#1a1a1a', align: 'centre' });
  expect(linkStyle(link('a', 'b', { kind: 'shows', width: 1 }), legend)).toMatchObject({
    route: 'elbow',
    dash: 'dashed',
    width: 1,
    arrow: 'forward',
    bend: 0,
    z: 0,
  });
  expect(linkStyle(link('a', 'b', { route: 'curved' }), legend).bend).toBe(0.2);
  expect(linkStyle(link('a', 'b', { route: 'curved', bend: 0 }), legend).bend).toBe(0);
  expect(linkArrow(link('a', 'b', { arrow: 'none', kind: 'shows' }), legend)).toBe('none');
});

test('guided, the kind is the one a topic names, whatever it looks like', () => {
  expect(effectiveKind(topic('a', { kind: 'part', fill: '#f6dcd2' }), guided)?.id).toBe('part');
  expect(effectiveKind(topic('a', { kind: 'nobody’s' }), guided)).toBeUndefined();
  expect(effectiveKind(topic('a'), guided)).toBeUndefined();
});

test.each([
  ['same shape, nearest fill', { shape: 'rectangle', fill: '#d7e7ec' }, 'part'],
  ['a fill a hair off', { shape: 'rectangle', fill: '#d9e8ed' }, 'part'],
  ['too far off', { shape: 'rectangle', fill: '#aac0c8' }, undefined],
  ['another shape', { shape: 'ellipse', fill: '#d7e7ec' }, undefined],
  ['no fill is no colour', { shape: 'rectangle', fill: 'none' }, undefined],
] as const)('free, the kind is read off the looks: %s', (_, looks, kind) => {
  expect(effectiveKind(topic('a', { kind: 'own', ...looks }), free)?.id).toBe(kind);
});

test('free, of kinds that agree the nearest is taken, then the first; what a legend reads by counts alone', () => {
  const kind = (id: string, fill: string, outline: string) => ({
    ...legend.topicKinds[1]!,
    id,
    fill,
    outline,
  });
  const twins = assignmentOf({
    styleMode: 'free',
    legend: { topicKinds: [kind('one', '#d7e7ec', '#aa0000'), kind('two', '#d7e7ec', '#00aa00')], linkKinds: [] },
  });
  const like = topic('a', { shape: 'rectangle', fill: '#d7e7ec', outline: '#00aa00' });
  expect(effectiveKind(like, twins)?.id).toBe('one');
  const byOutline = { ...twins, legend: { ...twins.legend, readBy: ['outline' as const] } };
  expect(effectiveKind({ ...like, shape: 'diamond', fill: '#000000' }, byOutline)?.id).toBe('two');
});

test('what says nothing of itself belongs to the structure', () => {
  expect([undefined, {}, { structural: true }, { structural: false }].map(isStructural)).toEqual([
    true,
    true,
    true,
    false,
  ]);
});

test('colours: distances both ways alike, no fill apart from every colour, paper white', () => {
  expect(colourDistance('#ABCDEF', '#abcdef')).toBe(0);
  expect(colourDistance('#d7e7ec', '#f6dcd2')).toBeCloseTo(colourDistance('#f6dcd2', '#d7e7ec'), 12);
  // White to black is 100 in lightness alone.
  expect(colourDistance('#ffffff', '#000000')).toBeCloseTo(100, 3);
  expect([colourDistance('none', 'none'), colourDistance('none', '#ffffff')]).toEqual([0, Infinity]);
  expect([luminance('none'), luminance('#000000')]).toEqual([1, 0]);
  // The worked value of WCAG’s own definition for mid grey #777777 on white.
  expect(contrast('#777777', 'none')).toBeCloseTo(4.48, 2);
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 9);
  expect(() => colourDistance('red-ish', '#ffffff')).toThrow('not a colour: red-ish');
});
