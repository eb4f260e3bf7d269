import {
  bestPage,
  fewestTiles,
  LEAST_POINTS,
  mapToSvg,
  PAPERS,
  pointsOn,
  PRINT_MARGIN,
  sheetBox,
  smallestLetters,
  tilesOf,
  worksheetOf,
} from '@ichnograph/core';
import type { Blanks, Box, Paper, TitleBlockText } from '@ichnograph/core';
import { Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { pictureHref } from '../../common/picture-href';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Segments } from '../../ui/segments';
import { useEditor, useEditorState } from '../editor';

const INKS = ['Colours', 'Grey', 'Pale'] as const;
type Ink = (typeof INKS)[number];
/** As a printer with one ink prints, and as one does whose ink runs out. */
const FILTERS: Record<Ink, string> = {
  Colours: 'none',
  Grey: 'grayscale(1)',
  Pale: 'grayscale(1) contrast(0.5) brightness(1.35)',
};
const HOW_MANY = ['none', 'some', 'all'] as const;
/** Round the drawing on its sheet, canvas units. */
const AIR = 6;
/** What the title block takes below the map, canvas units. */
const BLOCK = 150;

/** How a map looks on paper before it is there: in grey, pale, with blanks; and whether its letters can be read. */
export function PrintDialog({
  open,
  onOpenChange,
  block,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  block: TitleBlockText;
}) {
  return (
    <Dialog wide open={open} onOpenChange={onOpenChange} title="On paper">
      <OnPaper block={block} />
    </Dialog>
  );
}

