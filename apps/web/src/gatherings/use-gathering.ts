import { gatheringRoom } from '@ichnograph/contract';
import type { GatheringDetail } from '@ichnograph/contract';
import { useEffect, useState } from 'react';
import { askAgain, queries, useGatheringDetail } from '../common/queries';
import { openRoom } from '../live';
import { withNews } from './with-news';

/** A gathering, with what comes in while it is open. */
export function useGathering(id: string) {
  const path = `gatherings/${id}`;
  const [isOpen, setOpen] = useState(false);
  // While nothing can be told it is asked for.
  const query = useGatheringDetail(id, !isOpen);
  useEffect(
    () =>
      openRoom(gatheringRoom(id), {
        hear: (message) => {
          // Let in: what was told until now was not heard.
          if (message.type === 'work changed') return void askAgain(path);
          if (message.type !== 'gathering') return;
          const before = queries.getQueryData<GatheringDetail>([path]);
          if (!before) return;
          const now = withNews(before, message);
          if (now) queries.setQueryData([path], now);
          else void askAgain(path);
        },
        onOpen: setOpen,
        onEnd: () => void askAgain(path),
      }),
    [id, path],
  );
  return { query, isOpen };
}

/** Changes what is known of a gathering here, where this page knows it first. */
export const setKnown = (id: string, change: (detail: GatheringDetail) => GatheringDetail): void =>
  void queries.setQueryData<GatheringDetail>([`gatherings/${id}`], (known) => known && change(known));
