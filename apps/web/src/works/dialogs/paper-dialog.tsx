import { illegible, LEGIBILITY } from '@ichnograph/core';
import type { FileRow } from '@ichnograph/contract';
import { Camera, RotateCw, Upload, X } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Dispatch, SetStateAction } from 'react';
import { useSend } from '../../common/send';
import { bring, fileOf, greyOf, pagesOf, straightened } from '../../pictures';
import type { Page } from '../../pictures';
import { Button } from '../../ui/button';
import { ChooseFile } from '../../ui/choose-file';
import { Dialog } from '../../ui/dialog';
import { Trouble } from '../../ui/field';
import { useCommands } from '../commands/list';
import { useEditor } from '../editor';

/** Drawn on paper: photos or scans are straightened, looked over, and laid under the map. */
export function PaperDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  // Photographed once: they are still there when the dialog was left and is opened again.
  const [pages, setPages] = useState<readonly Page[]>([]);
  return (
    <Dialog
      wide
      open={open}
      onOpenChange={onOpenChange}
      title="A map drawn on paper"
      description="Its pages are laid under the map, faint, to be traced; or handed in as they are."
    >
      <Pages pages={pages} setPages={setPages} onDone={() => onOpenChange(false)} />
    </Dialog>
  );
}

function Pages({
  pages,
  setPages,
  onDone,
}: {
  pages: readonly Page[];
  setPages: Dispatch<SetStateAction<readonly Page[]>>;
  onDone: () => void;
}) {
  const { actions } = useEditor();
  const { desk } = useCommands();
  const { trouble, isSending, send } = useSend(['files']);
  const [busy, setBusy] = useState<'reading' | 'bringing'>('reading');
  const add = (file: File): void => {
    setBusy('reading');
    void send(async () => {
      const read = await pagesOf([file]);
      setPages((before) => [...before, ...read]);
    });
  };
  const lay = async (): Promise<void> => {
    setBusy('bringing');
    const rows: FileRow[] = [];
    const all = async (): Promise<void> => {
      for (const page of pages) rows.push(await bring(await fileOf(straightened(page), page.name)));
    };
    if (!(await send(all))) return;
    const laid = rows.map(({ src, width, height }, i) => ({
      src,
      alt: rows.length === 1 ? 'A page drawn on paper' : `Page ${i + 1}, drawn on paper`,
      width: width ?? 1,
      height: height ?? 1,
    }));
    if (!actions.layPaper(laid, desk.centre())) return;
    setPages([]);
    onDone();
    requestAnimationFrame(desk.fit);
  };
  const change = (key: string, fields: Partial<Page>): void =>
    setPages(pages.map((page) => (page.key === key ? { ...page, ...fields } : page)));
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap items-center gap-2">
        <ChooseFile accept="image/*,application/pdf" disabled={isSending} onFile={add}>
          <Upload aria-hidden size={15} />
          Add a photo, scan or PDF …
        </ChooseFile>
        <ChooseFile accept="image/*" capture disabled={isSending} onFile={add}>
          <Camera aria-hidden size={15} />
          Take a photo …
        </ChooseFile>
        {isSending && <span role="status">{busy === 'reading' ? 'Reading it …' : 'Bringing the pages …'}</span>}
      </div>
      <Trouble>{trouble}</Trouble>
      <ul className="grid max-h-[52vh] grid-cols-[repeat(auto-fill,minmax(240px,1fr))] gap-4 overflow-y-auto">
        {pages.map((page, i) => (
          <PageCard
            key={page.key}
            page={page}
            number={i + 1}
            onChange={(fields) => change(page.key, fields)}
            onRemove={() => setPages(pages.filter(({ key }) => key !== page.key))}
          />
        ))}
      </ul>
      <div className="flex justify-end">
        <Button look="action" disabled={pages.length === 0 || isSending} onClick={() => void lay()}>
          {pages.length > 1 ? `Lay ${pages.length} pages under the map` : 'Lay it under the map'}
        </Button>
      </div>
    </div>
  );
}

function PageCard({
  page,
  number,
  onChange,
  onRemove,
}: {
  page: Page;
  number: number;
  onChange: (fields: Partial<Page>) => void;
  onRemove: () => void;
}) {
  const host = useRef<HTMLDivElement>(null);
  const found = useMemo(() => illegible(greyOf(page.image)), [page.image]);
  useEffect(() => {
    const canvas = straightened(page);
    canvas.className = 'max-h-56 max-w-full';
    host.current?.replaceChildren(canvas);
  }, [page]);
  return (
    <li className="card grid content-start gap-2 p-2">
      <div className="flex items-center justify-between gap-2">
        <span className="words min-w-0 truncate text-sm font-semibold">{page.name}</span>
        <Button small look="quiet" aria-label={`Leave page ${number} out`} onClick={onRemove}>
          <X aria-hidden size={14} />
        </Button>
      </div>
      <div ref={host} aria-hidden className="grid h-56 place-items-center bg-canvas" />
      {found.length > 0 && (
        <p role="alert" className="border-l-2 border-ochre pl-2 text-sm text-ochre">
          {found.map((one) => LEGIBILITY[one]).join(' ')}
        </p>
      )}
      <div className="flex items-center gap-2">
        <Button
          small
          aria-label={`Turn page ${number} by a quarter`}
          onClick={() => onChange({ quarters: (page.quarters + 1) % 4 })}
        >
          <RotateCw aria-hidden size={14} />
        </Button>
        <label className="flex min-w-0 flex-1 items-center gap-2 text-sm">
          Straighten
          <input
            type="range"
            className="min-w-0 flex-1 accent-action"
            min={-15}
            max={15}
            step={0.5}
            value={page.degrees}
            onChange={({ target }) => onChange({ degrees: Number(target.value) })}
          />
        </label>
      </div>
    </li>
  );
}
