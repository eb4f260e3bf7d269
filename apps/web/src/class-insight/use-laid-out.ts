import { applyChanges } from '@ichnograph/core';
import type { Frame, Legend, TopicMap } from '@ichnograph/core';
import { useEffect, useState } from 'react';
import { startTidying } from '../map';

/** A map laid out by core's tidy for a frame, in a worker; null until it is, the one before while the next is on its way. */
export function useLaidOut(map: TopicMap, legend: Legend, frame: Frame): { map: TopicMap; failed: boolean } | null {
  const [laid, setLaid] = useState<{ map: TopicMap; failed: boolean } | null>(null);
  useEffect(() => {
    if (map.topics.length === 0) return setLaid({ map, failed: false });
    const job = startTidying({ map, wanted: { frame }, legend });
    void job.done.then((changes) => {
      if (changes === 'cancelled') return;
      setLaid(changes === 'failed' ? { map, failed: true } : { map: applyChanges(map, changes), failed: false });
    });
    return job.cancel;
  }, [map, legend, frame]);
  return laid;
}