function OnPaper({ block }: { block: TitleBlockText }) {
  const {
    assignment: { legend },
  } = useEditor();
  const map = useEditorState((state) => state.map);
  const [ink, setInk] = useState<Ink>('Colours');
  const [paper, setPaper] = useState<Paper>('A4');
  const [inParts, setInParts] = useState(
    () => pointsOn(map, legend, bestPage(map, legend, BLOCK), BLOCK) < LEAST_POINTS,
  );
  const [sideways, setSideways] = useState(() =>
    inParts
      ? fewestTiles(sheetBox(map, legend, AIR, block), smallestLetters(map, legend), { paper: 'A4', sideways: false })
          .sideways
      : bestPage(map, legend, BLOCK).sideways,
  );
  const [blanks, setBlanks] = useState<Blanks>({ topics: 'none', phrases: 'none' });
  const [seed, setSeed] = useState(1);
  const { map: shown, words } = useMemo(() => worksheetOf(map, blanks, seed), [map, blanks, seed]);
  const tiles = useMemo(
    () => tilesOf(sheetBox(shown, legend, AIR, block), smallestLetters(shown, legend), { paper, sideways }),
    [shown, legend, block, paper, sideways],
  );
  const sheets = useMemo(() => {
    const draw = (view?: Box): string =>
      mapToSvg(shown, legend, { block, hrefOf: pictureHref, margin: AIR, ...(view && { view }) });
    return inParts && tiles.boxes.length > 1 ? tiles.boxes.map(draw) : [draw()];
  }, [shown, legend, block, inParts, tiles]);
  const points = pointsOn(map, legend, { paper, sideways }, BLOCK);
  const { width, height } = PAPERS[paper];
  const footOf = (i: number): string | null =>
    sheets.length > 1 ? `${block.title || 'Map'} · sheet ${i + 1} of ${sheets.length}` : null;
  const isSheet = blanks.topics !== 'none' || blanks.phrases !== 'none';
  return (
    <div className="grid grid-cols-[14rem_minmax(0,1fr)] gap-5 max-md:grid-cols-1">
      <div className="grid content-start gap-4">
        <Choice name="Ink">
          <Segments label="Ink" options={INKS} value={ink} onChange={setInk} />
        </Choice>
        <Choice name="Paper">
          <div className="flex flex-wrap gap-2">
            <Segments label="Paper" options={['A4', 'A3'] as const} value={paper} onChange={setPaper} />
            <Segments
              label="Which way"
              options={['Upright', 'Sideways'] as const}
              value={sideways ? 'Sideways' : 'Upright'}
              onChange={(way) => setSideways(way === 'Sideways')}
            />
          </div>
        </Choice>
        <p role="status" className={`text-sm ${points < LEAST_POINTS ? 'text-ochre' : ''}`}>
          {points === Infinity
            ? 'Nothing is on the map yet.'
            : points < LEAST_POINTS
              ? `On one sheet the smallest letters would be ${points} points high, too small to be read. Print it on several, on A3, or lay it out closer.`
              : `It fits: the smallest letters are ${points} points high.`}
        </p>
        {tiles.boxes.length > 1 && (
          <Choice name="Sheets">
            <Segments
              label="Sheets"
              options={['One', 'Several'] as const}
              value={inParts ? 'Several' : 'One'}
              onChange={(how) => setInParts(how === 'Several')}
            />
            {inParts && (
              <p className="mt-1.5 text-sm">
                {`${tiles.boxes.length} sheets, ${tiles.across} across and ${tiles.down} down. They overlap a little, so that they can be glued.`}
              </p>
            )}
          </Choice>
        )}
        <Choice name="Leave out, to be filled in">
          {(['topics', 'phrases'] as const).map((what) => (
            <label key={what} className="mb-1.5 flex items-center justify-between gap-2">
              {what === 'topics' ? 'Words of topics' : 'Words of links'}
              <select
                className="field w-28"
                value={blanks[what]}
                onChange={({ target }) => setBlanks({ ...blanks, [what]: target.value })}
              >
                {HOW_MANY.map((how) => (
                  <option key={how} value={how}>
                    {how}
                  </option>
                ))}
              </select>
            </label>
          ))}
          {isSheet && (
            <Button small onClick={() => setSeed(seed + 1)}>
              Others
            </Button>
          )}
        </Choice>
        <Button look="action" onClick={() => window.print()}>
          <Printer aria-hidden size={15} />
          Print
        </Button>
      </div>
      <div
        className="grid place-items-center gap-2 bg-canvas p-3"
        style={sheets.length > 1 ? { gridTemplateColumns: `repeat(${tiles.across}, minmax(0, 1fr))` } : undefined}
      >
        {sheets.map((svg, i) => (
          <Paperlike key={i} width={sideways ? height : width} height={sideways ? width : height}>
            <Printed svg={svg} ink={ink} words={isSheet && i === sheets.length - 1 ? words : []} foot={footOf(i)} />
          </Paperlike>
        ))}
      </div>
      {createPortal(
        <div className="print-sheet">
          <style>{`@page { size: ${paper} ${sideways ? 'landscape' : 'portrait'}; margin: ${PRINT_MARGIN}mm }`}</style>
          {sheets.map((svg, i) => (
            <div key={i} className="print-page">
              <Printed svg={svg} ink={ink} words={isSheet && i === sheets.length - 1 ? words : []} foot={footOf(i)} />
            </div>
          ))}
        </div>,
        document.body,
      )}
    </div>
  );
}

/** A sheet in small, with the margin a printer leaves. */
function Paperlike({ width, height, children }: { width: number; height: number; children: ReactNode }) {
  const margin = `${(PRINT_MARGIN / width) * 100}%`;
  return (
    <div
      data-testid="paper"
      className="border border-rule bg-white"
      style={{
        aspectRatio: `${width} / ${height}`,
        width: `min(100%, calc(min(60vh, 34rem) * ${width / height}))`,
        padding: margin,
      }}
    >
      {children}
    </div>
  );
}

function Printed({
  svg,
  ink,
  words,
  foot,
}: {
  svg: string;
  ink: Ink;
  words: readonly string[];
  /** which of several sheets it is */
  foot: string | null;
}) {
  return (
    <div className="flex h-full flex-col gap-2">
      <div
        className="min-h-0 flex-1 [&>svg]:h-full [&>svg]:w-full"
        style={{ filter: FILTERS[ink] }}
        dangerouslySetInnerHTML={{ __html: svg }}
      />
      {words.length > 0 && (
        <p className="border-t border-rule pt-1 text-[0.6rem] leading-snug">
          <b>Words to choose from:</b> {words.join(' · ')}
        </p>
      )}
      {foot !== null && <p className="text-[0.6rem] leading-none">{foot}</p>}
    </div>
  );
}

function Choice({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section aria-label={name}>
      <h3 className="caption mb-1">{name}</h3>
      {children}
    </section>
  );
}
