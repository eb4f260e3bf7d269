import { normalForm, openStoredMap, writeMap } from '@ichnograph/core';
import type { Legend } from '@ichnograph/core';
import type { OwnMapRow } from '@ichnograph/contract';
import { FileUp, Folder, MoreHorizontal, Plus, Search } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { BringInDialog } from '../bringing-in';
import { api } from '../common/api';
import { showMoment } from '../common/dates';
import { Page } from '../common/page';
import { useOwnMap, useOwnMaps, useTimeZone } from '../common/queries';
import { useSend } from '../common/send';
import { Waiting } from '../common/waiting';
import { SaveAsDialog } from '../saving-as';
import { Button } from '../ui/button';
import { Confirm, Dialog } from '../ui/dialog';
import { Trouble } from '../ui/field';
import { Menu, MenuItem } from '../ui/menu';
import { SharedWithYou } from './shared-with-you';
import { NewMapDialog } from './new-map-dialog';
import { Thumbnail } from '../map';

type Asking = { what: 'rename' | 'move' | 'save' | 'delete'; map: OwnMapRow } | null;

/** Maps outside any assignment, in folders; looked up by title and by the words of their topics. */
export function OwnMapsPage() {
  const maps = useOwnMaps();
  const navigate = useNavigate();
  const { trouble, send } = useSend('everything');
  const [folder, setFolder] = useState<string | null>(null);
  const [words, setWords] = useState('');
  const [begins, setBegins] = useState(false);
  const [brings, setBrings] = useState(false);
  const [asking, setAsking] = useState<Asking>(null);
  if (maps.data === undefined) return <Waiting of={maps} what="Looking for your maps …" />;
  const folders = [...new Set(maps.data.map((map) => map.folder))].filter((one) => one !== '').sort();
  const sought = normalForm(words);
  const shown = maps.data.filter(
    (map) =>
      (folder === null || map.folder === folder) &&
      (sought === '' || normalForm(`${map.title} ${map.words}`).includes(sought)),
  );
  return (
    <Page
      title="Own maps"
      lead="Maps that belong to no assignment. Nobody sees them but you, and those you share them with."
      actions={
        <>
          <Button onClick={() => setBrings(true)}>
            <FileUp aria-hidden size={15} />
            Bring in a file
          </Button>
          <Button look="action" onClick={() => setBegins(true)}>
            <Plus aria-hidden size={15} />
            New map
          </Button>
        </>
      }
    >
      {trouble && <Trouble>{trouble}</Trouble>}
      {maps.data.length === 0 ? (
        <p className="max-w-prose text-quiet">
          Here will be the maps you draw for yourself: to learn for a test, to plan, to think. Begin with an empty map,
          with a ready-made one, or with a file of another program; on the map of an assignment you can keep a copy of
          it here.
        </p>
      ) : (
        <>
          <div className="mb-5 flex flex-wrap items-center gap-3">
            <label className="flex items-center gap-2 border border-[#8b9389] bg-white px-2 focus-within:outline-2 focus-within:outline-action">
              <Search aria-hidden size={15} className="text-quiet" />
              <input
                type="search"
                aria-label="Look for a map"
                placeholder="A title, or a word on the map"
                className="min-h-8 w-64 bg-transparent outline-none"
                value={words}
                onChange={({ target }) => setWords(target.value)}
              />
            </label>
            {folders.length > 0 && (
              <div role="group" aria-label="Folders" className="flex flex-wrap gap-1">
                {[null, ...folders].map((one) => (
                  <Button
                    key={one ?? ''}
                    small
                    aria-pressed={folder === one}
                    className="aria-pressed:bg-wash"
                    onClick={() => setFolder(one)}
                  >
                    {one !== null && <Folder aria-hidden size={13} />}
                    {one ?? 'All'}
                  </Button>
                ))}
              </div>
            )}
          </div>
          {shown.length === 0 ? (
            <p className="text-quiet">No map of yours is called so, or has such a word on it.</p>
          ) : (
            <ul className="grid grid-cols-[repeat(auto-fill,minmax(230px,1fr))] gap-4">
              {shown.map((map) => (
                <MapCard
                  key={map.id}
                  map={map}
                  onAsk={(what) => setAsking({ what, map })}
                  onCopy={() =>
                    void send(
                      () => api.post('own-maps', { title: `${map.title} (copy)`, folder: map.folder, copyOf: map.id }),
                      `A copy of ${map.title} is made.`,
                    )
                  }
                />
              ))}
            </ul>
          )}
        </>
      )}
      <SharedWithYou />
      {asking?.what === 'save' && <SaveOwnMap id={asking.map.id} onDone={() => setAsking(null)} />}
      <BringInDialog
        open={brings}
        onOpenChange={setBrings}
        ways={[
          {
            yes: 'Make the map',
            onMake: async (map) => {
              const body = { title: map.title, folder: folder ?? '', map: writeMap(map) };
              const { id } = await api.post<{ id: string }>('own-maps', body);
              await navigate(`/own-maps/${id}`);
            },
          },
        ]}
      />
      <NewMapDialog open={begins} onOpenChange={setBegins} folder={folder ?? ''} />
      <Rename
        key={`${asking?.what} ${asking?.map.id}`}
        asking={asking}
        folders={folders}
        onClose={() => setAsking(null)}
        onChange={(map, change) =>
          send(() => api.patch(`own-maps/${map.id}`, change), 'It is changed.').then((done) => {
            if (done) setAsking(null);
          })
        }
      />
      <Confirm
        open={asking?.what === 'delete'}
        title={`Delete “${asking?.map.title}”?`}
        yes="Delete it"
        no="Keep it"
        danger
        onAnswer={(yes) => {
          const map = asking?.map;
          setAsking(null);
          if (yes && map) void send(() => api.delete(`own-maps/${map.id}`), `${map.title} is deleted.`);
        }}
      >
        <p>The map and all that is on it goes, and cannot be brought back. Copies of it stay.</p>
      </Confirm>
    </Page>
  );
}

