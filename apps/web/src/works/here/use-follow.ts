import { useEffect } from 'react';
import type { RefObject } from 'react';
import { useStore } from 'zustand';
import type { WhoIsHere } from '../../live';
import { useLetGo, useShow } from '../../map';

/** How the view goes along with the one that is followed. */
const ALONG_MS = 120;
const EDGE = { top: 0, right: 0, bottom: 0, left: 0 };

/** Shows what somebody else sees of the map, as long as they are followed; who moves the map themselves has let go. */
export function useFollow(host: RefObject<HTMLDivElement | null>, { store }: WhoIsHere): void {
  const { show } = useShow();
  const followed = useStore(store, (state) => state.followed);
  const view = useStore(store, ({ others }) => others.find(({ key }) => key === followed)?.view);
  useEffect(() => {
    if (!view) return;
    const { x, y, width, height } = view;
    show({ left: x, top: y, right: x + width, bottom: y + height }, { padding: EDGE, maxZoom: 4, duration: ALONG_MS });
  }, [view, show]);
  useLetGo(host, followed !== null, () => store.setState({ followed: null }));
}
