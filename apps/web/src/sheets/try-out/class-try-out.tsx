import { openStoredMap } from '@ichnograph/core';
import type { ClassMap, RevisionPreview } from '@ichnograph/contract';
import { useMemo, useState } from 'react';
import { api } from '../../common/api';
import { figure } from '../../common/figures';
import { useAssignment } from '../../common/queries';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Trouble } from '../../ui/field';
import { useAttempt } from '../use-attempt';
import { useSheetPage, useWritten } from '../use-sheet';
import { LookedAt } from './looked-at';
import { TryOutGrid } from './try-out-grid';
import type { NamedTrial } from './try-out-grid';
import { useTryOut } from './use-try-out';

interface Asked {
  maps: ClassMap[];
  preview: RevisionPreview;
}

/** What is written, tried on the maps of every class that has the assignment: who would gain, and who would lose. */
export function ClassTryOut() {
  const { detail } = useSheetPage();
  const { publications } = useAssignment(detail.id).data ?? detail;
  const { trouble, busy, attempt } = useAttempt();
  const [asked, setAsked] = useState<Asked | null>(null);
  if (publications.length === 0) return null;
  const ask = (): Promise<boolean> =>
    attempt(async () => {
      const [maps, preview] = await Promise.all([
        api.get<ClassMap[]>(`assignments/${detail.id}/class-maps`),
        api.get<RevisionPreview>(`assignments/${detail.id}/next-revision`),
      ]);
      setAsked({ maps, preview });
    });
  return (
    <div className="mt-3">
      <Button small disabled={busy} onClick={() => void ask()}>
        {busy ? 'Fetching the maps …' : 'Try it on the class’s maps'}
      </Button>
      <Trouble>{trouble}</Trouble>
      <Dialog
        wide
        open={asked !== null}
        onOpenChange={(open) => {
          if (!open) setAsked(null);
        }}
        title="On the maps of your class"
        description="What is written now, on what was handed in last or is being drawn. Nothing of it counts yet."
      >
        {asked && <ClassGrid {...asked} />}
      </Dialog>
    </div>
  );
}

function ClassGrid({ maps, preview }: Asked) {
  const { assignment } = useWritten();
  const [looked, look] = useState<{ trial: string; requirement: string } | null>(null);
  const trials = useMemo(
    () =>
      maps.map(({ workId, members, map }): NamedTrial => ({
        id: workId,
        name: members.map(({ givenName, familyName }) => `${givenName} ${familyName.charAt(0)}`.trim()).join(', '),
        map: openStoredMap(map),
      })),
    [maps],
  );
  const tried = new Map(useTryOut(assignment, trials).map((one) => [one.id, one]));
  const chosen = looked && tried.get(looked.trial);
  if (maps.length === 0) return <p className="text-quiet">Nobody has begun yet.</p>;
  const changeOf = (id: string): number => {
    const work = preview.works.find(({ workId }) => workId === id);
    return work ? work.after - work.before : 0;
  };
  const losing = trials.filter(({ id }) => changeOf(id) < 0);
  return (
    <>
      <TryOutGrid
        trials={trials}
        tried={tried}
        onLook={(trial, requirement) => look({ trial, requirement })}
        below={
          <tr className="font-mono text-xs">
            <td className="sticky left-0 bg-inherit py-1 text-left font-sans text-sm text-quiet">change</td>
            {trials.map(({ id }) => (
              <td key={id} className={changeOf(id) < 0 ? 'font-bold text-madder' : 'text-quiet'}>
                {changeWords(changeOf(id))}
              </td>
            ))}
          </tr>
        }
      />
      <p className="mt-2 text-sm">
        {losing.length === 0
          ? 'Nobody would lose points by it.'
          : `${losing.map(({ name, id }) => `${name} (${changeWords(changeOf(id))})`).join(', ')} would lose points.`}
      </p>
      {chosen && looked && (
        <div className="mt-3 border-t border-rule pt-3">
          <h3 className="mb-2 font-semibold">{trials.find(({ id }) => id === looked.trial)?.name}</h3>
          <LookedAt tried={chosen} requirement={assignment.requirements.find(({ id }) => id === looked.requirement)} />
        </div>
      )}
    </>
  );
}

const changeWords = (by: number): string => (by === 0 ? '=' : `${by > 0 ? '+' : '−'}${figure(Math.abs(by))}`);
