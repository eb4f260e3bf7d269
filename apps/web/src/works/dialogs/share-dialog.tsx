import type { SharedPageRow } from '@ichnograph/contract';
import { Copy, Link2 } from 'lucide-react';
import { useState } from 'react';
import { announce } from '../../common/announcer';
import { api, SaidError, sentenceOfError } from '../../common/api';
import { dateIn, instantOf, showDay } from '../../common/dates';
import { useSharedPages, useTimeZone } from '../../common/queries';
import { useSend } from '../../common/send';
import { ShareWith } from './share-with';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Trouble } from '../../ui/field';

/** For so long a page is shown where nobody says otherwise. */
const USUAL_DAYS = 30;

/** Pages of this map for others: a link to read it by, and what puts its drawing into another page. */
export function ShareDialog({
  path,
  open,
  onOpenChange,
}: {
  /** where the map is, below the API */
  path: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Share this map">
      {open && (
        <div className="grid gap-5">
          <ShareWith path={path} />
          <Links path={path} />
        </div>
      )}
    </Dialog>
  );
}

function Links({ path }: { path: string }) {
  const zone = useTimeZone();
  const list = useSharedPages(path);
  const { send, trouble, isSending } = useSend([`${path}/pages`]);
  const [day, setDay] = useState(() => dateIn(USUAL_DAYS, zone));
  const [showsNames, setShowsNames] = useState(false);
  if (list.error) return <p className="text-madder">{sentenceOfError(list.error)}</p>;
  if (!list.data) return <p className="text-quiet">Looking for links …</p>;
  const { pages, mayMake } = list.data;
  const make = (): Promise<boolean> =>
    send(async () => {
      const endsAt = instantOf(day, '23:59', zone);
      if (endsAt === null) throw new SaidError('Say until which day it is shown.');
      await api.post(`${path}/pages`, { endsAt, showsNames });
    }, 'The link is made.');
  return (
    <section aria-labelledby="share-links" className="grid gap-3 border-t border-rule pt-4">
      <h3 id="share-links" className="font-semibold">
        With whoever has a link
      </h3>
      <p className="text-sm text-quiet">
        They read the map as it is saved, with its notes, and find nothing else. They need no account.
      </p>
      <Trouble>{trouble}</Trouble>
      {mayMake ? (
        <form
          className="grid gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void make();
          }}
        >
          <label className="flex flex-wrap items-center gap-2">
            Until the end of
            <input
              type="date"
              className="field w-40 py-1"
              value={day}
              onChange={({ target }) => setDay(target.value)}
            />
          </label>
          <label className="flex items-center gap-2">
            <input type="checkbox" checked={showsNames} onChange={({ target }) => setShowsNames(target.checked)} />
            Say on it who made the map
          </label>
          <Button type="submit" look="action" disabled={isSending} className="justify-self-start">
            <Link2 aria-hidden size={15} />
            Make a link
          </Button>
        </form>
      ) : (
        <p className="text-quiet">
          Links to this map are made by those who draw it, where the assignment allows it. You can take them back.
        </p>
      )}
      {pages.length > 0 && (
        <ul aria-label="Links to this map" className="grid gap-3 border-t border-rule pt-3">
          {pages.map((page) => (
            <Page
              key={page.id}
              page={page}
              zone={zone}
              isSending={isSending}
              onTakeBack={() =>
                void send(() => api.delete(`pages/${page.id}`), 'The link is taken back. Nobody reads it any more.', {
                  as: page.id,
                })
              }
            />
          ))}
        </ul>
      )}
      {pages.length === 0 && !mayMake && <p className="text-quiet">There are none.</p>}
    </section>
  );
}

function Page({
  page: { token, endsAt, showsNames },
  zone,
  isSending,
  onTakeBack,
}: {
  page: SharedPageRow;
  zone: string;
  isSending: boolean;
  onTakeBack: () => void;
}) {
  const address = `${window.location.origin}/shared/${token}`;
  const frame = `<iframe src="${address}/embed" width="800" height="500" title="Map" style="border:0"></iframe>`;
  return (
    <li className="grid gap-1.5">
      <p>
        Until {showDay(endsAt, zone)}, {showsNames ? 'with names' : 'without names'}.{' '}
        <a className="text-action underline" href={address} target="_blank" rel="noopener">
          Open it
        </a>
      </p>
      <Copied name="Link" words={address} />
      <Copied name="To put into a page" words={frame} />
      <Button small look="danger" className="justify-self-start" disabled={isSending} onClick={onTakeBack}>
        Take it back
      </Button>
    </li>
  );
}

/** Words to be taken along: selected as a whole, and copied by a press. */
function Copied({ name, words }: { name: string; words: string }) {
  const [done, setDone] = useState(false);
  const copy = async (): Promise<void> => {
    try {
      await navigator.clipboard.writeText(words);
      setDone(true);
      announce('Copied.');
    } catch {
      announce('The browser did not let it be copied. It is selected: copy it by key.');
    }
  };
  return (
    <div className="flex items-center gap-1.5">
      <input
        readOnly
        className="field min-w-0 flex-1 py-1 font-mono text-sm"
        aria-label={name}
        value={words}
        onFocus={({ target }) => target.select()}
      />
      <Button small onClick={() => void copy()} aria-label={`Copy: ${name}`}>
        <Copy aria-hidden size={14} />
        {done ? 'Copied' : 'Copy'}
      </Button>
    </div>
  );
}
