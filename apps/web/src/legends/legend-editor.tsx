import { legendDistances, PALETTES } from '@ichnograph/core';
import type { Legend, LinkKind, TopicKind } from '@ichnograph/core';
import { Plus } from 'lucide-react';
import { announce } from '../common/announcer';
import { focusIn } from '../common/focus-on';
import { moved, placeAloud } from '../common/lists';
import type { takeOut } from '../common/take-out';
import { Button } from '../ui/button';
import { LinkKindRow, TopicKindRow } from './kinds';
import { Table } from '../ui/table';

/** The kinds of a legend: named, dressed, put in order, added, removed. */
export function LegendEditor({
  legend,
  newId,
  own = false,
  onChange,
  remove,
}: {
  legend: Legend;
  newId: (among: readonly { id: string }[], stem: string) => string;
  /** of a map outside any assignment: nobody gives anything to anyone */
  own?: boolean;
  onChange: (make: (before: Legend) => Partial<Legend>) => void;
  remove: typeof takeOut;
}) {
  const setKinds = (make: (kinds: TopicKind[]) => TopicKind[]): void =>
    onChange(({ topicKinds }) => ({ topicKinds: make(topicKinds) }));
  const setLinks = (make: (kinds: LinkKind[]) => LinkKind[]): void =>
    onChange(({ linkKinds }) => ({ linkKinds: make(linkKinds) }));
  const close = legendDistances(legend).flatMap(({ kinds, sentence }) => (sentence ? [{ kinds, sentence }] : []));
  const addKind = (): void => {
    const id = newId(legend.topicKinds, 'kind');
    focusIn(id);
    setKinds((kinds) => [
      ...kinds,
      {
        id,
        name: `Kind ${kinds.length + 1}`,
        purpose: '',
        givenBy: 'student',
        ...(PALETTES[0]!.looks.find(({ shape }) => !kinds.some((kind) => kind.shape === shape)) ??
          PALETTES[0]!.looks[0]!),
      },
    ]);
  };
  const addLinkKind = (): void => {
    const id = newId(legend.linkKinds, 'link');
    focusIn(id);
    setLinks((kinds) => [...kinds, { id, name: `Link ${kinds.length + 1}` }]);
  };
  return (
    <>
      <Table
        className="w-full max-md:min-w-[44rem]"
        columns={[
          { name: 'Sample', unseen: true, className: 'w-10' },
          'Kind of topic',
          'What it is for',
          !own && { name: 'Given by', className: 'w-24' },
          { name: 'Looks', className: 'w-24' },
          { name: 'Structure', className: 'w-28' },
          { name: 'More', unseen: true, className: 'w-8' },
        ]}
      >
        {legend.topicKinds.map((kind, i) => (
          <TopicKindRow
            key={kind.id}
            kind={kind}
            own={own}
            remarks={close.filter(({ kinds }) => kinds[1] === kind.id).map(({ sentence }) => sentence)}
            onChange={(fields) =>
              setKinds((kinds) =>
                kinds.map((one) => {
                  if (one.id === kind.id) return { ...one, ...fields };
                  // One kind starts the map, so another one does not any more.
                  return fields.root && one.root ? withoutRoot(one) : one;
                }),
              )
            }
            onMove={(by) => {
              setKinds((kinds) => moved(kinds, i, by));
              announce(placeAloud(kind.name, i, by, legend.topicKinds.length));
            }}
            onRemove={() =>
              remove(legend.topicKinds, ({ id }) => id === kind.id, {
                change: setKinds,
                keyOf: ({ id }) => id,
                words: `The kind “${kind.name}” is removed.`,
              })
            }
          />
        ))}
      </Table>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <Button small onClick={addKind}>
          <Plus aria-hidden size={13} />
          Add a kind of topic
        </Button>
        <span className="ml-3 text-sm text-quiet">Colours and shapes at once:</span>
        {PALETTES.map(({ id, name, looks: all }) => (
          <Button
            key={id}
            small
            onClick={() =>
              setKinds((kinds) => kinds.map((kind, i) => ({ ...kind, ...all[i % all.length]!, outline: kind.outline })))
            }
          >
            <span aria-hidden className="flex">
              {all.slice(0, 5).map(({ fill }) => (
                <span
                  key={fill}
                  className="h-3 w-2 border-y border-l border-rule last:border-r"
                  data-swatch
                  style={{ background: fill }}
                />
              ))}
            </span>
            {name}
          </Button>
        ))}
      </div>
      <h3 className="caption mb-1 mt-6">Kinds of link</h3>
      <ul className="divide-y divide-rule border-y border-rule">
        {legend.linkKinds.map((kind, i) => (
          <LinkKindRow
            key={kind.id}
            kind={kind}
            legend={legend}
            onChange={(fields) =>
              setLinks((kinds) => kinds.map((one) => (one.id === kind.id ? { ...one, ...fields } : one)))
            }
            onMove={(by) => {
              setLinks((kinds) => moved(kinds, i, by));
              announce(placeAloud(kind.name, i, by, legend.linkKinds.length));
            }}
            onRemove={() =>
              remove(legend.linkKinds, ({ id }) => id === kind.id, {
                change: setLinks,
                keyOf: ({ id }) => id,
                words: `The kind of link “${kind.name}” is removed.`,
              })
            }
          />
        ))}
      </ul>
      <Button small className="mt-2" onClick={addLinkKind}>
        <Plus aria-hidden size={13} />
        Add a kind of link
      </Button>
    </>
  );
}

const withoutRoot = ({ root: _, ...kind }: TopicKind): TopicKind => kind;
