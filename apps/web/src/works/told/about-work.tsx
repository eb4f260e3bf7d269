import { countChanged, openStoredMap } from '@ichnograph/core';
import type { WorkDetail } from '@ichnograph/contract';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useStore } from 'zustand';
import { showMoment } from '../../common/dates';
import { useMe, useSubmission, useTimeZone } from '../../common/queries';
import { useRested } from '../../common/use-rested';
import { useEditorState } from '../editor';
import { News } from './news';
import type { OpenWork } from '../use-live-work';

/** How far a student's work has come, and what that means for whoever draws on it. */
export function AboutWork({ work, open }: { work: WorkDetail; open: OpenWork }) {
  const zone = useTimeZone();
  const { role } = useMe();
  const saving = useStore(open.work.store, (store) => store.state === 'saving');
  const changed = useChangedSince(work);
  const { state, mayEdit, mayHandInAgain, submissions, news } = work;
  const [newest] = submissions;
  const about =
    state === 'being marked'
      ? 'Your teacher has begun to mark this map. You can look at it; changes wait until it comes back.'
      : state === 'returned'
        ? 'This map came back to you. Open the comments and choose “Revise” to go on with it.'
        : state === 'handed in' && newest
          ? `Handed in ${showMoment(newest.handedInAt, zone)}.${mayHandInAgain && mayEdit && changed === 0 ? ' You may go on and hand in again until your teacher begins to mark.' : ''}`
          : state === 'in progress' && !mayEdit && role === 'student'
            ? 'This assignment is closed, or its class is put away. Your map is kept as it is; nothing is drawn or handed in now.'
            : null;
  return (
    <>
      {news && <News detail={work} news={news} assignment={open.assignment} />}
      {about && (
        <p className="border-b border-rule bg-wash px-3.5 py-1.5 text-sm">
          {about}
          {/* As long as what it takes the place of: the map must not move because something was changed on it. */}
          {changed > 0 && (
            <b className="font-semibold">
              {` ${changed === 1 ? 'One thing has' : `${changed} things have`} changed since: hand it in again to let that count.`}
            </b>
          )}
          {state === 'handed in' && newest && (
            <Link className="ml-2 text-action underline" to={`/receipts/${newest.id}`}>
              Receipt
            </Link>
          )}
          {!mayEdit && saving && ' What you changed since then is kept in this browser.'}
        </p>
      )}
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
