import { useReactFlow, useStore as useFlowStore } from '@xyflow/react';
import { Minus, Plus } from 'lucide-react';
import type { Legend, TopicMap } from '@ichnograph/core';
import { drawnBox } from '@ichnograph/core';
import { Button } from '../../ui/button';
import { FREE, useShow } from './view';
import type { Padding } from './view';

/** Zoom and fit, under every map. */
export function ViewControls({
  map,
  legend,
  padding = FREE,
}: {
  map: TopicMap;
  legend: Legend;
  padding?: Padding | undefined;
}) {
  const flow = useReactFlow();
  const { show } = useShow();
  const zoom = useFlowStore(({ transform }) => transform[2]);
  return (
    <div role="group" aria-label="View" className="flex shrink-0 gap-1">
      <Button small className="max-sm:hidden" aria-label="Zoom out" onClick={() => void flow.zoomOut()}>
        <Minus aria-hidden size={14} />
      </Button>
      <Button
        small
        className="hidden min-w-14 font-mono sm:inline-flex"
        aria-label={`Zoom is ${Math.round(zoom * 100)} per cent. Show at 100 per cent`}
        onClick={() => void flow.zoomTo(1)}
      >
        {Math.round(zoom * 100)} %
      </Button>
      <Button small className="max-sm:hidden" aria-label="Zoom in" onClick={() => void flow.zoomIn()}>
        <Plus aria-hidden size={14} />
      </Button>
      <Button small onClick={() => show(drawnBox(map, legend), { padding })}>
        Fit
      </Button>
    </div>
  );
}
