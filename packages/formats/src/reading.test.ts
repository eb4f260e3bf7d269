import type { Legend } from '@ichnograph/core';
import { LEGEND } from './testing/any-map.js';
import { reading, refusal } from './testing/reading.js';

const legend: Legend = LEGEND;

describe('tables', () => {
  test('without a header by the number of columns, of four and more by what is told', async () => {
    expect((await reading('csv', 'Salt\nPepper\nSalt')).topics).toEqual(['Salt', 'Pepper']);
    expect((await reading('csv', 'a\tb\nb\tc')).links).toEqual(['a --> b', 'b --> c']);
    expect((await reading('csv', 'a;holds;b')).links).toEqual(['a -holds-> b']);
    expect(await refusal('csv', 'a,b,c,d')).toContain('--columns');
    const told = { from: 2, to: 4 };
    expect((await reading('csv', 'from,a,to,b', { columns: told })).links).toEqual(['a --> b']);
    const named = await reading('csv', 'Wer,Was,Wen,Wann\na,holds,b,now', {
      columns: { from: 'wer', phrase: 2, to: 'Wen' },
    });
    expect(named.links).toEqual(['a -holds-> b']);
    expect(named.said).toEqual(['Wann: left out: no column of a map']);
    await expect(reading('csv', 'a,b', { columns: { from: 'x' } })).rejects.toThrow('no column “x”');
  });
  test('the first kind given stands, and kinds become those of an assignment or are left out', async () => {
    const file =
      'from,phrase,to,from_kind,to_kind,link_kind\na,x,b,THING,Change & More,needs\na,y,c,Change & more,Nobody,';
    const free = await reading('csv', file);
    expect(free.map.legend?.topicKinds.map(({ id, name }) => [id, name])).toEqual([
      ['thing', 'THING'],
      ['change-more', 'Change & More'],
      ['nobody', 'Nobody'],
    ]);
    const { map, said } = await reading('csv', file, { legend });
    expect(map.topics.map(({ kind }) => kind)).toEqual(['thing', 'change', null]);
    expect(map.links.map(({ kind }) => kind)).toEqual(['needs', null]);
    expect(map.legend).toEqual(legend);
    expect(said).toEqual(['Nobody: a kind that the assignment does not have, left out']);
  });
  test('an empty table is an empty map; a link from a topic to itself is left out', async () => {
    expect((await reading('csv', '\ufeff\r\n')).topics).toEqual([]);
    expect((await reading('csv', 'a,a')).said).toEqual(['a link from a to itself: left out']);
  });
});

describe('plain text', () => {
  test('lines that are alike stay apart, bars are text, and numbers in brackets are taken off', async () => {
    const { topics, links } = await reading('txt', 'Sea | ocean\n\t(iv) Tide\n\t(2) Tide\n\t\t- Moon');
    expect(topics).toEqual(['Sea | ocean', 'Tide', 'Tide', 'Moon']);
    expect(links).toEqual(['Sea | ocean --> Tide', 'Sea | ocean --> Tide', 'Tide --> Moon']);
  });
});

describe('Markdown', () => {
  test('one heading of the first level with nothing below it but lists is the root', async () => {
    const { map, topics, links } = await reading('md', '# Sea\n\n- Tide\n  - *by the* Moon');
    expect([map.title, topics, links]).toEqual(['', ['Sea', 'Tide', 'Moon'], ['Sea --> Tide', 'Tide -by the-> Moon']]);
  });
  test('a title and a question alone are no topics', async () => {
    const { map } = await reading('md', '# Sea\n\n*Why does it move?*\n');
    expect([map.title, map.focusQuestion, map.topics]).toEqual(['Sea', 'Why does it move?', []]);
  });
  test('a tie makes a topic where there is none; what is in an empty item hangs one higher', async () => {
    const { links, topics } = await reading('md', '## Sea\n- → *is drawn by the* Moon\n- \n  - Tide');
    expect(topics).toEqual(['Sea', 'Tide', 'Moon']);
    expect(links).toEqual(['Sea -is drawn by the-> Moon', 'Sea --> Tide']);
  });
  test('everything else is a note, and said where nothing stands above it', async () => {
    const { map, said } = await reading(
      'md',
      'Before.\n\n## Sea\n\n| a |\n\n> Salt\n> water\n\n---\n\n- Tide\n\n  Twice a day.',
    );
    expect(map.topics.map(({ note }) => note)).toEqual(['| a |\n\nSalt\nwater\n\n---', 'Twice a day.']);
    expect(said).toEqual(['Before.: left out: it stands above every topic']);
  });
});

