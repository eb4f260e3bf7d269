import { gatheringRoom } from '@ichnograph/contract';
import type { GatheringDetail } from '@ichnograph/contract';
import { askAgain, queries, useGatheringDetail } from '../common/queries';
import { useRoom } from '../live';
import { withNews } from './with-news';

/** A gathering, with what comes in while it is open. */
export function useGathering(id: string) {
  const path = `gatherings/${id}`;
  const isOpen = useRoom(gatheringRoom(id), path, (message) => {
    if (message.type !== 'gathering') return;
    const before = queries.getQueryData<GatheringDetail>([path]);
    const now = before && withNews(before, message);
    if (now) queries.setQueryData([path], now);
    else void askAgain(path);
  });
  // While nothing can be told it is asked for.
  return { query: useGatheringDetail(id, !isOpen), isOpen };
}

/** Changes what is known of a gathering here, where this page knows it first. */
export const setKnown = (id: string, change: (detail: GatheringDetail) => GatheringDetail): void =>
  void queries.setQueryData<GatheringDetail>([`gatherings/${id}`], (known) => known && change(known));
