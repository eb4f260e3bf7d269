import { useReactFlow, useStore as useFlowStore } from '@xyflow/react';
import { useEffect } from 'react';
import type { RefObject } from 'react';
import { HERE_LIMITS } from '@ichnograph/contract';
import type { WhoIsHere } from '../../live';
import { useEditor } from '../editor';

/** Tells the others what is chosen here, and into what words are being typed, in whichever view. */
export function useOwnChoice({ say }: WhoIsHere): void {
  const { store } = useEditor();
  useEffect(() => {
    const tell = (): void => {
      const { selection, typing } = store.getState();
      const types = typing && 'id' in typing ? typing.id : undefined;
      say({ holds: selection.slice(0, HERE_LIMITS.holds), types });
    };
    tell();
    return store.subscribe((now, before) => {
      if (now.selection !== before.selection || now.typing !== before.typing) tell();
    });
  }, [store, say]);
}

/** Tells the others where on the map this hand points, and what of the map is seen here. */
export function useOwnPlace(host: RefObject<HTMLDivElement | null>, { say }: WhoIsHere): void {
  const flow = useReactFlow();
  const [x, y, zoom] = useFlowStore(({ transform }) => transform);
  const width = useFlowStore((state) => state.width);
  const height = useFlowStore((state) => state.height);
  useEffect(() => {
    if (width > 0) say({ view: { x: -x / zoom, y: -y / zoom, width: width / zoom, height: height / zoom } });
  }, [say, x, y, zoom, width, height]);
  useEffect(() => {
    const canvas = host.current;
    if (!canvas) return;
    const point = ({ clientX, clientY }: PointerEvent): void =>
      say({ at: flow.screenToFlowPosition({ x: clientX, y: clientY }) });
    const leave = (): void => say({ at: undefined });
    canvas.addEventListener('pointermove', point);
    canvas.addEventListener('pointerleave', leave);
    return () => {
      canvas.removeEventListener('pointermove', point);
      canvas.removeEventListener('pointerleave', leave);
      say({ at: undefined, view: undefined });
    };
  }, [host, flow, say]);
}
