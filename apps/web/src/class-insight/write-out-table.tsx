import { Download } from 'lucide-react';
import Papa from 'papaparse';
import type { RefObject } from 'react';
import { SaidError } from '../common/api';
import { fileName, saveAs } from '../common/save-as';
import { useSend } from '../common/send';
import { Button } from '../ui/button';
import { Trouble } from '../ui/field';

/** A table of the class as a file for a spreadsheet and, where it is one to look at, as a picture for a lesson plan. */
export function WriteOutTable({
  name,
  rows,
  pictured,
}: {
  name: string;
  /** what it says, its heads first; asked for when it is written */
  rows: () => readonly (readonly string[])[];
  /** what of the page the picture shows */
  pictured?: RefObject<HTMLElement | null>;
}) {
  const { trouble, isSending, send } = useSend([]);
  return (
    <div className="mb-2 flex flex-wrap items-center gap-2">
      <Button small onClick={() => saveGrid(name, rows())}>
        <Download aria-hidden size={14} /> CSV
      </Button>
      {pictured && (
        <Button small disabled={isSending} onClick={() => void send(() => savePicture(name, pictured.current!))}>
          <Download aria-hidden size={14} /> Picture
        </Button>
      )}
      <Trouble>{trouble}</Trouble>
    </div>
  );
}

/** RFC 4180, UTF-8 with a mark for programs that ask for one; no cell of it is a formula. */
function saveGrid(name: string, rows: readonly (readonly string[])[]): void {
  const csv = Papa.unparse(rows as string[][], { escapeFormulae: true, newline: '\r\n' });
  saveAs(`${fileName(name)}.csv`, new Blob(['\ufeff', csv, '\r\n'], { type: 'text/csv;charset=utf-8' }));
}

/**
 * Part of the page in pixels, whole: what is scrolled is laid open while it is looked at.
 * @throws SaidError where the browser does not draw it
 */
async function savePicture(name: string, part: HTMLElement): Promise<void> {
  const { toBlob } = await import('html-to-image');
  part.dataset.pictured = '';
  try {
    const picture = await toBlob(part, { pixelRatio: 2, backgroundColor: '#ffffff' });
    if (!picture) throw new SaidError('The browser did not draw the table: it may be too large. Take the CSV instead.');
    saveAs(`${fileName(name)}.png`, picture);
  } finally {
    delete part.dataset.pictured;
  }
}
