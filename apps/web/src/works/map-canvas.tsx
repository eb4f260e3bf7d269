import type { WorkDetail } from '@ichnograph/contract';
import { useReactFlow, useStore as useFlowStore } from '@xyflow/react';
import { Keyboard } from 'lucide-react';
import { useEffect, useMemo } from 'react';
import type { RefObject } from 'react';
import { useStore } from 'zustand';
import { showDay } from '../app/dates';
import { useTimeZone } from '../app/queries';
import { Canvas, TitleBlock, useEvidence, ViewControls } from '../map';
import type { Gestures, Padding } from '../map';
import { Button } from '../ui/button';
import { onCanvasKey } from './canvas-keys';
import { useEditor, useEditorState } from './editor';
import type { Typing } from './editor';
import { isBare } from './first-step';
import { ResizeGrip } from './resize-grip';
import { SaveWords } from './save-words';
import { TypingOverlay } from './typing-overlay';
import type { OpenWork } from './use-live-work';

/** What the title block and the view controls cover is kept free when the whole map is shown. */
const PADDING: Padding = { top: 44, left: 24, right: 24, bottom: 196 };

interface Props {
  detail: WorkDetail;
  open: OpenWork;
  host: RefObject<HTMLDivElement | null>;
  centre: () => { x: number; y: number };
  onKeys: () => void;
}

/** The student's canvas: what is drawn, what is typed on it, and the title block. */
export function MapCanvas({ detail, open, host, centre, onKeys }: Props) {
  const editor = useEditor();
  const { actions } = editor;
  const zone = useTimeZone();
  const map = useEditorState((state) => state.map);
  const selected = useEditorState((state) => state.selection);
  const report = useEditorState((state) => state.report);
  const requirement = useEditorState((state) => state.requirement);
  const typing = useEditorState((state) => state.typing);
  const state = useStore(open.work.store, (store) => store.state);
  const selection = useMemo(() => new Set(selected), [selected]);
  const bare = isBare(map);
  const { flags, concern, marks } = useEvidence(map, open.assignment, bare ? null : report, requirement);
  const gestures = useMemo(
    (): Gestures => ({
      onMove: actions.move,
      onLink: actions.link,
      onGrow: (from, at) => actions.make(at, from),
      onMake: (at) => actions.make(at),
      onEdit: actions.edit,
    }),
    [actions],
  );
  useInView(typing);
  const { legend } = open.assignment;
  return (
    <Canvas
      label={`Map with ${map.topics.length} topics and ${map.links.length} links. Arrow keys go from topic to topic; the view “Sentences” is the map as text.`}
      map={map}
      legend={legend}
      selection={selection}
      flags={flags}
      concern={concern}
      typing={typing && typing.what !== 'new' ? typing.id : null}
      padding={PADDING}
      fitKey={detail.id}
      hostRef={host}
      onSelect={actions.select}
      onHover={actions.hover}
      onKey={(event) => onCanvasKey(event, editor, centre, detail.mayEdit)}
      gestures={detail.mayEdit ? gestures : undefined}
      overlay={
        <>
          {marks}
          {detail.mayEdit && (
            <>
              <ResizeGrip />
              <TypingOverlay
                legend={legend}
                onDone={() =>
                  requestAnimationFrame(() => {
                    if (!editor.store.getState().typing) host.current?.focus({ preventScroll: true });
                  })
                }
              />
            </>
          )}
        </>
      }
    >
      <ViewControls map={map} legend={legend} padding={PADDING} />
      <Button small className="absolute bottom-3 left-[14.2rem] z-10" onClick={onKeys} aria-label="Keys on the map">
        <Keyboard aria-hidden size={14} />
      </Button>
      <TitleBlock
        title={map.title}
        focusQuestion={map.focusQuestion}
        drawnBy={detail.members.map(({ givenName, familyName }) => `${givenName} ${familyName}`).join(', ')}
        assignment={detail.className}
        state={detail.mayEdit ? <SaveWords state={state} /> : 'To be read'}
        date={showDay(new Date().toISOString(), zone).replace(/^\w+ /, '')}
        onEntitle={detail.mayEdit ? actions.entitle : undefined}
      />
    </Canvas>
  );
}

/** Brings what is being typed into view, by the least movement. */
function useInView(typing: Typing | null): void {
  const flow = useReactFlow();
  const width = useFlowStore((state) => state.width);
  const height = useFlowStore((state) => state.height);
  const at = typing?.what === 'new' ? typing.at : null;
  useEffect(() => {
    if (!at) return;
    const { x, y, zoom } = flow.getViewport();
    // What can be seen stays where it is under the hand.
    const step = (place: number, size: number): number =>
      place < 30 ? 110 - place : place > size - 30 ? size - 110 - place : 0;
    const [dx, dy] = [step(at.x * zoom + x, width), step(at.y * zoom + y, height)];
    if (dx !== 0 || dy !== 0) void flow.setViewport({ x: x + dx, y: y + dy, zoom }, { duration: 160 });
  }, [at, flow, width, height]);
}
