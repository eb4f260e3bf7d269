import type { WorkDetail } from '@ichnograph/contract';
import { countChanged, openStoredMap } from '@ichnograph/core';
import { useEffect, useMemo, useRef } from 'react';
import { Link } from 'react-router';
import { useStore } from 'zustand';
import { alertAloud, announce, hush } from '../common/announcer';
import { showMoment } from '../common/dates';
import { useMe, useSubmission, useTimeZone } from '../common/queries';
import { useRested } from '../common/use-rested';
import { LostPictures } from '../map';
import { Button } from '../ui/button';
import { useEditor, useEditorState } from './editor';
import { saveSentence, saveWords } from './save-words';
import { News } from './news';
import type { OpenWork } from './use-live-work';

/** What must be known before going on: the work's state, trouble with saving, why something was not done. */
export function Notices({ detail, open }: { detail: WorkDetail; open: OpenWork }) {
  const { actions } = useEditor();
  const zone = useTimeZone();
  const { role } = useMe();
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
  const changed = useChangedSince(detail);
  const [newest] = detail.submissions;
  const about =
    detail.state === 'being marked'
      ? 'Your teacher has begun to mark this map. You can look at it; changes wait until it comes back.'
      : detail.state === 'returned'
        ? 'This map came back to you. Open the comments and choose “Revise” to go on with it.'
        : detail.state === 'handed in' && newest
          ? `Handed in ${showMoment(newest.handedInAt, zone)}.${detail.mayHandInAgain && detail.mayEdit && changed === 0 ? ' You may go on and hand in again until your teacher begins to mark.' : ''}`
          : detail.state === 'in progress' && !detail.mayEdit && role === 'student'
            ? 'This assignment is closed, or its class is put away. Your map is kept as it is; nothing is drawn or handed in now.'
            : null;
  const waiting = !detail.mayEdit && state === 'saving';
  return (
    // Over the map, not above it: it must not move under a hand because a connection came or went. What is known before
    // one begins has a row of its own.
    <>
      {detail.news && <News detail={detail} news={detail.news} assignment={open.assignment} />}
      {about && (
        <p className="border-b border-rule bg-wash px-3.5 py-1.5 text-sm">
          {about}
          {/* As long as what it takes the place of: the map must not move because something was changed on it. */}
          {changed > 0 && (
            <b className="font-semibold">
              {` ${changed === 1 ? 'One thing has' : `${changed} things have`} changed since: hand it in again to let that count.`}
            </b>
          )}
          {detail.state === 'handed in' && newest && (
            <Link className="ml-2 text-action underline" to={`/receipts/${newest.id}`}>
              Receipt
            </Link>
          )}
          {waiting && ' What you changed since then is kept in this browser.'}
        </p>
      )}
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
    </>
  );
}

/** How much of a map that was handed in looks otherwise by now, for whoever may hand it in again. */
function useChangedSince({ state, submissions, mayEdit, mayHandInAgain }: WorkDetail): number {
  const asks = state === 'handed in' && mayEdit && mayHandInAgain;
  const submission = useSubmission(asks ? (submissions[0]?.id ?? null) : null).data;
  const map = useRested(useEditorState((one) => one.map));
  const handedIn = useMemo(() => submission && openStoredMap(submission.map), [submission]);
  return useMemo(() => (handedIn && asks ? countChanged(handedIn, map) : 0), [handedIn, asks, map]);
}
