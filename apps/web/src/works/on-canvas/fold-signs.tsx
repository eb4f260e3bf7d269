import type { Folded } from '@ichnograph/core';
import { useEditor, useEditorState } from '../editor';

/** Under each folded topic, how many are out of sight; a press brings them back. */
export function FoldSigns({ folded }: { folded: Folded }) {
  const { actions } = useEditor();
  const topics = useEditorState(({ map }) => map.topics);
  if (folded.counts.size === 0) return null;
  return topics.map(({ id, text, x, y, height }) => {
    const count = folded.counts.get(id);
    if (count === undefined || folded.hidden.has(id)) return null;
    return (
      <button
        key={id}
        type="button"
        className="nodrag nopan pointer-events-auto absolute z-[998] -translate-x-1/2 border border-ink bg-paper px-1.5 font-mono text-xs leading-5 hover:bg-wash"
        style={{ left: x, top: y + height / 2 + 4 }}
        aria-label={`Unfold ${text}: ${count} are out of sight`}
        onClick={() => {
          actions.select([id]);
          actions.fold();
        }}
      >
        +{count}
      </button>
    );
  });
}
