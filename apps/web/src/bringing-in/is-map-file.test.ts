import { FORMATS } from '@ichnograph/formats';
import { isMapFile } from './is-map-file';

test('the endings are those of the formats that can be read, and no others', () => {
  for (const { endings, read } of FORMATS)
    for (const ending of endings) expect([ending, isMapFile({ name: `a.${ending}` })]).toEqual([ending, Boolean(read)]);
  expect(isMapFile({ name: 'photo.JPG' })).toBe(false);
  expect(isMapFile({ name: 'A.CSV' })).toBe(true);
});
