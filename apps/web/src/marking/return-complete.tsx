import { fillBlanks, LETTER_FIELDS, markWords } from '@ichnograph/core';
import type { PileEntry } from '@ichnograph/contract';
import { useState } from 'react';
import { api } from '../common/api';
import { useDraft } from '../common/drafts';
import { useSend } from '../common/send';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Trouble } from '../ui/field';

/** Returns all maps on which nothing is left to judge, at once, or with a letter that is filled for each. */
export function ReturnComplete({
  publicationId,
  title,
  complete,
}: {
  publicationId: string;
  title: string;
  complete: readonly PileEntry[];
}) {
  const [open, setOpen] = useState(false);
  const [letter, setLetter] = useDraft<string>(`letter of ${publicationId}`);
  const { trouble, send, isSending } = useSend('everything');
  const one = complete.length === 1;
  const giveBack = async (): Promise<void> => {
    const done = await send(
      () => api.post(`publications/${publicationId}/return-complete`, { letter: letter?.trim() ?? '' }),
      one ? 'One map is returned.' : `${complete.length} maps are returned.`,
    );
    if (!done) return;
    setOpen(false);
    setLetter(null);
  };
  const [first] = complete;
  if (!first) return null;
  const { shown } = first.submission!.mark!;
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        Return {one ? 'the one' : `the ${complete.length}`} that {one ? 'is' : 'are'} complete …
      </Button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title={one ? 'Return one map' : `Return ${complete.length} maps`}
        description="Each goes back with its comments, verdicts and mark. Until somebody reads it, a return can be taken back."
      >
        <Trouble>{trouble}</Trouble>
        <label className="block">
          A letter that goes with {one ? 'it' : 'each'}, if you like
          <textarea
            className="field mt-1"
            rows={5}
            maxLength={2000}
            placeholder="Dear {name}, …"
            value={letter ?? ''}
            onChange={({ target }) => setLetter(target.value === '' ? null : target.value)}
          />
        </label>
        <p className="mt-1 text-sm text-quiet">
          Filled for each:{' '}
          {Object.entries(LETTER_FIELDS)
            .map(([field, words]) => `{${field}} ${words}`)
            .join(', ')}
          .
        </p>
        {letter && (
          <div className="mt-2 border-l-2 border-indigo pl-2" aria-label="As the first will read it">
            <p className="words whitespace-pre-wrap">
              {fillBlanks(letter, {
                name: first.members.map(({ givenName }) => givenName).join(' and '),
                mark: markWords(shown),
                title,
              })}
            </p>
          </div>
        )}
        <div className="mt-4 flex justify-end gap-2">
          <Button onClick={() => setOpen(false)}>Cancel</Button>
          <Button look="action" data-autofocus disabled={isSending} onClick={() => void giveBack()}>
            Return {one ? 'it' : `all ${complete.length}`}
          </Button>
        </div>
      </Dialog>
    </>
  );
}
