import type { ShowingRow } from '@ichnograph/contract';
import { useShowings } from '../../common/queries';

/** The showing of this map that one presents, if there is one. @param id of the work or own map */
export function usePresented(id: string): ShowingRow | undefined {
  return useShowings(false).data?.find(
    ({ mine, of }) => mine && of !== null && ('ownMapId' in of ? of.ownMapId : of.workId) === id,
  );
}
