import { evidenceOf, fillBlanks, REMARK_BLANKS } from '@ichnograph/core';
import type { RemarkValues } from '@ichnograph/core';
import type { NewComment, RemarkRow, SubmissionDetail } from '@ichnograph/contract';
import { Command } from 'cmdk';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { api } from '../common/api';
import { useRemarks } from '../common/queries';
import { useSend } from '../common/send';
import type { Post } from '../common/send';
import { subjectAt } from '../map';
import type { FrozenView } from '../map';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Trouble } from '../ui/field';
import { OnMany } from './on-many';

/** Where a remark would be written just now, and what its blanks are there. */
function placeOf(view: FrozenView, detail: SubmissionDetail) {
  const { map, report } = view.frozen;
  const name = detail.members.map(({ givenName }) => givenName).join(' and ');
  const result = report.results.find(({ id }) => id === view.requirement);
  const found = result && evidenceOf(map, result);
  const [chosen] = view.selection.length === 1 ? view.selection : [];
  const isChosen = chosen !== undefined || view.spot !== null;
  const subject = subjectAt(map, chosen, view.spot);
  const text = map.topics.find(({ id }) => id === chosen)?.text;
  const blanks: RemarkValues = { ...found?.blanks, name, ...(text !== undefined && { topic: `“${text}”` }) };
  return { result, blanks, at: !isChosen && found ? found : subject };
}

/** Whether a remark was last used where one stands: the requirement, and one of the evidence it shows. */
const fits = (row: RemarkRow, requirement: string | null, codes: readonly string[]): number =>
  row.requirement === null || row.requirement !== requirement
    ? 0
    : row.evidence !== null && codes.includes(row.evidence)
      ? 2
      : 1;

/** The bank of remarks over the marking page: found by typing, put where one stands with Enter, or on all with the same evidence. */
export function RemarkBank({
  open,
  onOpenChange,
  detail,
  view,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  detail: SubmissionDetail;
  view: FrozenView;
}) {
  return (
    <Dialog wide open={open} onOpenChange={onOpenChange} title="Remark bank">
      <Bank detail={detail} view={view} onDone={() => onOpenChange(false)} />
    </Dialog>
  );
}

function Bank({ detail, view, onDone }: { detail: SubmissionDetail; view: FrozenView; onDone: () => void }) {
  const remarks = useRemarks(detail.publicationId);
  const { trouble, send } = useSend([`submissions/${detail.id}`, `publications/${detail.publicationId}`]);
  const [typed, setTyped] = useState('');
  const [chosen, choose] = useState('');
  const [many, setMany] = useState<string | null>(null);
  const { result, blanks, at: place } = placeOf(view, detail);
  const codes = [...new Set(result?.evidence.map(({ code }) => code) ?? [])];
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const found = (remarks.data ?? [])
    .filter(({ text }) => words.every((word) => text.toLowerCase().includes(word)))
    .toSorted((a, b) => fits(b, view.requirement, codes) - fits(a, view.requirement, codes));
  // What one types narrows the list; the first that is left is the one Enter would write.
  const current = found.find(({ id }) => id === chosen) ?? found[0];
  const put = async (remark: RemarkRow): Promise<void> => {
    const said: NewComment = {
      anchor: place.anchor,
      ...(place.target !== null && { target: place.target }),
      text: fillBlanks(remark.text, blanks),
    };
    const both = async (post: Post): Promise<void> => {
      const { id } = await post<{ id: string }>(`submissions/${detail.id}/comments`, said);
      await post(`remarks/${remark.id}/uses`, usedWith(result?.id, codes));
      view.chooseComment(id);
    };
    if (await send(both, 'The remark is written.')) onDone();
  };
  const keep = async (): Promise<void> => {
    const post = (): Promise<unknown> => api.post('remarks', { text: typed.trim(), ...usedWith(result?.id, codes) });
    if (await send(post, 'The remark is kept.')) setTyped('');
  };
  if (many !== null && result)
    return (
      <OnMany
        publicationId={detail.publicationId}
        text={many}
        requirement={result.id}
        codes={codes}
        onBack={() => setMany(null)}
        onDone={onDone}
      />
    );
  return (
    <div className="grid gap-3">
      <Trouble>{trouble}</Trouble>
      <Command
        label="Find a remark, or write a new one"
        shouldFilter={false}
        value={current?.id ?? ''}
        onValueChange={choose}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || !event.ctrlKey || !current || !result) return;
          event.preventDefault();
          setMany(current.text);
        }}
      >
        <Command.Input
          data-autofocus
          className="field mb-3"
          maxLength={2000}
          placeholder="Type to find a remark, or to write a new one"
          value={typed}
          onValueChange={setTyped}
        />
        <Command.List label="Remarks" className="max-h-[42vh] overflow-y-auto border-y border-rule">
          {found.map((remark) => (
            <Command.Item
              key={remark.id}
              value={remark.id}
              className="words cursor-pointer border-b border-rule px-2 py-1.5 last:border-0 data-[selected=true]:bg-wash"
              onSelect={() => void put(remark)}
            >
              {remark.text}
              <span className="block text-sm text-quiet">
                {fits(remark, view.requirement, codes) > 0 && (
                  <b className="text-ochre">used with this requirement · </b>
                )}
                {remark.ofAssignment ? 'this assignment' : 'all assignments'}
                {remark.uses > 0 && ` · used ${remark.uses === 1 ? 'once' : `${remark.uses} times`}`}
                {!remark.mine && ' · a colleague’s'}
              </span>
            </Command.Item>
          ))}
          <Command.Empty className="px-2 py-2 text-quiet">
            {typed === ''
              ? 'Nothing is kept yet. What you write here, or with a comment, can be used again.'
              : 'No remark has these words.'}
          </Command.Empty>
        </Command.List>
      </Command>
      {current && (
        <div role="group" aria-label="The chosen remark" className="flex flex-wrap items-center gap-2">
          <Button look="action" onClick={() => void put(current)}>
            Write it here
          </Button>
          {result && codes.length > 0 && (
            <Button onClick={() => setMany(current.text)}>On all with this evidence</Button>
          )}
          {current.mine && (
            <Button
              look="quiet"
              aria-label={`Delete “${current.text}”`}
              onClick={() =>
                void send(() => api.delete(`remarks/${current.id}`), 'The remark is deleted.', {
                  as: `delete ${current.id}`,
                })
              }
            >
              <Trash2 aria-hidden size={14} />
              Delete it
            </Button>
          )}
        </div>
      )}
      <div className="flex flex-wrap items-center justify-between gap-2">
        <p className="max-w-[34rem] text-sm text-quiet">
          Enter writes it {result && view.selection.length !== 1 ? 'where the evidence is' : 'on what is chosen'}
          {result && codes.length > 0 && ', Ctrl+Enter on all maps with the same evidence'}. Blanks:{' '}
          {Object.keys(REMARK_BLANKS)
            .map((blank) => `{${blank}}`)
            .join(' ')}
          .
        </p>
        <Button disabled={typed.trim() === ''} onClick={() => void keep()}>
          Keep “{typed.trim().slice(0, 20) || '…'}
          {typed.trim().length > 20 ? '…' : ''}”
        </Button>
      </div>
    </div>
  );
}

/** With what a remark is used: the requirement one looks at, and its evidence where there is but one kind of it. */
export const usedWith = (requirement: string | undefined, codes: readonly string[]) => ({
  ...(requirement !== undefined && { requirement }),
  ...(requirement !== undefined && codes.length === 1 && { evidence: codes[0] }),
});
