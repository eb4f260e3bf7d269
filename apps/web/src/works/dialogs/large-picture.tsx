import { pictureHref } from '../../common/picture-href';
import { Dialog } from '../../ui/dialog';
import { useEditor, useEditorState } from '../editor';

/** One picture of the map, as large as the window has room for. */
export function LargePicture({ onClosed }: { onClosed: () => void }) {
  const { actions } = useEditor();
  const src = useEditorState((state) => state.large);
  const alt = useEditorState(({ map, large }) => {
    const all = [...map.pictures, ...map.topics.flatMap(({ pictures = [] }) => pictures)];
    return all.find((one) => one.src === large)?.alt ?? '';
  });
  return (
    <Dialog
      wide
      open={src !== null}
      onOpenChange={(is) => {
        if (!is) actions.lookLarge(null);
      }}
      title={alt || 'A picture'}
      onCloseAutoFocus={(event) => {
        event.preventDefault();
        onClosed();
      }}
    >
      {src !== null && (
        <img src={pictureHref(src) ?? ''} alt={alt} className="mx-auto h-[70vh] max-w-full bg-white object-contain" />
      )}
    </Dialog>
  );
}
