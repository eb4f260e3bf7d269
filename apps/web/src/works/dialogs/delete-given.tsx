import type { RefObject } from 'react';
import { Confirm } from '../../ui/dialog';
import { useEditor, useEditorState } from '../editor';
import type { OpenWork } from '../use-live-work';

/** Asks before a topic is deleted that the teacher gave. */
export function DeleteGiven({ host, open }: { host: RefObject<HTMLDivElement | null>; open: OpenWork }) {
  const { actions } = useEditor();
  const deleting = useEditorState((state) => state.deleting);
  const given = open.editor.store
    .getState()
    .map.topics.filter(({ id, origin }) => deleting?.includes(id) && origin !== undefined);
  const names = given
    .slice(0, 5)
    .map(({ text }) => `“${text}”`)
    .join(', ');
  return (
    <Confirm
      open={deleting !== null}
      danger
      title={given.length === 1 ? 'Delete a given topic?' : `Delete ${given.length} given topics?`}
      yes="Delete"
      no="Keep"
      onAnswer={(yes) => (yes ? actions.remove(true) : actions.keep())}
      onCloseAutoFocus={(event) => {
        event.preventDefault();
        host.current?.focus({ preventScroll: true });
      }}
    >
      <p>
        Your teacher gave {names}
        {given.length > 5 && ' and others'}. {given.length === 1 ? 'It goes' : 'They go'} back to the word bank, from
        where you can place {given.length === 1 ? 'it' : 'them'} again.
      </p>
    </Confirm>
  );
}
