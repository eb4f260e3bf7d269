import type { MarkerHere } from '@ichnograph/contract';
import { useEffect, useState } from 'react';
import { api } from '../common/api';

const SAID_EVERY_MS = 5000;

/** Says that one has a work before one, and learns who else marks the pile and where they are. */
export function useHere(workId: string): readonly MarkerHere[] {
  const [others, setOthers] = useState<readonly MarkerHere[]>([]);
  useEffect(() => {
    let isGone = false;
    const say = (): void => {
      api
        .post<MarkerHere[]>(`works/${workId}/here`)
        .then((here) => {
          if (!isGone) setOthers(here);
        })
        // That nobody is seen for a moment is no trouble worth a word; what is given is guarded on the server.
        .catch(() => undefined);
    };
    say();
    const timer = setInterval(say, SAID_EVERY_MS);
    return () => {
      isGone = true;
      clearInterval(timer);
    };
  }, [workId]);
  return others;
}
