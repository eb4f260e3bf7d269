import type { CommentRow, WorkDetail } from '@ichnograph/contract';
import { foldedOf, markAt } from '@ichnograph/core';
import type { PersonMark, TopicMap } from '@ichnograph/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { RefObject } from 'react';
import { announce } from '../common/announcer';
import { useComments } from '../common/queries';
import {
  AnswerComment,
  Canvas,
  CommentCard,
  FREE,
  MakersCard,
  MakersOver,
  Margin,
  readChosen,
  SettleComment,
  useEvidence,
  useIsLittleSeen,
  useMarginWidth,
  useShow,
} from '../map';
import type { Gestures } from '../map';
import { carriedPicture } from '../pictures';
import { Button } from '../ui/button';
import { inSight } from './panels/checks-panel';
import { onCanvasKey } from './commands/canvas-keys';
import { useCommands } from './commands/list';
import { pastedFrom } from './pasted';
import { shownOf } from './shown-of';
import { useEditor, useEditorState } from './editor';
import type { DrawnMap } from './drawn-map';
import type { Spot, Typing } from './editor';
import { isBare } from './panels/first-step';
import { LeaderCard } from './commands/command-menu';
import { FindBar } from './on-canvas/find-bar';
import { Finder } from './on-canvas/finder';
import { FoldSigns } from './on-canvas/fold-signs';
import { LinkGrips } from './on-canvas/link-grips';
import { isMapFile } from '../bringing-in';
import { Moves, MovesShown } from './on-canvas/moves';
import { TourLineShown } from './tour/line-shown';
import { NoteCard } from './on-canvas/note-card';
import { PaperPins } from './on-canvas/paper-pins';
import { RoomLine } from './on-canvas/room-line';
import { RowGrips } from './on-canvas/row-grips';
import { ResizeGrips } from './on-canvas/resize-grips';
import { Following, OthersDrawn, useFollow, useOwnPlace } from './here';
import type { Threads } from './threads';
import { TaskSigns } from './on-canvas/task-signs';
import { TypingOverlay } from './on-canvas/typing-overlay';
import type { OpenWork } from './use-live-work';

interface Props {
  detail: DrawnMap;
  work: WorkDetail | null;
  open: OpenWork;
  host: RefObject<HTMLDivElement | null>;
  /** how those who draw here are told from one another */
  people: ReadonlyMap<string, PersonMark>;
  threads: Threads;
  /** whether the threads stand in the panel beside the map, and so not in its margin */
  saidBeside: boolean;
}

