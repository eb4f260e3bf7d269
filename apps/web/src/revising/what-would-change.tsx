import { requirementSentence } from '@ichnograph/core';
import type { Assignment, Requirement } from '@ichnograph/core';
import type { ChangeForWork, RevisionPreview } from '@ichnograph/contract';
import { useState } from 'react';
import { api } from '../common/api';
import { figure } from '../common/figures';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Trouble } from '../ui/field';
import { Table } from '../ui/table';

/** Sends, and says what came of it where it did not do. */
export interface Attempt {
  trouble: string;
  busy: boolean;
  attempt: (work: () => Promise<void>, said?: string) => Promise<boolean>;
}

/** Says that a sheet is ahead of what its maps are checked with: first what would change for whom, then the new revision. */
export function WhatWouldChange({
  say,
  assignmentId,
  assignment,
  trying: { trouble, busy, attempt },
  onDone,
}: {
  say: string;
  assignmentId: string;
  /** as its sheet stands */
  assignment: Assignment;
  trying: Attempt;
  onDone: () => void;
}) {
  const [preview, setPreview] = useState<RevisionPreview | null>(null);
  const [returnedToo, setReturnedToo] = useState(false);
  const look = (): Promise<boolean> =>
    attempt(async () => setPreview(await api.get<RevisionPreview>(`assignments/${assignmentId}/next-revision`)));
  const revise = async (): Promise<void> => {
    const post = (): Promise<void> => api.post(`assignments/${assignmentId}/next-revision`, { returnedToo });
    if (!(await attempt(post, 'The class has the new revision.'))) return;
    setPreview(null);
    onDone();
  };
  return (
    <>
      <div className="flex flex-wrap items-center gap-3">
        <p className="min-w-0 flex-1">{say}</p>
        <Button small disabled={busy} onClick={() => void look()}>
          {busy && !preview ? 'Looking …' : 'See what would change'}
        </Button>
      </div>
      {!preview && <Trouble>{trouble}</Trouble>}
      <Dialog
        wide
        open={preview !== null}
        onOpenChange={(open) => {
          if (!open) setPreview(null);
        }}
        title={`What revision ${(preview?.revision ?? 0) + 1} would change`}
        description="Sums are of what the computer checks; what you judged stays."
      >
        {preview && <Works works={preview.works} assignment={assignment} />}
        <Trouble>{trouble}</Trouble>
        {preview?.works.some(({ state }) => state === 'returned') && (
          <label className="mt-3 flex items-center gap-2">
            <input
              type="checkbox"
              className="accent-action"
              checked={returnedToo}
              onChange={({ target }) => setReturnedToo(target.checked)}
            />
            Check again what is returned, too
          </label>
        )}
        <div className="mt-4 flex justify-end gap-2">
          <Button onClick={() => setPreview(null)}>Not yet</Button>
          <Button look="action" disabled={busy} onClick={() => void revise()}>
            Make revision {(preview?.revision ?? 0) + 1}
          </Button>
        </div>
      </Dialog>
    </>
  );
}

function Works({ works, assignment }: { works: readonly ChangeForWork[]; assignment: Assignment }) {
  const [opened, setOpened] = useState<string | null>(null);
  if (works.length === 0) return <p className="text-quiet">Nobody has begun yet, so nothing of anybody’s changes.</p>;
  return (
    <Table
      columns={[
        'Whose',
        'State',
        { name: 'Now', className: 'text-right' },
        { name: 'Then', className: 'text-right' },
        { name: 'Results', className: 'text-right' },
      ]}
    >
      {works.map((work) => (
        <Row
          key={work.workId}
          work={work}
          assignment={assignment}
          open={opened === work.workId}
          onOpen={() => setOpened(opened === work.workId ? null : work.workId)}
        />
      ))}
    </Table>
  );
}

function Row({
  work,
  assignment,
  open,
  onOpen,
}: {
  work: ChangeForWork;
  assignment: Assignment;
  open: boolean;
  onOpen: () => void;
}) {
  const less = work.after < work.before;
  const sentenceFor = (id: string): string => {
    const requirement: Requirement | undefined = assignment.requirements.find((one) => one.id === id);
    return requirement ? requirementSentence(requirement, assignment) : 'A requirement that is asked for no more';
  };
  return (
    <>
      <tr className="border-b border-rule">
        <td className="words py-1 pr-3">
          {work.members.map(({ givenName, familyName }) => `${givenName} ${familyName}`).join(', ')}
          <span className="text-quiet"> · {work.className}</span>
        </td>
        <td className="pr-3">
          {work.state}
          {work.state === 'returned' && <span className="text-quiet"> · keeps its own</span>}
        </td>
        <td className="text-right font-mono">{figure(work.before)}</td>
        <td className={`text-right font-mono ${less ? 'font-bold text-madder' : ''}`}>
          {figure(work.after)} of {figure(work.outOf)}
        </td>
        <td className="text-right">
          {work.results.length > 0 ? (
            <Button small look="quiet" aria-expanded={open} onClick={onOpen}>
              {work.results.length} otherwise
            </Button>
          ) : (
            <span className="text-quiet">as they were</span>
          )}
        </td>
      </tr>
      {open && (
        <tr className="border-b border-rule bg-canvas">
          <td colSpan={5} className="px-3 py-2">
            <ul className="grid gap-0.5 text-sm">
              {work.results.map(({ requirement, before, after }) => (
                <li key={requirement} className="words flex justify-between gap-4">
                  <span>{sentenceFor(requirement)}</span>
                  <span className="shrink-0 font-mono">
                    {before === null ? 'new' : figure(before)} → {after === null ? 'gone' : figure(after)}
                  </span>
                </li>
              ))}
            </ul>
          </td>
        </tr>
      )}
    </>
  );
}
