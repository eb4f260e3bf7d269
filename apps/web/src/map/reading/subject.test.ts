import type { Legend } from '@ichnograph/core';
import { emptyMap } from '@ichnograph/core';
import { subjectAt, subjectOf } from './comment-card';

const legend = { topicKinds: [], linkKinds: [] } as unknown as Legend;
const map = {
  ...emptyMap(),
  topics: [
    { id: 't', text: 'Arch' },
    { id: 'u', text: 'Pier' },
  ],
  links: [{ id: 'l', from: 't', to: 'u', phrase: 'stands on a', kind: null }],
  pictures: [{ id: 'p', src: 'x', x: 40, y: 50, width: 10, height: 10 }],
  regions: [{ id: 'r', title: 'Ground', topics: ['u'] }],
} as never;

test('a comment speaks of what is chosen; of a picture its middle; of a spot before all; else of the whole map', () => {
  expect(subjectAt(map, 't')).toEqual({ anchor: 'topic', target: 't' });
  expect(subjectAt(map, 'r')).toEqual({ anchor: 'region', target: 'r' });
  expect(subjectAt(map, 'l')).toEqual({ anchor: 'proposition', target: 'l' });
  expect(subjectAt(map, 'l', null, 'link')).toEqual({ anchor: 'link', target: 'l' });
  expect(subjectAt(map, 'p').anchor).toBe('spot');
  expect(subjectAt(map, 't', '1,2')).toEqual({ anchor: 'spot', target: '1,2' });
  expect(subjectAt(map, undefined)).toEqual({ anchor: 'map', target: null });
  // What another took off the map meanwhile is nothing to speak of.
  expect(subjectAt(map, 'gone')).toEqual({ anchor: 'map', target: null });
});

test('what it speaks of is said in words, also where it is gone', () => {
  const said = (anchor: never, target: string | null): string => subjectOf(map, legend, { anchor, target });
  const all = [
    ['map', null, 'on the whole map'],
    ['result', 'x', 'on a result'],
    ['spot', '1,2', 'on this spot'],
    ['region', 'r', 'on the region “Ground”'],
    ['topic', 't', 'on “Arch”'],
    ['topic', 'gone', 'on “what is gone”'],
    ['link', 'l', 'on the link from “Arch” to “Pier”'],
    ['proposition', 'l', 'on “Arch stands on a Pier”'],
    ['proposition', 'gone', 'on what is gone'],
  ] as const;
  for (const [anchor, target, words] of all) expect(said(anchor as never, target)).toBe(words);
});