/** The student's canvas: what is drawn, what is typed on it, and in its margin the remarks on what came back. */
export function MapCanvas({ detail, work, open, host, people, threads, saidBeside }: Props) {
  const editor = useEditor();
  const { actions } = editor;
  const { commands, desk } = useCommands();
  const bringsFiles = commands.some(({ id }) => id === 'bring-file');
  const map = useEditorState((state) => state.map);
  const selected = useEditorState((state) => state.selection);
  const report = useEditorState((state) => state.report);
  const requirement = useEditorState((state) => state.requirement);
  const typing = useEditorState((state) => state.typing);
  const gathering = useEditorState((state) => state.gathering);
  const withBranch = useEditorState((state) => state.withBranch);
  const glide = useEditorState((state) => state.glide);
  const selection = useMemo(() => new Set(selected), [selected]);
  const bare = isBare(map);
  const { legend } = open.assignment;
  const { flags, concern, marks } = useEvidence(
    map,
    open.assignment,
    bare || inSight(open) === 'nothing' ? null : report,
    requirement,
  );
  const folded = useMemo(() => foldedOf(map), [map]);
  const alone = useEditorState((state) => state.alone);
  const blank = useEditorState((state) => state.blank);
  const makers = useEditorState((state) => state.makers);
  const overview = useEditorState((state) => state.overview ?? state.offered);
  const little = useIsLittleSeen(map, open.assignment.legend);
  useEffect(() => actions.offerOverview(little), [actions, little]);
  const shown = useMemo(() => shownOf(map, folded, alone), [map, folded, alone]);
  const remarks = useRemarks(work, saidBeside ? NO_REMARKS : threads.all);
  const margin = useMarginWidth(remarks.length);
  const [comment, chooseComment] = useState<string | null>(null);
  const gestures = useMemo(
    (): Gestures => ({
      onMove: actions.move,
      onLink: actions.link,
      onGrow: (from, at) => {
        if (at) return actions.make(at, from);
        actions.select([from]);
        actions.grow(false);
      },
      onMake: (at) => actions.make(at),
      onEdit: actions.edit,
      onHang: actions.hang,
      onBetween: actions.putBetween,
      onRegion: actions.askRegion,
    }),
    [actions],
  );
  useSaidSelection();
  useOwnPlace(host, open.work.here);
  useFollow(host, open.work.here);
  const select = useSelect();
  useInView(typing);
  const topicsUnder = (at: Spot): string[] => {
    const under = markAt(map, legend, 'topics', at);
    return under === undefined ? [] : [under];
  };
  /** Dropped on a topic they go into it; pasted, into what is selected; otherwise onto the map. */
  const takeFiles = (files: readonly File[], at: Spot | null): void => {
    const [file] = files;
    // A list, a table or a graph is looked at first, where maps may be brought in.
    if (file && files.length === 1 && isMapFile(file) && bringsFiles) {
      actions.holdFile(file);
      return desk.show('bring in');
    }
    const into = at ? topicsUnder(at) : selectedTopicIds(map, selected);
    void actions.bringFiles(files, into, at ?? desk.centre()).then(() => desk.bringIn());
  };
  const drops = {
    takes: (data: DataTransfer): boolean => data.types.includes('Files') || carriedPicture() !== null,
    onDrop: ({ files }: DataTransfer, at: Spot): void => {
      const picture = carriedPicture();
      if (picture) actions.dropPicture(picture, topicsUnder(at), at);
      else takeFiles([...files], at);
    },
  };
  const clipboard = {
    // What was copied here comes back as it was; text from elsewhere becomes topics.
    onPaste: (data: DataTransfer): void => {
      const { text, files } = pastedFrom(data);
      if (files.length > 0) return takeFiles(files, null);
      if (text !== '' && !actions.isCopied(text)) actions.gatherText(text, desk.centre(), desk.frame());
      else actions.paste(text === '' ? undefined : text);
      desk.bringIn();
    },
    onCopy: actions.copy,
    onCut: (): string => {
      const words = actions.copy();
      actions.remove();
      return words;
    },
  };
  return (
    <Canvas
      label={`Map with ${map.topics.length} topics and ${map.links.length} links. Arrow keys go from topic to topic; the view “Sentences” is the map as text.`}
      language={open.assignment.language}
      map={shown}
      legend={legend}
      selection={selection}
      flags={flags}
      concern={concern}
      typing={typing && 'id' in typing ? typing.id : null}
      padding={{ ...FREE, right: FREE.right + margin }}
      gathering={gathering}
      withBranch={withBranch}
      glide={glide}
      onGlided={actions.glided}
      blank={blank}
      overview={overview}
      onOverview={actions.toggleOverview}
      fitKey={detail.id}
      hostRef={host}
      clipboard={detail.mayEdit ? clipboard : undefined}
      drops={detail.mayEdit ? drops : undefined}
      onSelect={select}
      onHover={actions.hover}
      onKey={(event) => onCanvasKey(event, commands, desk)}
      gestures={detail.mayEdit ? gestures : undefined}
      overlay={
        <>
          {marks}
          {makers && <MakersOver map={shown} legend={legend} marks={people} />}
          <OthersDrawn here={open.work.here} marks={people} legend={legend} />
          {detail.members.length > 1 && (
            <TaskSigns hidden={folded.hidden} members={detail.members} marks={people} mayEdit={detail.mayEdit} />
          )}
          <FoldSigns folded={folded} mayFold={detail.mayEdit} />
          {detail.mayEdit && (
            <>
              <ResizeGrips />
              <PaperPins />
              <RowGrips />
              <MovesShown />
              <TourLineShown />
              <RoomLine />
              <LinkGrips assignment={open.assignment} />
              <TypingOverlay
                assignment={open.assignment}
                onDone={(byKey) => {
                  const focus = (): void => {
                    if (!editor.store.getState().typing) host.current?.focus({ preventScroll: true });
                  };
                  // The next key may come at once, and is the canvas's.
                  if (byKey) focus();
                  else requestAnimationFrame(focus);
                }}
              />
            </>
          )}
        </>
      }
    >
      <LeaderCard />
      <AloneNote />
      {makers && (
        <MakersCard
          map={map}
          members={detail.members}
          marks={people}
          onChoose={actions.select}
          onClose={actions.toggleMakers}
        />
      )}
      <Following here={open.work.here} />
      <NoteCard />
      <FindBar host={host} />
      {detail.mayEdit && <Finder host={host} />}
      {detail.mayEdit && <Moves host={host} />}
      <Margin
        map={map}
        legend={legend}
        comments={remarks}
        chosen={comment}
        onChoose={(chosen) => {
          chooseComment(chosen);
          const target = remarks.find(({ id }) => id === chosen)?.target;
          if (target && [...map.topics, ...map.links].some(({ id }) => id === target)) actions.select([target]);
        }}
        card={(one, letter) => (
          <CommentCard comment={one} letter={letter} map={map} legend={legend} onClose={() => chooseComment(null)}>
            <div className="flex flex-wrap gap-1">
              <AnswerComment commentId={one.id} people={threads.people} />
              <SettleComment comment={one} />
            </div>
          </CommentCard>
        )}
      />
    </Canvas>
  );
}

