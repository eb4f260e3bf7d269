import { useStore as useFlowStore } from '@xyflow/react';
import { useEffect, useRef } from 'react';
import { api } from '../../common/api';
import { useSend } from '../../common/send';
import { usePresenter } from '../../showings';
import { Button } from '../../ui/button';
import { Trouble } from '../../ui/field';
import { useEditor } from '../editor';
import { usePresented } from './use-presented';

/** So long a map rests, and is stored, before those who follow ask for it again. */
const RESTS_MS = 1200;

/** To whom this map is shown, as long as it is; those who follow see what is seen here. */
export function PresentingBar({ id, onMap, onTour }: { id: string; onMap: boolean; onTour: () => void }) {
  const showing = usePresented(id);
  const { send, trouble, isSending } = useSend(['showings']);
  const go = usePresenter(showing && showing.tourId === null ? showing.id : null);
  const [x, y, zoom] = useFlowStore(({ transform }) => transform);
  const width = useFlowStore((state) => state.width);
  const height = useFlowStore((state) => state.height);
  const view = onMap && width > 0 ? { x: -x / zoom, y: -y / zoom, width: width / zoom, height: height / zoom } : null;
  const place = useRef({ topic: null, words: '', line: false, view });
  useEffect(() => {
    place.current = { topic: null, words: '', line: false, view };
    go?.(place.current);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- where the view is
  }, [go, onMap, x, y, zoom, width, height]);
  const { store } = useEditor();
  useEffect(() => {
    if (!go) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const stop = store.subscribe(({ map }, before) => {
      if (map === before.map) return;
      clearTimeout(timer);
      timer = setTimeout(() => go({ ...place.current, changed: true }), RESTS_MS);
    });
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [go, store]);
  if (!showing) return null;
  return (
    <div className="border-b border-rule bg-wash px-3.5 py-1">
      <Trouble>{trouble}</Trouble>
      <p role="status" className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <span className="words">
          {showing.tourId === null
            ? `${showing.className} can follow what you see of this map.`
            : `${showing.className} can follow the tour “${showing.title}”, from stop to stop as you play it.`}
        </span>
        {showing.tourId !== null && (
          <Button small onClick={onTour}>
            To the tour
          </Button>
        )}
        <Button
          small
          disabled={isSending}
          onClick={() => void send(() => api.delete(`showings/${showing.id}`), 'It is not shown any more.')}
        >
          End it
        </Button>
      </p>
    </div>
  );
}
