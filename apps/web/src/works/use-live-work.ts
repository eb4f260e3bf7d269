import { holdsAnswers, openStoredAssignment } from '@ichnograph/core';
import type { Assignment } from '@ichnograph/core';
import { workDocument } from '@ichnograph/contract';
import type { WorkDetail } from '@ichnograph/contract';
import { useEffect, useMemo, useState } from 'react';
import { askAgain, queries } from '../common/queries';
import { openLive } from '../live';
import type { LiveWork } from '../live';
import { startAnswerChecks } from './checking/answer-checks';
import { startChecker } from './checking/checker';
import type { DrawnMap } from './drawn-map';
import { createEditor } from './editor';
import type { Editor } from './editor';

/**
 * Whose map is opened, where it is no student's work: one of an assignment's own, that as a student would draw it, or one
 * outside any assignment. But for the second every kind is at hand.
 */
export interface MapSource {
  id: string;
  document: string;
  of: 'sheet' | 'try-out' | 'mine' | 'shared';
  /** the page it belongs to, to go back to */
  back: { to: string; name: string };
  /** opens what changes its legend, where that is its owner's */
  onLegend?: (() => void) | undefined;
}

/** Whether points of a map's history are kept: of what somebody draws for themselves. */
export const hasVersions = (of: OpenWork['of']): boolean => of === 'work' || of === 'mine';

export interface OpenWork {
  /** whether every kind is at hand, and nothing on the map was given by somebody else */
  own: boolean;
  of: MapSource['of'] | 'work';
  back: MapSource['back'] | null;
  onLegend: MapSource['onLegend'];
  editor: Editor;
  work: LiveWork;
  assignment: Assignment;
}

/** Opens a work for as long as its page is shown: live map, editor and checker, in this order of dependence. */
export function useLiveWork(
  detail: DrawnMap,
  student: WorkDetail | null,
  accountId: string,
  source?: MapSource,
): OpenWork | null {
  const due = student?.due ?? null;
  const assignment = useMemo(() => openStoredAssignment(detail.assignment), [detail.assignment]);
  const [open, setOpen] = useState<OpenWork | null>(null);
  const [workId, own] = [source?.id ?? detail.id, source !== undefined && source.of !== 'try-out'];
  const document = source?.document ?? workDocument(workId);
  const here = source !== undefined;
  const of: OpenWork['of'] = source?.of ?? 'work';
  const [backTo, backName] = [source?.back.to, source?.back.name];
  const back = useMemo(
    () => (backTo !== undefined && backName !== undefined ? { to: backTo, name: backName } : null),
    [backTo, backName],
  );
  // A new answer about the work must not close the map: only another work, or another revision, does.
  const key = `${workId} ${detail.revision}`;
  const context = useMemo(
    () => ({ members: detail.members.map(({ id }) => id), due, handedIn: null }),
    [detail.members, due],
  );
  useEffect(() => {
    const work = openLive({
      accountId,
      id: workId,
      document,
      // What others share leaves this browser as they take it back.
      keeps: of !== 'shared',
      // The work itself, and what is said on it.
      onWorkChanged: () => void askAgain(of === 'shared' ? `shares/${workId}` : `works/${workId}`),
      onDoubt: () => void queries.invalidateQueries({ queryKey: ['welcome'] }),
    });
    const editor = createEditor(work.live, assignment, accountId, own);
    const checker = startChecker(
      // Whoever set the answers may have them checked here.
      here ? assignment : { ...assignment, requirements: assignment.requirements.filter((one) => !holdsAnswers(one)) },
      context,
      ({ report, chips }) => editor.actions.answer(report, chips),
      editor.actions.checkTookTooLong,
    );
    let checked: unknown = null;
    const check = (): void => {
      const { map } = editor.store.getState();
      if (!work.store.getState().ready || map === checked) return;
      checked = map;
      checker.check(map);
    };
    const answers = startAnswerChecks(
      workId,
      here ? { ...assignment, requirements: [] } : assignment,
      editor.actions.answerFromServer,
    );
    const stops = [
      answers.stop,
      work.store.subscribe(() => answers.look(work.store.getState().state === 'saved', editor.store.getState().map)),
      editor.store.subscribe(() => answers.look(work.store.getState().state === 'saved', editor.store.getState().map)),
      editor.store.subscribe(check),
      work.store.subscribe(check),
      work.store.subscribe(({ state }, before) => {
        if (of === 'shared' && state === 'closed' && before.state !== 'closed') void askAgain(`shares/${workId}`);
      }),
      editor.destroy,
      checker.stop,
      work.destroy,
    ];
    check();
    setOpen({ editor, work, assignment, own, of, back, onLegend: source?.onLegend });
    return () => {
      for (const stop of stops) stop();
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- see key
  }, [key, accountId]);
  return open;
}
