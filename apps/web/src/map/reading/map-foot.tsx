import type { ReactNode } from 'react';
import { TitleBlock } from '../drawing/title-block';
import type { TitleRows } from '../drawing/title-block';

interface Props extends TitleRows {
  /** how much of the map is seen, and the ways to see more or less of it */
  view: ReactNode;
  /** what the reading line says */
  reading: ReactNode;
  onEntitle?: ((fields: { title?: string; focusQuestion?: string }) => void) | undefined;
  /** buttons beside zoom and fit */
  children?: ReactNode;
}

/** The line under every map: the view, what is read out, the title block. Nothing of it covers the map. */
export function MapFoot({ view, reading, children, ...rows }: Props) {
  return (
    <div
      id="map-foot"
      tabIndex={-1}
      className="flex min-h-[42px] items-center gap-3 border-t border-rule bg-paper px-2.5 py-1 outline-none"
    >
      {view}
      {children && <div className="flex items-center gap-1">{children}</div>}
      <div
        role="region"
        aria-label="Reading line"
        data-testid="reading-line"
        className="flex min-w-0 flex-1 items-center gap-2.5"
      >
        {reading}
      </div>
      <TitleBlock {...rows} />
    </div>
  );
}