const selectedTopicIds = ({ topics }: TopicMap, selected: readonly string[]): string[] =>
  topics.flatMap(({ id }) => (selected.includes(id) ? [id] : []));

/** That only a part of the map is shown, and the way back to all of it. */
function AloneNote() {
  const { actions } = useEditor();
  const alone = useEditorState(({ map, alone: id }) => map.topics.find((one) => one.id === id)?.text);
  const blank = useEditorState((state) => state.blank);
  if (alone === undefined && blank === null) return null;
  return (
    <div className="card absolute left-3 top-3 z-20 flex items-center gap-3 px-2.5 py-1.5 text-sm">
      <p className="words">
        {alone === undefined
          ? `The words of ${blank === 'topics' ? 'topics' : 'links'} are hidden until you point at them.`
          : `Only what hangs from “${alone}” is shown.`}
      </p>
      <Button small onClick={() => (alone === undefined ? actions.toggleBlank(blank!) : actions.showAlone(null))}>
        Show everything
      </Button>
    </div>
  );
}

/** The remarks on what came back last: while one revises they belong beside the map. */
function useRemarks(work: WorkDetail | null, threads: readonly CommentRow[]) {
  const back = work?.submissions.find(({ returnedAt }) => returnedAt !== null);
  const returned = useComments(back?.id ?? null).data;
  // What is settled among those who draw stands in the list of comments alone.
  return useMemo(
    () => [...(returned ?? NO_REMARKS), ...threads.filter(({ settled }) => !settled)],
    [returned, threads],
  );
}
const NO_REMARKS: never[] = [];

/** How long a choice must rest before it is told: a frame that is drawn, or an arrow that is held, goes over many. */
const RESTS_MS = 150;

/** Tells those who do not see it what is chosen, whichever way it was. */
function useSaidSelection(): void {
  const { store, assignment } = useEditor();
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const unsubscribe = store.subscribe(({ selection }, before) => {
      if (selection === before.selection) return;
      clearTimeout(timer);
      timer = setTimeout(() => {
        const { map, selection: rested, typing } = store.getState();
        if (rested.length > 0 && !typing) announce(readChosen(map, assignment, rested));
      }, RESTS_MS);
    });
    return () => {
      clearTimeout(timer);
      unsubscribe();
    };
  }, [store, assignment]);
}

/** Half of what is kept in sight round a topic that is about to be made, canvas units. */
const ABOUT = { x: 90, y: 40 };

/** Brings what is being typed into view, by the least movement. */
function useInView(typing: Typing | null): void {
  const { see } = useShow();
  const at = typing?.what === 'new' ? typing.at : null;
  useEffect(() => {
    if (at) see({ left: at.x - ABOUT.x, right: at.x + ABOUT.x, top: at.y - ABOUT.y, bottom: at.y + ABOUT.y });
  }, [at, see]);
}

/**
 * Chooses on the map. Where a topic is asked for, the answer waits for the end of the press: what it opens to be typed in would
 * lose the focus to the canvas that is being pressed.
 */
function useSelect(): (ids: readonly string[]) => void {
  const { actions, store } = useEditor();
  const pressed = useRef<readonly string[] | null>(null);
  return (ids) => {
    if (store.getState().asking === null) return actions.select(ids);
    const isFirst = pressed.current === null;
    pressed.current = ids;
    if (!isFirst) return;
    const answer = (): void => {
      const last = pressed.current;
      pressed.current = null;
      // A finger that went on to push the map, or Escape, ended the asking: then nothing is chosen late.
      if (last && store.getState().asking !== null) actions.select(last);
    };
    const released = (): void => {
      // Before the next key, which may be there already; a press that moved, and some by finger, end without a click.
      window.addEventListener('click', answer, { once: true });
      setTimeout(() => {
        window.removeEventListener('click', answer);
        answer();
      });
    };
    window.addEventListener('pointerup', released, { once: true });
  };
}
