import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import net from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';

const node = (args: string[]) =>
  spawnSync(process.execPath, args, { encoding: 'utf8', env: { ...process.env, NODE_OPTIONS: '', INIT_CWD: '' } });
const cases = (...parts: string[]): string => path.join('packages/core/testdata/cases', ...parts);
const check = (...args: string[]) => node(['apps/cli/dist/check.js', ...args]);

describe('class and weigh', () => {
  const compared = (...parts: string[]): string => path.join('packages/core/testdata/comparison-cases', ...parts);
  const maps = (folder: string, many: number): string[] =>
    Array.from({ length: many }, (_, i) => compared(folder, `map-0${i}.json`));
  test('print what they find as JSON', () => {
    const folder = 'class/strongest-of-five';
    const { status, stdout } = node([
      'apps/cli/dist/class.js',
      compared(folder, 'assignment.json'),
      ...maps(folder, 5),
    ]);
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ strongest: expect.any(Array) as unknown, likeness: { length: 10 } });
  });
  test.each<[string, string[], RegExp]>([
    [
      'marks that are all the same',
      ['marks.json', ...[0, 1, 2, 3, 4, 5].map((i) => `map-0${i}.json`)],
      /the same mark/,
    ],
    ['a file that holds no marks', ['assignment.json', 'map-00.json'], /\$\.marks must be a list of shares/],
    ['too few maps', ['marks.json', 'map-00.json'], /6 marks/],
  ])('weigh refuses %s by a sentence', (_, files, words) => {
    const folder = 'weigh/all-marks-the-same';
    const [assignment, ...others] = ['assignment.json', ...files].map((file) => compared(folder, file));
    const { status, stdout, stderr } = node(['apps/cli/dist/weigh.js', assignment!, ...others]);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toMatch(words);
  });
});

describe('convert', () => {
  const kiln = 'packages/formats/testdata/format-cases/kiln.json';
  let folder = '';
  beforeAll(() => {
    folder = mkdtempSync(path.join(tmpdir(), 'ichnograph-convert-'));
  });
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  const at = (name: string): string => path.join(folder, name);
  const convert = (...args: string[]) => node(['apps/cli/dist/convert.js', ...args]);
  /** What was said on standard error, line by line. */
  const lines = (stderr: string): string[] => stderr.split('\n').filter((line) => line !== '');

  test('writes a file by its ending in any case, and says line by line what it dropped', () => {
    const { status, stdout, stderr } = convert(kiln, at('kiln.OPML'));
    expect([status, stdout]).toEqual([0, '']);
    expect(lines(stderr)).toEqual(['kinds: left out, those of links', 'regions: left out']);
    expect(readFileSync(at('kiln.OPML'), 'utf8')).toContain('text="Fire &amp; draught"');
    expect(convert(at('kiln.OPML'), at('back.json')).status).toBe(0);
    expect(JSON.parse(readFileSync(at('back.json'), 'utf8'))).toMatchObject({ title: 'A kiln', author: 'Alder Quay' });
  });
  test.each<[string, string, string, string[], RegExp]>([
    ['an ending that is not known', kiln, 'x.foo', [], /^.*x\.foo: .*“\.foo”/],
    ['a file that is written only', 'x.svg', 'x.json', [], /cannot|no file .* can be read/],
    ['a file that is not there', 'none.csv', 'x.json', [], /none\.csv: could not be read \(ENOENT\)/],
    ['a folder that is not there', kiln, 'none/x.csv', [], /no such folder/],
    ['an option of another format', kiln, 'x.csv', ['--grey'], /--grey: is no option of csv/],
    ['columns where there is no table', kiln, 'x.csv', ['--columns', 'from=1'], /is none/],
    ['an option that is not known', kiln, 'x.csv', ['--nonsense'], /nonsense/],
    ['a size that there is not', kiln, 'x.png', ['--scale', '3'], /“3” is none of 1, 2, 4/],
    ['an assignment that is none', kiln, 'x.csv', ['--assignment', kiln], /\$/],
  ])('refuses %s by one line, and leaves what is there', (_, input, output, options, words) => {
    if (!output.includes('/')) writeFileSync(at(output), 'as it was');
    const { status, stdout, stderr } = convert(input, at(output), ...options);
    expect([status, stdout]).toEqual([2, '']);
    expect(lines(stderr)).toHaveLength(1);
    expect(stderr).toMatch(words);
    if (!output.includes('/')) expect(readFileSync(at(output), 'utf8')).toBe('as it was');
  });
  test('a file that cannot be read leaves nothing behind, nor does one that is written over itself', () => {
    writeFileSync(at('bad.xtm'), '<topicMap version="1.0"/>');
    const { status, stderr } = convert(at('bad.xtm'), at('bad.json'));
    expect([status, existsSync(at('bad.json'))]).toEqual([2, false]);
    expect(stderr).toContain('bad.xtm: is an XML Topic Map of version 1.0');
    writeFileSync(at('same.csv'), 'a,b');
    expect(convert(at('same.csv'), at('same.csv')).status).toBe(2);
    expect(readFileSync(at('same.csv'), 'utf8')).toBe('a,b');
  });
});

