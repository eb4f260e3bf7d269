import { isBlank, mapOutline, outlineMarkdown } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { FileText, Text } from 'lucide-react';
import { Fragment, useMemo } from 'react';
import { announce } from '../common/announcer';
import { fileName, saveAs } from '../common/save-as';
import { Button } from '../ui/button';

/** The map as an indented outline, to read and to go on writing with. */
export function OutlineView({ map, onGo }: { map: TopicMap; onGo: (id: string) => void }) {
  const rows = useMemo(() => mapOutline(map), [map]);
  const name = fileName(map.title || 'Map');
  const saveDocument = async (): Promise<void> => {
    const { outlineDocument } = await import('./outline-document');
    saveAs(`${name}.docx`, await outlineDocument(map));
    announce('The outline is saved for a word processor.');
  };
  return (
    <div className="h-full overflow-y-auto bg-paper px-6 py-5" data-testid="outline">
      <div className="mb-3 flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-lg font-semibold">Outline</h2>
        {rows.length > 0 && (
          <div className="flex gap-1.5">
            <Button
              small
              onClick={() => saveAs(`${name}.md`, new Blob([outlineMarkdown(map)], { type: 'text/markdown' }))}
            >
              <Text aria-hidden size={14} />
              Save as text
            </Button>
            <Button small onClick={() => void saveDocument()}>
              <FileText aria-hidden size={14} />
              Save for a word processor
            </Button>
          </div>
        )}
      </div>
      {rows.length === 0 && (
        <p className="text-quiet">Nothing is on the map yet. Its topics will stand here in order.</p>
      )}
      <ul>
        {rows.map(({ id, depth, phrase, text, note, ties }) => (
          <li key={id} style={{ paddingLeft: `${Math.min(depth, 12) * 1.4}rem` }} className={depth === 0 ? 'mt-4' : ''}>
            <button
              type="button"
              aria-label={`${phrase} ${text}`.trim()}
              className={`words w-full px-2 py-1 text-left hover:bg-wash ${depth === 0 ? 'font-semibold' : ''}`}
              onClick={() => onGo(id)}
            >
              {!isBlank(phrase) && <span className="mr-1.5 italic text-quiet">{phrase}</span>}
              {text}
              {ties.map((tie, i) => (
                <Fragment key={i}>
                  <span className="ml-3 text-sm text-quiet">
                    → <i>{tie.phrase}</i> {tie.text}
                  </span>
                </Fragment>
              ))}
            </button>
            {!isBlank(note) && <p className="words max-w-[70ch] whitespace-pre-line px-2 pb-2 text-sm">{note}</p>}
          </li>
        ))}
      </ul>
    </div>
  );
}