function MapCard({
  map,
  onAsk,
  onCopy,
}: {
  map: OwnMapRow;
  onAsk: (what: NonNullable<Asking>['what']) => void;
  onCopy: () => void;
}) {
  const zone = useTimeZone();
  return (
    <li className="card relative flex flex-col focus-within:border-ink">
      <Thumbnail id={map.id} />
      <div className="flex items-start gap-2 p-2.5">
        <div className="min-w-0 flex-1">
          <Link to={`/own-maps/${map.id}`} className="words font-semibold after:absolute after:inset-0 hover:underline">
            {map.title}
          </Link>
          <p className="text-xs text-quiet">
            {map.topics === 1 ? '1 topic' : `${map.topics} topics`} · {showMoment(map.changedAt, zone)}
          </p>
          {map.folder !== '' && (
            <p className="mt-0.5 flex items-center gap-1 text-xs text-quiet">
              <Folder aria-hidden size={12} />
              {map.folder}
            </p>
          )}
        </div>
        <Menu
          trigger={
            <Button small look="quiet" className="z-10" aria-label={`What to do with ${map.title}`}>
              <MoreHorizontal aria-hidden size={15} />
            </Button>
          }
        >
          <MenuItem onSelect={() => onAsk('rename')}>Rename …</MenuItem>
          <MenuItem onSelect={() => onAsk('move')}>Into a folder …</MenuItem>
          <MenuItem onSelect={onCopy}>Make a copy</MenuItem>
          <MenuItem onSelect={() => onAsk('save')}>Save it as a file …</MenuItem>
          <MenuItem onSelect={() => onAsk('delete')}>Delete …</MenuItem>
        </Menu>
      </div>
    </li>
  );
}

/** A new title, or another folder. */
function Rename({
  asking,
  folders,
  onClose,
  onChange,
}: {
  asking: Asking;
  folders: readonly string[];
  onClose: () => void;
  onChange: (map: OwnMapRow, change: { title: string } | { folder: string }) => Promise<void>;
}) {
  const isFolder = asking?.what === 'move';
  const [words, setWords] = useState((isFolder ? asking?.map.folder : asking?.map.title) ?? '');
  return (
    <Dialog
      open={asking !== null && asking.what !== 'delete'}
      onOpenChange={(is) => {
        if (!is) onClose();
      }}
      title={isFolder ? `A folder for “${asking?.map.title}”` : 'Another title'}
    >
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (asking) void onChange(asking.map, isFolder ? { folder: words } : { title: words });
        }}
      >
        <label className="grid gap-1">
          <span className="font-semibold">{isFolder ? 'Folder' : 'Title'}</span>
          <input
            data-autofocus
            className="field"
            list={isFolder ? 'folders' : undefined}
            maxLength={isFolder ? 100 : 300}
            placeholder={isFolder ? 'Empty: in no folder' : ''}
            value={words}
            onChange={({ target }) => setWords(target.value)}
          />
          {isFolder && (
            <datalist id="folders">
              {folders.map((one) => (
                <option key={one} value={one} />
              ))}
            </datalist>
          )}
        </label>
        <div>
          <Button type="submit" look="action" disabled={!isFolder && words.trim() === ''}>
            Keep
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

function SaveOwnMap({ id, onDone }: { id: string; onDone: () => void }) {
  const { data } = useOwnMap(id);
  return (
    <SaveAsDialog
      open
      onOpenChange={(is) => !is && onDone()}
      map={data && openStoredMap(data.map)}
      legend={data?.legend as unknown as Legend | undefined}
    />
  );
}
