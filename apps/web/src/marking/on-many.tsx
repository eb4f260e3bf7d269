import type { RemarkOnMany, RemarksGiven } from '@ichnograph/contract';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, sentenceOfError } from '../common/api';
import { useHiddenNames } from '../common/hidden-names';
import { useSend } from '../common/send';
import { placesWithoutNames } from '../common/without-names';
import { Button } from '../ui/button';
import { Trouble } from '../ui/field';
import { useBatches } from './batches';

/** One remark on every map with the same evidence: looked at first, then written in one go. */
export function OnMany({
  publicationId,
  text,
  requirement,
  codes,
  onBack,
  onDone,
}: {
  publicationId: string;
  text: string;
  requirement: string;
  /** of the evidence here; where there is more than one kind, any of the requirement's counts */
  codes: readonly string[];
  onBack: () => void;
  onDone: () => void;
}) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const { hidden } = useHiddenNames();
  const { trouble, isSending, send } = useSend([`publications/${publicationId}`, 'submissions']);
  const remember = useBatches(({ add }) => add);
  const path = `publications/${publicationId}/remarks-on-many`;
  const wanted: RemarkOnMany = { text, requirement, ...(codes.length === 1 && { evidence: codes[0]! }) };
  const looked = useQuery({
    queryKey: [path, wanted],
    queryFn: () => api.post<RemarksGiven>(path, { ...wanted, preview: true }),
    gcTime: 0,
  });
  const preview = looked.data ?? null;
  const works = (preview?.places ?? []).map(({ workId }) => workId).filter((id) => !left.has(id));
  const put = async (): Promise<void> => {
    let given: RemarksGiven = { batch: null, places: [] };
    const post = async (): Promise<void> => void (given = await api.post<RemarksGiven>(path, { ...wanted, works }));
    if (!(await send(post, works.length === 1 ? 'Written on one map.' : `Written on ${works.length} maps.`))) return;
    const { batch, places } = given;
    if (batch) remember({ id: batch, maps: places.length, text });
    onDone();
  };
  return (
    <div className="grid gap-3">
      <Trouble>{trouble || (looked.error && sentenceOfError(looked.error))}</Trouble>
      {preview === null && !looked.error && <p role="status">Looking which maps have the same evidence …</p>}
      {preview && (
        <>
          <p className="text-quiet">
            {preview.places.length === 1
              ? 'One map that waits to be marked has it.'
              : `${preview.places.length} maps that wait to be marked have it.`}{' '}
            This is what each would read:
          </p>
          <ul className="max-h-[45vh] overflow-y-auto border-y border-rule" aria-label="What each would read">
            {(hidden ? placesWithoutNames(preview.places) : preview.places).map((place) => (
              <li key={place.workId} className="border-b border-rule px-2 py-1 last:border-0">
                <label className="flex items-baseline gap-2">
                  <input
                    type="checkbox"
                    checked={!left.has(place.workId)}
                    onChange={({ target }) => {
                      const next = new Set(left);
                      if (target.checked) next.delete(place.workId);
                      else next.add(place.workId);
                      setLeft(next);
                    }}
                  />
                  <span className="words min-w-0">
                    <span className="text-quiet">
                      {place.members.map(({ givenName, familyName }) => `${givenName} ${familyName}`).join(', ')}:
                    </span>{' '}
                    {place.text}
                  </span>
                </label>
              </li>
            ))}
          </ul>
        </>
      )}
      <div className="flex justify-end gap-2">
        <Button onClick={onBack}>Back</Button>
        <Button look="action" autoFocus disabled={works.length === 0 || isSending} onClick={() => void put()}>
          Write it on {works.length === 1 ? 'one map' : `${works.length} maps`}
        </Button>
      </div>
    </div>
  );
}
