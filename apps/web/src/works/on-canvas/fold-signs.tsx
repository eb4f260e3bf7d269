import { branchOf } from '@ichnograph/core';
import type { Folded } from '@ichnograph/core';
import { useEditor, useEditorState } from '../editor';

/**
 * Under each folded topic, how many are out of sight, and under the one that is chosen, that what hangs from it can be: a
 * press folds and unfolds.
 */
export function FoldSigns({ folded, mayFold }: { folded: Folded; mayFold: boolean }) {
  const map = useEditorState((state) => state.map);
  const selection = useEditorState((state) => state.selection);
  const only = mayFold && selection.length === 1 ? selection[0] : undefined;
  return map.topics.map((topic) => {
    const count = folded.counts.get(topic.id);
    if (folded.hidden.has(topic.id)) return null;
    if (count !== undefined)
      return (
        <Sign
          key={topic.id}
          topic={topic}
          label={`Unfold ${topic.text}: ${count} are out of sight`}
          words={`+${count}`}
        />
      );
    const below = topic.id === only ? branchOf(map, [topic.id]).length - 1 : 0;
    return below > 0 ? (
      <Sign key={topic.id} topic={topic} label={`Fold ${topic.text}: ${below} hang from it`} words="−" />
    ) : null;
  });
}

/** At the lower left, outside the topic: a finger that means the ring below the middle does not fold. */
function Sign({
  topic: { id, x, y, width, height },
  label,
  words,
}: {
  topic: { id: string; x: number; y: number; width: number; height: number };
  label: string;
  words: string;
}) {
  const { actions } = useEditor();
  return (
    <button
      type="button"
      className="nodrag nopan pointer-events-auto absolute z-[998] border border-ink bg-paper px-1.5 font-mono text-xs leading-5 -translate-x-full hover:bg-wash pointer-coarse:before:absolute pointer-coarse:before:-inset-y-3 pointer-coarse:before:-left-5 pointer-coarse:before:right-0 pointer-coarse:before:content-['']"
      style={{ left: x - width / 2 - 3, top: y + height / 2 - 6 }}
      data-grip="fold"
      aria-label={label}
      title={label}
      onClick={() => {
        actions.select([id]);
        actions.fold();
      }}
    >
      {words}
    </button>
  );
}
