import { openStoredMap } from '@ichnograph/core';
import type { Assignment, TopicMap } from '@ichnograph/core';
import type { SubmissionDetail } from '@ichnograph/contract';
import { useMemo, useState } from 'react';
import { showDay, showMoment } from '../common/dates';
import { useTimeZone, useVersion, useVersions } from '../common/queries';
import { MapPicture } from '../map';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Table } from '../ui/table';

/** How a map came about: when it was worked on, how it stood at any of those times, and who made what. */
export function Making(props: { detail: SubmissionDetail; map: TopicMap; assignment: Assignment }) {
  const [open, setOpen] = useState(false);
  return (
    <div className="px-3.5 pt-3">
      <Button small look="quiet" onClick={() => setOpen(true)}>
        How it was made
      </Button>
      <Dialog wide open={open} onOpenChange={setOpen} title="How it was made">
        {open && <InTime {...props} />}
      </Dialog>
    </div>
  );
}

function InTime({ detail, map, assignment }: { detail: SubmissionDetail; map: TopicMap; assignment: Assignment }) {
  const zone = useTimeZone();
  const versions = useVersions(detail.workId);
  const points = useMemo(() => (versions.data ?? []).toReversed(), [versions.data]);
  const [at, setAt] = useState<number | null>(null);
  const place = at ?? points.length;
  const version = useVersion(points[place]?.id ?? null);
  // The last place is the map as it was handed in.
  const shown = place >= points.length ? map : version.data && openStoredMap(version.data.map);
  const days = [...new Set(points.map((one) => showDay(one.at, zone)))];
  const when = points[place] ? showMoment(points[place].at, zone) : 'as handed in';
  if (versions.data === undefined) return <p role="status">Looking for versions …</p>;
  return (
    <>
      <p className="mb-2 text-quiet">
        {points.length === 0
          ? 'No versions were kept: it was made in one go, or before versions were kept.'
          : `Worked on ${days.length === 1 ? 'on one day' : `on ${days.length} days`}: ${days.join(', ')}. A version is kept every ten minutes while somebody draws.`}
      </p>
      {points.length > 0 && (
        <label className="mb-2 flex items-center gap-3">
          <input
            type="range"
            className="flex-1 accent-[#1f6f63]"
            min={0}
            max={points.length}
            value={place}
            aria-label="Version"
            aria-valuetext={when}
            onChange={({ target }) => setAt(Number(target.value))}
          />
          <output className="w-56 text-right text-sm">
            {when}
            {points[place] && ` · ${points[place].topics} topics, ${points[place].links} links`}
          </output>
        </label>
      )}
      {shown ? (
        <MapPicture map={shown} legend={assignment.legend} title={`The map, ${when}`} />
      ) : (
        <p role="status">Opening this version …</p>
      )}
      {detail.members.length > 1 && <WhoMadeWhat detail={detail} map={map} />}
    </>
  );
}

/** Of a group: how many of the topics and links each of them made. */
function WhoMadeWhat({ detail: { members }, map }: { detail: SubmissionDetail; map: TopicMap }) {
  const count = (list: readonly { by?: string }[], id: string): number => list.filter(({ by }) => by === id).length;
  const others = {
    topics: map.topics.filter(({ by }) => !members.some(({ id }) => id === by)).length,
    links: map.links.filter(({ by }) => !members.some(({ id }) => id === by)).length,
  };
  return (
    <Table
      className="mt-3"
      columns={[
        { name: 'Who', className: 'pr-8' },
        { name: 'Topics', className: 'pr-8 text-right' },
        { name: 'Links', className: 'text-right' },
      ]}
      caption={<caption className="caption text-left">Who made what</caption>}
    >
      {members.map(({ id, givenName, familyName }) => (
        <tr key={id} className="border-b border-rule">
          <td className="py-1 pr-8">
            {givenName} {familyName}
          </td>
          <td className="pr-8 text-right font-mono">{count(map.topics, id)}</td>
          <td className="text-right font-mono">{count(map.links, id)}</td>
        </tr>
      ))}
      <tr className="text-quiet">
        <td className="py-1 pr-8">given, or made by others</td>
        <td className="pr-8 text-right font-mono">{others.topics}</td>
        <td className="text-right font-mono">{others.links}</td>
      </tr>
    </Table>
  );
}
