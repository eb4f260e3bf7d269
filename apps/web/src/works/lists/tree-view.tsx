import { applyChanges, isFixed } from '@ichnograph/core';
import type { Assignment, Change, TopicMap } from '@ichnograph/core';
import { ReactFlowProvider } from '@xyflow/react';
import { Check } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Canvas, FREE, onReadingKey, startTidying } from '../../map';
import { Button } from '../../ui/button';
import { useEditor, useEditorState } from '../editor';

/** Nothing on this page is flagged: it is there to be read. */
const NO_FLAGS = new Map<never, never>();

/** What a map is laid out from: with what a hand set apart taken along, since nothing of the map itself is touched. */
const loosened = (map: TopicMap): TopicMap => ({
  ...map,
  topics: map.topics.map((topic) =>
    topic.marks?.includes('kept') ? { ...topic, marks: topic.marks.filter((mark) => mark !== 'kept') } : topic,
  ),
});

/** The map as it is arranged, and beside it drawn downward from what all hangs from. It changes nothing unless it is taken over. */
export function TreeView({
  map,
  assignment,
  mayTakeOver,
  onTaken,
}: {
  map: TopicMap;
  assignment: Assignment;
  mayTakeOver: boolean;
  onTaken: () => void;
}) {
  const { actions } = useEditor();
  const { legend, language } = assignment;
  const selection = useEditorState((state) => state.selection);
  const selected = useMemo(() => new Set(selection), [selection]);
  const pane = useRef<HTMLDivElement>(null);
  const [laid, setLaid] = useState<{ of: TopicMap; changes: Change[] } | null>(null);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    const { width, height } = pane.current!.getBoundingClientRect();
    const job = startTidying({
      map: loosened(map),
      wanted: {
        way: 'downward',
        keepRoutes: isFixed(assignment),
        frame: { width: width - FREE.left - FREE.right, height: height - FREE.top - FREE.bottom },
      },
      legend,
    });
    void job.done.then((how) => {
      if (how === 'failed') setFailed(true);
      else if (how !== 'cancelled') setLaid({ of: map, changes: how });
    });
    return job.cancel;
  }, [map, assignment, legend]);
  const tree = useMemo(() => laid && applyChanges(laid.of, laid.changes), [laid]);
  const drawing = (shown: TopicMap, label: string, fitKey: string) => (
    <ReactFlowProvider>
      <Canvas
        label={label}
        language={language}
        map={shown}
        legend={legend}
        selection={selected}
        flags={NO_FLAGS}
        concern={null}
        typing={null}
        onSelect={actions.select}
        onRegion={(id) => actions.select([id])}
        onKey={(event) => onReadingKey(event, shown, assignment, selection, actions.select)}
        fitKey={fitKey}
      />
    </ReactFlowProvider>
  );
  return (
    <div className="grid h-full grid-rows-[auto_1fr]" data-testid="tree">
      <div className="flex flex-wrap items-center gap-2 border-b border-rule bg-paper px-3 py-2">
        <p role="status" className="flex-1 text-quiet">
          {failed
            ? 'It could not be drawn as a tree. The map is as it was.'
            : !tree
              ? 'Drawing it as a tree …'
              : 'As a tree, beside the map as it is arranged. The map itself stays as it is.'}
        </p>
        {mayTakeOver && (
          <Button
            small
            disabled={laid === null || laid.of !== map}
            onClick={() => {
              if (laid && actions.takeOver(laid.changes)) onTaken();
            }}
          >
            <Check aria-hidden size={14} />
            Arrange the map so
          </Button>
        )}
      </div>
      <div className="grid min-h-0 grid-cols-1 md:grid-cols-[2fr_3fr]">
        <div className="hidden min-h-0 border-r border-rule md:block">
          {drawing(map, 'The map as it is arranged. Arrow keys go from topic to topic.', 'arranged')}
        </div>
        <div ref={pane} className="min-h-0" data-testid="as-tree">
          {tree && drawing(tree, 'The map as a tree. Arrow keys go from topic to topic.', `${tree.topics.length}`)}
        </div>
      </div>
    </div>
  );
}