describe('tidy', () => {
  const map = 'packages/core/testdata/bridges/map.json';
  const tidy = (...args: string[]) => node(['apps/cli/dist/tidy.js', ...args]);
  test('prints the map laid out anew, and moves no topic that was not named', () => {
    const before = JSON.parse(readFileSync(map, 'utf8')) as { topics: { id: string; x: number }[] };
    const [one, other, ...rest] = before.topics;
    const { status, stdout } = tidy(map, '--way', 'sideways', '--topics', `${one!.id},${other!.id}`);
    expect(status).toBe(0);
    const after = JSON.parse(stdout) as typeof before & { format: string };
    expect(after.format).toBe('ichnograph-map');
    expect(after.topics.slice(2).map(({ x }) => x)).toEqual(rest.map(({ x }) => x));
    expect(after.topics).toHaveLength(before.topics.length);
  });
  test('in a frame it is drawn in its proportion', () => {
    const sizeIn = (frame: string): number => {
      const { topics } = JSON.parse(
        tidy('packages/core/testdata/frame-cases/map-90.json', '--way', 'downward', '--frame', frame).stdout,
      ) as { topics: { x: number; y: number }[] };
      const spread = (of: readonly number[]): number => Math.max(...of) - Math.min(...of);
      return spread(topics.map(({ x }) => x)) / spread(topics.map(({ y }) => y));
    };
    expect(sizeIn('1200x600')).toBeGreaterThan(1.2);
    expect(sizeIn('600x1200')).toBeLessThan(0.8);
  });
  test.each([
    [['--way', 'upward'], /^usage: tidy/],
    [[], /^usage: tidy/],
    [['--way', 'downward', '--topics', 'nobody'], /no topic has the id “nobody”/],
    [['--way', 'downward', '--frame', '1126'], /--frame is a width and a height/],
    [['--way', 'downward', '--frame', '00x662'], /--frame is a width and a height/],
  ])('refuses %j by a sentence', (args, words) => {
    const { status, stdout, stderr } = tidy(map, ...args);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toMatch(words);
  });
});