describe('DOT', () => {
  const links = async (text: string): Promise<string[]> => (await reading('dot', text)).links;
  test('alike edges of a strict graph are one; a graph that is not directed has no arrows', async () => {
    expect(await links('strict graph { a -- b; b -- a [label=x] }')).toEqual(['a -(none)-> b']);
    expect(await links('graph { a -- b; b -- a }')).toHaveLength(2);
  });
  test('labels: records, what looks like HTML, escapes and character references', async () => {
    const { topics } = await reading(
      'dot',
      `digraph { a [shape=record label="{<f0> left|right}|<f1>b\\|c"]; b [label=<<table><tr><td>x</td><td>y &eacute;<br/>z</td></tr></table>>];
        c [label="is \\N &amp; &#228;\\lnext"]; d:port:n -> 1.5 [label="x"] }`,
    );
    expect(topics).toEqual(['left right b|c', 'x y é\nz', 'is c & ä\nnext', 'd', '1.5']);
  });
  test('places and looks; a topic without a kind has that of the assignment which alone looks so', async () => {
    const file = 'digraph { a [pos="75,-150!" width=1 height=0.5 shape=box style=filled fillcolor="#d7e7ec"] }';
    const { map } = await reading('dot', file, { legend });
    expect(map.topics[0]).toEqual({ id: 'a', text: 'a', kind: 'thing', x: 100, y: 200, width: 96, height: 48 });
    expect((await reading('dot', file)).map.topics[0]).toMatchObject({
      kind: null,
      shape: 'rectangle',
      fill: '#d7e7ec',
    });
  });
  test('what the parser does not know is read all the same: strings that are joined, capitals, numerals, nothing said', async () => {
    const { topics, links } = await reading(
      'dot',
      'STRICT DiGraph {;;\n# one\n 007 -> -.5; 1.50 [label="a" + /* and */ "b"];; Node [shape=box]; "+" -> x }',
    );
    expect(topics).toEqual(['007', '-.5', 'ab', '+', 'x']);
    expect(links).toEqual(['007 --> -.5', '+ --> x']);
  });
  test('of several graphs the first is read', async () => {
    expect(await reading('dot', 'digraph a { x } digraph b { y }')).toMatchObject({
      topics: ['x'],
      said: ['graph b: left out: the first graph is read'],
    });
  });
});

describe('GraphML', () => {
  const graph = (inside: string): string =>
    `<graphml><key id="l" for="node" attr.name="label" attr.type="string"/><graph edgedefault="directed">${inside}</graph></graphml>`;
  test('a node that holds others and has a label is a region about all of them, and a topic where an edge ends at it', async () => {
    const group = `<node id="g"><data key="l">Harbour</data><graph><node id="a"/><node id="h"><graph><node id="b"/></graph></node></graph></node>`;
    const { map, topics } = await reading('graphml', graph(group));
    expect(topics).toEqual(['a', 'b']);
    expect(map.regions).toMatchObject([{ title: 'Harbour', topics: ['a', 'b'] }]);
    expect((await reading('graphml', graph(`${group}<edge source="g" target="a"/>`))).topics).toEqual([
      'Harbour',
      'a',
      'b',
    ]);
  });
  test('a second node of an id, hyperedges, ports and other graphs are left out, each said', async () => {
    const { said } = await reading(
      'graphml',
      graph('<node id="a"><port name="p"/></node><node id="a"/><hyperedge id="h"/>').replace(
        '</graphml>',
        '<graph id="z"/></graphml>',
      ),
    );
    expect(said.sort()).toEqual([
      'a second node a: left out',
      'graph z: left out: the first graph is read',
      'hyperedge h: left out: a map has none',
      'port p: left out: a map has none',
    ]);
  });
  test('where somebody changed the plain keys of our own file, they stand', async () => {
    const { map } = await reading('graphml', graph('').replace('<graph ', '<graph id="x" '));
    expect(map.topics).toEqual([]);
    const file = `<graphml><key id="l" for="node" attr.name="label"/><key id="s" for="node" attr.name="shape"/><key id="w" for="node" attr.name="ichnograph"/>
      <graph><node id="a"><data key="l">New</data><data key="s">hexagon</data><data key="w">${JSON.stringify({
        id: 'a',
        text: 'Old',
        kind: null,
        x: 1,
        y: 2,
        width: 50,
        height: 40,
        source: 'Book',
      })}</data></node></graph></graphml>`;
    expect((await reading('graphml', file)).map.topics[0]).toMatchObject({
      text: 'New',
      shape: 'hexagon',
      source: 'Book',
    });
  });
});

