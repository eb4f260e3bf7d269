import type { SecondMarking } from '@ichnograph/contract';
import { Link } from 'react-router';
import { api } from '../common/api';
import { useHiddenNames } from '../common/hidden-names';
import { useSecondMarking } from '../common/queries';
import { useSend } from '../common/send';
import { worksWithoutNames } from '../common/without-names';
import { Trouble } from '../ui/field';
import { Table } from '../ui/table';

/** Who marks a second time, and how the two agree, criterion by criterion. */
export function SecondMarkingSection({ publicationId }: { publicationId: string }) {
  const marking = useSecondMarking(publicationId);
  const { trouble, send } = useSend('everything');
  if (marking.data === undefined) return null;
  const { marker, candidates, criteria } = marking.data;
  const appoint = (id: string): void =>
    void send(
      () => api.put(`publications/${publicationId}/second-marker`, { accountId: id === '' ? null : id }),
      id === '' ? 'Nobody marks a second time.' : 'The second marker sees nothing of what you give and say.',
    );
  return (
    <section aria-labelledby="second" className="mt-8 border-t border-rule pt-4">
      <h2 id="second" className="mb-2 text-lg font-semibold">
        A second marker
      </h2>
      <Trouble>{trouble}</Trouble>
      {candidates.length === 0 ? (
        <p className="text-quiet">
          Whoever teaches this class with you, or assists in it, could mark it a second time.
        </p>
      ) : (
        <label className="flex flex-wrap items-center gap-2">
          Marks the criteria again, blind to what you gave:
          <select
            className="field w-auto py-1"
            value={marker?.id ?? ''}
            onChange={({ target }) => appoint(target.value)}
          >
            <option value="">nobody</option>
            {candidates.map(({ id, givenName, familyName }) => (
              <option key={id} value={id}>
                {givenName} {familyName}
              </option>
            ))}
          </select>
        </label>
      )}
      {marker && criteria.map((one) => <Agreement key={one.criterion} of={one} publicationId={publicationId} />)}
    </section>
  );
}

function Agreement({
  of: { name, agreement, works, levels },
  publicationId,
}: {
  of: SecondMarking['criteria'][number];
  publicationId: string;
}) {
  const { hidden } = useHiddenNames();
  const apart = (hidden ? worksWithoutNames(works) : works).filter(({ first, second }) => first !== second);
  return (
    <div className="mt-3">
      <h3 className="words font-semibold">{name}</h3>
      <p className="text-quiet">
        {works.length === 0
          ? 'No map has been marked by both yet.'
          : `${works.length === 1 ? 'One map' : `${works.length} maps`} marked by both. ${
              agreement === null
                ? 'Agreement is said from two maps on.'
                : `Agreement ${agreement.toFixed(2)} (1 is full, 0 what chance would give; Cohen’s kappa, quadratic weights).`
            }`}
      </p>
      {apart.length > 0 && (
        <Table
          className="mt-1 text-sm"
          columns={[
            { name: 'Map', className: 'pr-6' },
            { name: 'First', className: 'pr-6' },
            { name: 'Second', className: 'pr-6' },
          ]}
          caption={<caption className="text-left text-quiet">To talk about, furthest apart first</caption>}
        >
          {apart.map(({ workId, members, first, second }) => (
            <tr key={workId} className="border-b border-rule">
              <td className="py-1 pr-6">
                <Link className="text-action underline" to={`/piles/${publicationId}/${workId}`}>
                  {members.map(({ givenName, familyName }) => `${givenName} ${familyName}`).join(', ')}
                </Link>
              </td>
              <td className="pr-6">{levels[first]}</td>
              <td className="pr-6">{levels[second]}</td>
            </tr>
          ))}
        </Table>
      )}
    </div>
  );
}
