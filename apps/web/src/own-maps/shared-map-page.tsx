import { ownAssignment, writeAssignment } from '@ichnograph/core';
import type { Legend } from '@ichnograph/core';
import type { SharedMapDetail } from '@ichnograph/contract';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { showDay } from '../common/dates';
import { ApiError } from '../common/api';
import { Page } from '../common/page';
import { useSharedMap, useTimeZone } from '../common/queries';
import { Waiting } from '../common/waiting';
import { buttonClass } from '../ui/button';
import { OpenMap } from '../works';
import type { DrawnMap } from '../works';

/** A map that somebody else shares: seen, or drawn on, as long as they share it. */
export function SharedMapPage() {
  const id = useParams().id!;
  const map = useSharedMap(id);
  if (map.error instanceof ApiError && map.error.status === 404) return <NotShared />;
  if (map.data === undefined) return <Waiting of={map} what="Opening the map …" />;
  return <Shared key={`${id} ${map.data.mayEdit}`} detail={map.data} />;
}

function NotShared() {
  return (
    <Page
      title="This map is not shared with you"
      lead="It was taken back, or its day is over. What you drew on it is there for those whose map it is."
    >
      <Link className={buttonClass('action')} to="/own-maps">
        To your own maps
      </Link>
    </Page>
  );
}

function Shared({ detail: { id, title, document, mayEdit, by, madeBy, legend, endsAt } }: { detail: SharedMapDetail }) {
  const zone = useTimeZone();
  const drawn = useMemo(
    (): DrawnMap => ({
      id,
      title,
      className: `Shared by ${by.givenName} ${by.familyName}, until ${showDay(endsAt, zone)}`,
      mayEdit,
      members: madeBy,
      revision: 1,
      assignment: writeAssignment(ownAssignment(title, legend as unknown as Legend)),
    }),
    [id, title, by, endsAt, zone, mayEdit, madeBy, legend],
  );
  return (
    <OpenMap detail={drawn} source={{ id, document, of: 'shared', back: { to: '/own-maps', name: 'Own maps' } }} />
  );
}