describe('check', () => {
  const assignment = cases('terms-and-kinds/assignment.json');
  const maps = [cases('terms-and-kinds/map-1.json'), cases('terms-and-kinds/map-2.json')];

  test('json prints one report a map, in order', () => {
    const { status, stdout, stderr } = check(assignment, ...maps, '--format', 'json');
    expect([status, stderr]).toEqual([0, '']);
    const reports = JSON.parse(stdout) as { format: string; results: { status: string }[] }[];
    expect(reports.map(({ format }) => format)).toEqual(['ichnograph-report', 'ichnograph-report']);
    expect(reports[1]!.results[0]!.status).toBe('judge');
  });

  test('table and csv name the map in each row', () => {
    const table = check(assignment, ...maps)
      .stdout.trim()
      .split('\n');
    expect(table).toHaveLength(1 + 2 * 7);
    expect(table.slice(1).every((line) => line.startsWith('packages/'))).toBe(true);
    expect(check(assignment, maps[0]!, '--format', 'csv').stdout).toMatch(/^map,requirement,type,status/);
  });

  test.each<[string, string[], RegExp]>([
    ['a map that is none', [assignment, assignment], /assignment\.json: \$\.format must be "ichnograph-map"/],
    ['a file that is not there', [assignment, 'no-such.json'], /no-such\.json: \$ could not be read \(ENOENT\)/],
    ['a context that is none', [assignment, maps[0]!, '--context', maps[0]!], /map-1\.json: \$\.format/],
    ['no map', [assignment], /usage/],
    ['a format nobody knows', [assignment, maps[0]!, '--format', 'pdf'], /usage/],
    ['an option nobody knows', [assignment, '--what'], /usage/],
  ])('%s: exit 2 and one line with file, path and reason', (_, args, line) => {
    const { status, stdout, stderr } = check(...args);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr.trim().split('\n')).toHaveLength(1);
    expect(stderr).toMatch(line);
  });

  test('a name that a spreadsheet would run is written as text', () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'ichnograph-'));
    try {
      writeFileSync(
        path.join(folder, '=SUM(1).json'),
        JSON.stringify({
          format: 'ichnograph-map',
          version: 1,
          title: '',
          author: '',
          focusQuestion: '',
          topics: [],
          links: [],
        }),
      );
      const { stdout } = spawnSync(
        process.execPath,
        [path.resolve('apps/cli/dist/check.js'), path.resolve(assignment), '=SUM(1).json', '--format', 'csv'],
        { encoding: 'utf8', cwd: folder, env: { ...process.env, NODE_OPTIONS: '' } },
      );
      expect(stdout.split('\n')[1]).toMatch(/^"'=SUM/);
    } finally {
      rmSync(folder, { recursive: true });
    }
  });
});

