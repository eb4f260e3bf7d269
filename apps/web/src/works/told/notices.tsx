import { useEffect, useRef } from 'react';
import { useStore } from 'zustand';
import { alertAloud, announce, hush } from '../../common/announcer';
import { LostPictures } from '../../map';
import { Button } from '../../ui/button';
import { useEditor, useEditorState } from '../editor';
import { saveSentence, saveWords } from './save-words';
import type { OpenWork } from '../use-live-work';

/** Trouble with saving, and why something was not done. */
export function Notices({ open }: { open: OpenWork }) {
  const { actions } = useEditor();
  const refusal = useEditorState((state) => state.refusal);
  const state = useStore(open.work.store, (store) => store.state);
  const before = useRef(state);
  const said = useRef(false);
  useEffect(() => {
    if (before.current === state) return;
    const was = before.current;
    before.current = state;
    if (saveSentence(state)) return alertAloud(saveSentence(state)!);
    hush();
    // Said when trouble is over, not after each edit: what was made is said instead.
    if (state === 'saved' && (saveSentence(was) || !said.current)) {
      if (was !== 'opening') announce(saveWords(state));
      said.current = true;
    }
  }, [state]);
  return (
    // Over the map, not above it: it must not move under a hand because a connection came or went.
    <div className="relative z-20 h-0 [&>*]:absolute [&>*]:inset-x-0 [&>*]:top-0">
      {saveSentence(state) && (
        <p className="border-b border-madder bg-madder-wash px-3.5 py-1.5 text-sm" data-testid="save-trouble">
          {saveSentence(state)}
        </p>
      )}
      <LostPictures />
      {refusal && (
        <div
          className="flex items-start justify-between gap-3 border-b border-ochre bg-ochre-wash px-3.5 py-1.5 text-sm"
          data-testid="refusal"
        >
          <p className="words min-w-0">{refusal}</p>
          <Button small look="quiet" onClick={actions.dismiss}>
            Good
          </Button>
        </div>
      )}
    </div>
  );
}
