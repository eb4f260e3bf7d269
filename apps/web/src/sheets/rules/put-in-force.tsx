import type { RulesForAssignment, RulesPreview } from '@ichnograph/contract';
import { useState } from 'react';
import { api } from '../../common/api';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Trouble } from '../../ui/field';
import { WithWhy } from '../../ui/with-why';
import { placeWords } from '../place-words';
import { useAttempt } from '../use-attempt';
import { useSheetPage, useWritten } from '../use-sheet';
import { changeWords } from './rule-words';

/** Lets what is written be what assignments begin from: first which ones would follow, and what would change on each. */
export function PutInForce() {
  const { detail } = useSheetPage();
  const { missing } = useWritten();
  const { trouble, busy, attempt } = useAttempt();
  const [preview, setPreview] = useState<RulesPreview | null>(null);
  const [following, setFollowing] = useState<readonly string[]>([]);
  const path = `assignments/${detail.id}/amended-rules`;
  const look = (): Promise<boolean> =>
    attempt(async () => {
      const seen = await api.get<RulesPreview>(path);
      setPreview(seen);
      setFollowing(seen.assignments.filter(follows).map(({ id }) => id));
    });
  const amend = async (): Promise<void> => {
    const done = await attempt(() => api.post(path, { assignments: following }), 'The rules are in force.');
    if (done) setPreview(null);
  };
  const first = missing[0];
  return (
    <>
      <WithWhy trouble={preview ? '' : trouble}>
        {(says) => (
          <Button
            {...says}
            look="action"
            disabled={busy || first !== undefined}
            title={first && `${placeWords(first.path)} ${first.reason}.`}
            onClick={() => void look()}
          >
            Put in force …
          </Button>
        )}
      </WithWhy>
      <Dialog
        wide
        open={preview !== null}
        onOpenChange={(open) => {
          if (!open) setPreview(null);
        }}
        title={preview && preview.revision > 0 ? 'What amending the rules would change' : 'Put these rules in force?'}
        description="Assignments that begin from now on begin with them. Of those that are there, the ticked ones follow."
      >
        {preview && (
          <Followers
            assignments={preview.assignments}
            following={following}
            onToggle={(id) =>
              setFollowing(following.includes(id) ? following.filter((one) => one !== id) : [...following, id])
            }
          />
        )}
        {preview && !preview.differs && <p className="mt-2 text-quiet">Nothing differs from what is in force.</p>}
        <Trouble>{trouble}</Trouble>
        <div className="mt-4 flex justify-end gap-2">
          <Button onClick={() => setPreview(null)}>Not yet</Button>
          <Button look="action" disabled={busy || (preview ? !preview.differs : true)} onClick={() => void amend()}>
            Put in force
          </Button>
        </div>
      </Dialog>
    </>
  );
}

const follows = ({ mayChange, changes }: RulesForAssignment): boolean =>
  mayChange && changes.some(({ does }) => does !== 'kept');

function Followers({
  assignments,
  following,
  onToggle,
}: {
  assignments: readonly RulesForAssignment[];
  following: readonly string[];
  onToggle: (id: string) => void;
}) {
  const { assignment: rules } = useWritten();
  if (assignments.length === 0) return <p className="text-quiet">No assignment began with these rules yet.</p>;
  return (
    <ul className="divide-y divide-rule border-y border-rule">
      {assignments.map((one) => {
        const { id, title, owner, mayChange, given, changes } = one;
        return (
          <li key={id} className="words py-2">
            <label className="flex items-baseline gap-2 font-semibold">
              <input
                type="checkbox"
                className="accent-action"
                checked={following.includes(id)}
                disabled={!follows(one)}
                onChange={() => onToggle(id)}
              />
              {title || 'Without a title yet'}
              {!mayChange && (
                <span className="font-normal text-quiet">
                  · {owner.givenName} {owner.familyName} decides that on its sheet
                </span>
              )}
              {given > 0 && mayChange && (
                <span className="font-normal text-quiet">· given out: its class gets it with the next revision</span>
              )}
            </label>
            <ul className="list-disc pl-10 text-sm">
              {changes.map((change) => (
                <li key={`${change.of} ${change.id}`} className={change.does === 'kept' ? 'text-quiet' : ''}>
                  {changeWords(change, rules)}
                </li>
              ))}
              {changes.length === 0 && <li className="text-quiet">nothing changes on it</li>}
            </ul>
          </li>
        );
      })}
    </ul>
  );
}