describe('propose, spoil, review, terms, starter and compare', () => {
  const sample = (name: string): string => path.join('packages/core/testdata/bridges', name);
  const [assignment, map] = [sample('assignment.json'), sample('map.json')];
  const tool = (name: string, ...args: string[]) => node([`apps/cli/dist/${name}.js`, ...args]);
  const printed = <T>({ stdout }: { stdout: string }): T => JSON.parse(stdout) as T;

  test('propose prints requirements as in the file, each with its sentence', () => {
    const proposed = printed<{ id: string; type: string; params: object; sentence: string }[]>(
      tool('propose', assignment, map),
    );
    expect(proposed.length).toBeGreaterThanOrEqual(6);
    expect(proposed[0]).toMatchObject({
      type: 'all-terms-present',
      params: {},
      sentence: 'Every given term is on the map',
    });
  });

  test('spoil prints a map that check can read; one seed, one map', () => {
    const spoiled = tool('spoil', assignment, map, 'cut-loose', '7');
    expect(printed<{ format: string }>(spoiled).format).toBe('ichnograph-map');
    expect(tool('spoil', assignment, map, 'cut-loose', '7').stdout).toBe(spoiled.stdout);
  });

  test('review prints findings, and none for what asks for nothing', () => {
    expect(printed(tool('review', assignment))).toEqual([]);
    const findings = printed<{ code: string; requirements: string[]; sentence: string }[]>(
      tool('review', cases('tree-of-a-truss/assignment.json')),
    );
    expect(findings.map(({ code }) => code)).toEqual(['branches-over-branching']);
    expect(findings[0]).toMatchObject({ requirements: expect.any(Array), sentence: expect.stringMatching(/\.$/) });
  });

  test('terms prints the terms of an outline, and what it says of single lines', () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'ichnograph outline '));
    const file = path.join(folder, 'outline.txt');
    writeFileSync(file, 'Bridge\n  Arch | vault\n  arch\n');
    expect(printed(tool('terms', file, '--kinds', 'root,part'))).toEqual({
      terms: [
        { text: 'Bridge', accept: [], level: 1, under: null, kind: 'root' },
        { text: 'Arch', accept: ['vault'], level: 2, under: 'Bridge', kind: 'part' },
      ],
      messages: [{ line: 3, message: '“Arch” stands further up already, so it is not taken twice.' }],
    });
  });

  test('compare prints what became of a map, with and without its assignment', () => {
    const empty = { added: [], removed: [], rephrased: [], turned: [], rehung: [], recast: [], restyled: [] };
    expect(printed<{ links: object }>(tool('compare', map, map)).links).toEqual(empty);
    const spoilt = path.join(mkdtempSync(path.join(tmpdir(), 'ichnograph compare ')), 'spoilt.json');
    writeFileSync(spoilt, tool('spoil', assignment, map, 'turn-arrows', '1').stdout);
    const { links } = printed<{ links: { turned: string[][] } }>(
      tool('compare', map, spoilt, '--assignment', assignment),
    );
    expect(links.turned.length).toBeGreaterThan(0);
    expect(tool('compare', map)).toMatchObject({ status: 2, stderr: expect.stringContaining('usage: compare') });
    expect(tool('compare', map, assignment).status).toBe(2);
  });

  test('starter prints the map made from an assignment’s terms', () => {
    const map = printed<{ format: string; topics: { text: string }[] }>(tool('starter', assignment));
    expect(map.format).toBe('ichnograph-map');
    expect(map.topics.length).toBeGreaterThan(0);
  });

  test.each<[string, string[], RegExp]>([
    ['starter', [map], /map\.json: \$\.format/],
    ['terms', [], /^usage: terms/],
    ['terms', ['no such file'], /no such file: \$ could not be read \(ENOENT\)/],
    ['propose', [assignment], /^usage: propose/],
    ['propose', [map, map], /map\.json: \$\.format/],
    ['spoil', [assignment, map, 'toString', '1'], /no way to spoil/],
    ['spoil', [assignment, map, 'cut-loose', 'one'], /whole number/],
    ['review', [], /^usage: review/],
    ['review', ['no-such.json'], /could not be read/],
  ])('%s %j: exit 2 and one line', (name, args, line) => {
    const { status, stdout, stderr } = tool(name, ...args);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr.trim().split('\n')).toHaveLength(1);
    expect(stderr).toMatch(line);
  });

  test('a parameter that is wrong is refused with its path in the file', () => {
    const file = JSON.parse(readFileSync(assignment, 'utf8')) as { requirements: object[] };
    file.requirements = [
      { id: 'a', type: 'propositions-present', params: { propositions: [{ from: 'Arch' }] }, level: 'must', points: 1 },
    ];
    const folder = mkdtempSync(path.join(tmpdir(), 'ichnograph-'));
    try {
      writeFileSync(path.join(folder, 'bad.json'), JSON.stringify(file));
      const { status, stderr } = tool('review', path.join(folder, 'bad.json'));
      expect(status).toBe(2);
      expect(stderr).toContain('$.requirements[0].params.propositions[0].to is missing');
    } finally {
      rmSync(folder, { recursive: true });
    }
  });
});

describe('start', () => {
  const start = (...args: string[]) => node(['scripts/start.mjs', ...args]);
  const isSentence = ({ status, stderr }: { status: number | null; stderr: string }): void => {
    expect(status).toBe(1);
    expect(stderr).not.toMatch(/^\s+at /m);
  };

  test.each([
    [['--port', 'abc'], /is no port/],
    [['--port', '0'], /is no port/],
    [['--fresh', '--empty'], /choose one/],
    [['--nonsense'], /Unknown option/],
  ])('%j is refused with a sentence', (args, words) => {
    const ended = start(...args);
    isSentence(ended);
    expect(ended.stderr).toMatch(words);
  });

  test('a port in use is said before anything is touched', async () => {
    const other = net.createServer();
    await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
    const { port } = other.address() as net.AddressInfo;
    const ended = start('--port', String(port));
    other.close();
    isSentence(ended);
    expect(ended.stderr).toContain(`Port ${port} is in use`);
  });

  test('help says what there is', () => {
    expect(start('--help')).toMatchObject({ status: 0 });
    expect(start('--help').stdout).toContain('--empty');
  });
});
