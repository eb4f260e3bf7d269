import type { Legend, TopicMap } from '@ichnograph/core';
import type { ReactNode } from 'react';
import { TitleBlock } from '../drawing/title-block';
import type { TitleRows } from '../drawing/title-block';
import type { Padding } from '../canvas/view';
import { ViewControls } from '../canvas/view-controls';

interface Props extends TitleRows {
  map: TopicMap;
  legend: Legend;
  padding?: Padding | undefined;
  /** what the reading line says */
  reading: ReactNode;
  onEntitle?: ((fields: { title?: string; focusQuestion?: string }) => void) | undefined;
  /** buttons beside zoom and fit */
  children?: ReactNode;
}

/** The line under every map: the view, what is read out, the title block. Nothing of it covers the map. */
export function MapFoot({ map, legend, padding, reading, children, ...rows }: Props) {
  return (
    <div
      id="map-foot"
      tabIndex={-1}
      className="flex min-h-[42px] items-center gap-3 border-t border-rule bg-paper px-2.5 py-1 outline-none"
    >
      <ViewControls map={map} legend={legend} padding={padding} />
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
