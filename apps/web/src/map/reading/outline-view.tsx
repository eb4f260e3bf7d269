import { isBlank, mapOutline } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { FileText, Text } from 'lucide-react';
import { useMemo } from 'react';
import { SaidError } from '../../common/api';
import { fileName, saveAs } from '../../common/save-as';
import { useSend } from '../../common/send';
import { Button } from '../../ui/button';
import { Trouble } from '../../ui/field';

/** The map as an indented outline, to read and to go on writing with. */
export function OutlineView({
  map,
  language,
  onGo,
}: {
  map: TopicMap;
  /** what its words are in */
  language: string;
  onGo: (id: string) => void;
}) {
  const rows = useMemo(() => mapOutline(map), [map]);
  const name = fileName(map.title || 'Map');
  const { trouble, send } = useSend([]);
  const save = (as: 'md' | 'docx', said: string): Promise<boolean> =>
    send(async () => {
      const { written } = await import('../../map-files').catch(() => {
        throw new SaidError('The part that writes it did not load. Try again when you are connected.');
      });
      saveAs(`${name}.${as}`, await written(as, map, map.legend, as === 'docx' ? { with: ['outline', 'notes'] } : {}));
    }, said);
  return (
    <div className="h-full overflow-y-auto bg-paper px-6 py-5" data-testid="outline">
      <div className="mb-3 flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-lg font-semibold">Outline</h2>
        {rows.length > 0 && (
          <div className="flex gap-1.5">
            <Button small onClick={() => void save('md', 'The outline is saved as text.')}>
              <Text aria-hidden size={14} />
              Save as text
            </Button>
            <Button small onClick={() => void save('docx', 'The outline is saved for a word processor.')}>
              <FileText aria-hidden size={14} />
              Save for a word processor
            </Button>
          </div>
        )}
      </div>
      <Trouble>{trouble}</Trouble>
      {rows.length === 0 && (
        <p className="text-quiet">Nothing is on the map yet. Its topics will stand here in order.</p>
      )}
      <div lang={language} dir="auto">
        <Branches rows={nested(rows)} onGo={onGo} isOutermost />
      </div>
    </div>
  );
}

type Row = ReturnType<typeof mapOutline>[number];
interface Branch extends Row {
  below: Branch[];
}

/** The rows of an outline with what stands deeper after each inside it. */
function nested(rows: readonly Row[]): Branch[] {
  const top: Branch[] = [];
  const open: Branch[] = [];
  for (const row of rows) {
    const branch: Branch = { ...row, below: [] };
    open.length = Math.min(open.length, row.depth);
    (open.at(-1)?.below ?? top).push(branch);
    open.push(branch);
  }
  return top;
}

/** A list in a list for each level: those who listen hear how deep they are. */
function Branches({
  rows,
  onGo,
  isOutermost = false,
}: {
  rows: readonly Branch[];
  onGo: (id: string) => void;
  isOutermost?: boolean;
}) {
  return (
    <ul className={isOutermost ? '' : 'ml-[1.4rem]'}>
      {rows.map(({ id, phrase, text, note, ties, below }) => (
        <li key={id} className={isOutermost ? 'mt-4' : ''}>
          <button
            type="button"
            className={`words w-full px-2 py-1 text-left hover:bg-wash ${isOutermost ? 'font-semibold' : ''}`}
            onClick={() => onGo(id)}
          >
            {!isBlank(phrase) && <span className="mr-1.5 italic text-quiet">{phrase}</span>} {text}
          </button>
          {ties.length > 0 && (
            <ul aria-label={`Ties of ${text}`} className="flex flex-wrap gap-x-4 px-2 pb-1 text-sm text-quiet">
              {ties.map((tie, i) => (
                <li key={i}>
                  <span aria-hidden>→ </span>
                  <i>{tie.phrase}</i> {tie.text}
                </li>
              ))}
            </ul>
          )}
          {!isBlank(note) && <p className="words max-w-[70ch] whitespace-pre-line px-2 pb-2 text-sm">{note}</p>}
          {below.length > 0 && <Branches rows={below} onGo={onGo} />}
        </li>
      ))}
    </ul>
  );
}
