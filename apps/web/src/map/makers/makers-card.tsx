import { whoMade } from '@ichnograph/core';
import type { PersonMark, TopicMap } from '@ichnograph/core';
import type { Person } from '@ichnograph/contract';
import { useMemo } from 'react';
import { Badge } from '../../ui/badge';
import { Button } from '../../ui/button';

/** Who made how much of a map, as a table over its corner. A press on a row chooses what that person made. */
export function MakersCard({
  map,
  members,
  marks,
  onChoose,
  onClose,
}: {
  map: TopicMap;
  members: readonly Person[];
  marks: ReadonlyMap<string, PersonMark>;
  onChoose: (ids: readonly string[]) => void;
  onClose: () => void;
}) {
  const made = useMemo(
    () =>
      whoMade(
        map,
        members.map(({ id }) => id),
      ),
    [map, members],
  );
  return (
    <section
      aria-labelledby="makers"
      className="card absolute left-3 top-3 z-20 grid max-w-[26rem] gap-2 px-3 py-2 text-sm"
    >
      <div className="flex items-center justify-between gap-4">
        <h2 id="makers" className="font-semibold">
          Who made what
        </h2>
        <Button small onClick={onClose}>
          Hide
        </Button>
      </div>
      <table>
        <thead>
          <tr className="text-left text-quiet">
            <th scope="col" className="pr-3 font-normal">
              Who
            </th>
            <th scope="col" className="pr-3 text-right font-normal">
              Topics
            </th>
            <th scope="col" className="pr-3 text-right font-normal">
              Links
            </th>
            <th scope="col" className="text-right font-normal">
              Share
            </th>
          </tr>
        </thead>
        <tbody>
          {made.map(({ by, topics, links, share }) => {
            const person = members.find(({ id }) => id === by);
            const mark = by === null ? undefined : marks.get(by);
            const name = by === null ? 'Given' : person ? `${person.givenName} ${person.familyName}` : 'Somebody else';
            return (
              <tr key={by}>
                <th scope="row" className="pr-3 text-left font-normal">
                  <button
                    type="button"
                    className="words flex min-h-7 items-center gap-2 text-left hover:underline"
                    title="Choose it on the map"
                    onClick={() => onChoose([...topics, ...links])}
                  >
                    {mark && <Badge mark={mark} />}
                    {name}
                  </button>
                </th>
                <td className="pr-3 text-right font-mono">{topics.length}</td>
                <td className="pr-3 text-right font-mono">{links.length}</td>
                <td className="text-right font-mono">{by === null ? '' : `${Math.round(share * 100)} %`}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
