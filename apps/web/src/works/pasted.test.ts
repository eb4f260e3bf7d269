/** @jest-environment jsdom */
import { gatherText, emptyMap } from '@ichnograph/core';
import { pastedFrom } from './pasted';

const clipboard = (plain: string, html = '', files: File[] = []) =>
  pastedFrom({ getData: (type) => (type === 'text/html' ? html : type === 'text/plain' ? plain : ''), files });

test('nested lists keep their levels, however the page nests them', () => {
  const inItem = '<ul><li>Bridge<ul><li>Arch<ol><li>Keystone</li></ol></li><li>Beam</li></ul></li><li>Load</li></ul>';
  const between = '<ul><li>Bridge</li><ul><li>Arch</li><ol><li>Keystone</li></ol><li>Beam</li></ul><li>Load</li></ul>';
  const wanted = 'Bridge\n\tArch\n\t\tKeystone\n\tBeam\nLoad';
  for (const html of [inItem, between, `<meta charset="utf-8"><style>li{}</style>${inItem}`])
    expect(clipboard('Bridge\nArch\nKeystone\nBeam\nLoad', html).text).toBe(wanted);
  const { outcome } = gatherText(
    emptyMap(),
    wanted,
    { at: { x: 0, y: 0 }, kind: null, linkKind: null },
    { newId: () => crypto.randomUUID(), by: 'me' },
    { topicKinds: [], linkKinds: [] },
  );
  expect(outcome).toMatchObject({ ok: true });
});

test('cells of a table come as columns, with breaks within one as spaces, and never as a picture of them', () => {
  const html = '<table><tr><td>Arch</td><td>works<br>by</td><td>Compression</td></tr></table>';
  const picture = new File(['x'], 'cells.png', { type: 'image/png' });
  expect(clipboard('Arch\t"works\nby"\tCompression', html, [picture])).toEqual({
    text: 'Arch\tworks by\tCompression',
    files: [],
  });
  expect(clipboard('Arch\t"works\nby"\tCompression\nPier\tstands on\t"the ""old"" ground"\n', '', [picture]).text).toBe(
    'Arch\tworks by\tCompression\nPier\tstands on\tthe "old" ground\n',
  );
});

test('text with a list in it is text; inches and speech are no cells; a picture alone is a file', () => {
  const page = '<p>Bring this:</p><ul><li>a pen</li></ul>';
  expect(clipboard('Bring this:\n\na pen', page).text).toBe('Bring this:\n\na pen');
  expect(clipboard('5" pipe\tis a\tpipe').text).toBe('5" pipe\tis a\tpipe');
  expect(clipboard('"Stop", she said').text).toBe('"Stop", she said');
  const photo = new File(['x'], 'IMG.jpg', { type: 'image/jpeg' });
  expect(clipboard('', '<img src="x">', [photo])).toEqual({ text: '', files: [photo] });
});
