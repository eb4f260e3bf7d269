import { openStoredMap } from '@ichnograph/core';
import type { Legend } from '@ichnograph/core';
import { useMemo } from 'react';
import { useOwnMap } from '../../common/queries';
import { MapPicture } from './map-picture';

/** A map of one's own, drawn small. */
export function Thumbnail({ id }: { id: string }) {
  const { data } = useOwnMap(id);
  const map = useMemo(() => data && openStoredMap(data.map), [data]);
  return (
    <div aria-hidden className="h-36 overflow-hidden border-b border-rule bg-canvas">
      {!map ? null : map.topics.length + map.pictures.length === 0 ? (
        <span className="grid h-full place-items-center text-sm text-quiet">Nothing is drawn yet</span>
      ) : (
        <MapPicture bare map={map} legend={data!.legend as unknown as Legend} title="" />
      )}
    </div>
  );
}