describe('XML Topic Maps', () => {
  test('version 1.0 is refused, and so is what names none', async () => {
    expect(await refusal('xtm', '<topicMap xmlns="http://www.topicmaps.org/xtm/1.0/"/>')).toContain('version 1.0');
    expect(await refusal('xtm', '<topicMap xmlns="http://www.topicmaps.org/xtm/" version="2.1"/>')).toBeNull();
  });
  test('occurrences are notes, sources and addresses; an association of one role is left out', async () => {
    const t = (id: string, inside: string): string =>
      `<topic id="${id}"><name><value>${id}</value></name>${inside}</topic>`;
    const occurrence = (type: string, value: string): string =>
      `<occurrence><type><topicRef href="#${type}"/></type>${value}</occurrence>`;
    const { map, said } = await reading(
      'xtm',
      `<topicMap xmlns="http://www.topicmaps.org/xtm/" version="2.0">${t('Description', '')}${t('source', '')}${t('page', '')}
        ${t('Bell', `${occurrence('Description', '<resourceData>Loud.</resourceData>')}${occurrence('source', '<resourceData>Book</resourceData>')}${occurrence('page', '<resourceRef href="https://example.org/bell"/>')}${occurrence('page', '<resourceData>12</resourceData>')}`)}
        <association><type><topicRef href="#page"/></type><role><type><topicRef href="#source"/></type><topicRef href="#Bell"/></role></association></topicMap>`,
    );
    expect(map.topics).toMatchObject([
      { text: 'Bell', note: 'Loud.', source: 'Book', weblinks: [{ url: 'https://example.org/bell' }] },
    ]);
    expect(said).toEqual(['an association “page” of one role: left out', '12: left out: no address of the web']);
  });
});

test('what is longer than there is room for is cut, and said', async () => {
  const { map, said } = await reading('txt', 'x'.repeat(400));
  expect(map.topics[0]!.text).toHaveLength(300);
  expect(said).toHaveLength(1);
});

test('a map file is read strictly, and its kinds by their names in an assignment', async () => {
  const file = {
    format: 'ichnograph-map',
    version: 1,
    title: '',
    author: '',
    focusQuestion: '',
    links: [],
    topics: [{ id: 'a', text: 'A', kind: 'k', x: 0, y: 0, width: 60, height: 40 }],
    legend: {
      topicKinds: [{ id: 'k', name: 'thing', purpose: '', givenBy: 'teacher', shape: 'note', fill: '#ffffff' }],
      linkKinds: [],
    },
  };
  expect((await reading('json', JSON.stringify(file), { legend })).map.topics[0]!.kind).toBe('thing');
  expect((await reading('json', JSON.stringify(file))).map.topics[0]!.kind).toBe('k');
  const other = await reading('json', JSON.stringify(file), { legend: { topicKinds: [], linkKinds: [] } });
  expect(other.map.topics[0]).toMatchObject({ kind: null, shape: 'note' });
  expect(other.said).toEqual(['thing: a kind that the assignment does not have, left out']);
  expect(await refusal('json', '{"format":"ichnograph-map"}')).toContain('$');
});
