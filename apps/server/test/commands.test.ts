import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import net from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';

const node = (args: string[]) =>
  spawnSync(process.execPath, args, { encoding: 'utf8', env: { ...process.env, NODE_OPTIONS: '', INIT_CWD: '' } });
const cases = (...parts: string[]): string => path.join('packages/core/testdata/cases', ...parts);
const check = (...args: string[]) => node(['apps/cli/dist/check.js', ...args]);

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
