import { useReactFlow, useStore as useFlowStore } from '@xyflow/react';
import type { Padding } from './canvas';
import { Minus, Plus } from 'lucide-react';
import { Button } from '../ui/button';

/** Zoom and fit, lower left on every map. */
export function ViewControls({ padding }: { padding: Padding }) {
  const flow = useReactFlow();
  const zoom = useFlowStore(({ transform }) => transform[2]);
  return (
    <div role="group" aria-label="View" className="absolute bottom-3 left-3 z-10 flex gap-1">
      <Button small aria-label="Zoom out" onClick={() => void flow.zoomOut()}><Minus aria-hidden size={14} /></Button>
      <Button small className="min-w-14 font-mono" aria-label={`Zoom is ${Math.round(zoom * 100)} per cent. Show at 100 per cent`} onClick={() => void flow.zoomTo(1)}>{Math.round(zoom * 100)} %</Button>
      <Button small aria-label="Zoom in" onClick={() => void flow.zoomIn()}><Plus aria-hidden size={14} /></Button>
      <Button small onClick={() => void flow.fitView({ padding, maxZoom: 1 })}>Fit</Button>
    </div>
  );
}
