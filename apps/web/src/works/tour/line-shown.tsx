import { TourLineDrawn } from '../../map';
import { useEditorState } from '../editor';

/** The line of the map's first tour, while it is asked for, over the map that is drawn on. */
export function TourLineShown() {
  const isAsked = useEditorState((state) => state.tourLine);
  const map = useEditorState((state) => state.map);
  const [tour] = map.tours;
  if (!isAsked || !tour) return null;
  return (
    <svg
      aria-hidden
      className="pointer-events-none absolute left-0 top-0 z-[997] overflow-visible"
      width="1"
      height="1"
    >
      <TourLineDrawn map={map} tour={tour} />
    </svg>
  );
}
