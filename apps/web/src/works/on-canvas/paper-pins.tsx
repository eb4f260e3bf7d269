import { boxOf } from '@ichnograph/core';
import { Pin } from 'lucide-react';
import { useEditor, useEditorState } from '../editor';

/** At the corner of each picture that lies still: the way to take hold of it. */
export function PaperPins() {
  const { actions } = useEditor();
  const pictures = useEditorState(({ map }) => map.pictures);
  return pictures
    .filter(({ fixed }) => fixed)
    .map((picture) => {
      const { left, top } = boxOf(picture);
      return (
        <button
          key={picture.id}
          type="button"
          className="nodrag nopan pointer-events-auto absolute z-[998] grid h-7 w-7 place-items-center pointer-coarse:h-11 pointer-coarse:w-11 border border-rule bg-paper hover:border-ink"
          style={{ left, top }}
          aria-label={`${picture.alt || 'Picture'}: lies still; take hold of it`}
          title="Lies still: take hold of it"
          onClick={() => actions.select([picture.id])}
        >
          <Pin aria-hidden size={14} />
        </button>
      );
    });
}
