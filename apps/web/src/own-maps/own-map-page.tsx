import { ownAssignment, writeAssignment } from '@ichnograph/core';
import type { Legend } from '@ichnograph/core';
import { ownMapDocument } from '@ichnograph/contract';
import type { OwnMapDetail } from '@ichnograph/contract';
import { useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { useMe, useOwnMap } from '../common/queries';
import { Waiting } from '../common/waiting';
import { OpenMap } from '../works';
import type { DrawnMap } from '../works';
import { LegendDialog } from './legend-dialog';

/** A map outside any assignment, on the canvas of all maps; nothing is asked of it. */
export function OwnMapPage() {
  const map = useOwnMap(useParams().id!);
  if (map.data === undefined) return <Waiting of={map} what="Opening the map …" />;
  return <Drawn key={map.data.id} detail={map.data} />;
}

function Drawn({ detail: { id, title, folder, legend } }: { detail: OwnMapDetail }) {
  const me = useMe();
  const revision = useRevision(legend);
  const [changing, change] = useState(false);
  const drawn = useMemo(
    (): DrawnMap => ({
      id,
      title,
      className: folder || 'Own maps',
      mayEdit: true,
      members: [me],
      revision,
      assignment: writeAssignment(ownAssignment(title, legend as unknown as Legend)),
    }),
    [id, title, folder, legend, revision, me],
  );
  return (
    <>
      <OpenMap
        detail={drawn}
        source={{
          id,
          document: ownMapDocument(id),
          of: 'mine',
          back: { to: '/own-maps', name: 'Own maps' },
          onLegend: () => change(true),
        }}
      />
      <LegendDialog mapId={id} legend={legend as unknown as Legend} open={changing} onOpenChange={change} />
    </>
  );
}

/** Counts the legends the map has had since it was opened: with another one it is opened anew. */
function useRevision(legend: object): number {
  const words = JSON.stringify(legend);
  const [seen, see] = useState({ words, revision: 1 });
  if (seen.words === words) return seen.revision;
  see({ words, revision: seen.revision + 1 });
  return seen.revision + 1;
}
