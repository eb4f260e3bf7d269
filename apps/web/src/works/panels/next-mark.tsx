import {
  branchFill,
  drawMark,
  drawTopic,
  effectiveKindOfNew,
  fitTopic,
  isStructural,
  kindOfLink,
} from '@ichnograph/core';
import type { Assignment, Topic } from '@ichnograph/core';
import { Shapes } from '../../map';
import { useEditor, useEditorState } from '../editor';

/** Exactly what the next topic and the next link will look like. Nothing else decides it. */
export function NextMark({ assignment }: { assignment: Assignment }) {
  const { actions } = useEditor();
  const { legend } = assignment;
  const next = useEditorState((state) => state.next);
  const chip = useEditorState((state) => state.chip);
  const kind = chip ? (chip.kind ?? next.topicKind) : next.topicKind;
  const name = chip?.text ?? effectiveKindOfNew(kind, assignment)?.name ?? 'Topic';
  const ofBranch = useEditorState(({ map, selection }) =>
    selection.length === 1 ? branchFill(map, selection[0]!, assignment) : undefined,
  );
  const fill = chip ? undefined : ofBranch;
  const draft: Topic = {
    id: 'next',
    text: name,
    kind,
    x: 0,
    y: 0,
    width: 0,
    height: 0,
    ...(fill !== undefined && { fill }),
  };
  const topic = { ...draft, ...fitTopic(draft, legend) };
  const away = topic.width / 2 + 118;
  const end: Topic = { ...topic, id: 'end', x: away, width: 2, height: 2, shape: 'plain' };
  const link = {
    id: 'l',
    from: 'next',
    to: 'end',
    phrase: kindOfLink(legend, next.linkKind)?.name ?? '',
    kind: next.linkKind,
    route: 'straight' as const,
  };
  const { style } = drawTopic(topic, legend);
  const scene = { legend, topicById: new Map([topic, end].map((one) => [one.id, one])) };
  const [left, width] = [-topic.width / 2 - 8, topic.width + 140];
  return (
    <section aria-label="Next mark" className="mb-4">
      <h2 className="caption mb-1.5">Next mark</h2>
      <svg
        role="img"
        aria-label={`The next topic is ${name}, drawn as ${style.shape}; the next link ${link.phrase || 'plain'}`}
        className="card block h-[54px] w-full p-1"
        viewBox={`${left} ${-topic.height / 2 - 6} ${width} ${topic.height + 12}`}
        preserveAspectRatio="xMidYMid meet"
        style={{ fontKerning: 'none' }}
      >
        <Shapes shapes={drawMark('links', link, scene)?.shapes ?? []} />
        <Shapes shapes={drawMark('topics', topic, scene)?.shapes ?? []} />
      </svg>
      {!isStructural(kindOfLink(legend, next.linkKind)) && (
        <label className="mt-1 flex items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="accent-action"
            checked={next.isPinned}
            onChange={({ target }) => actions.pinLinkKind(target.checked)}
          />
          This line for all that follow, not only the next
        </label>
      )}
    </section>
  );
}
