import { lazy, Suspense } from 'react';
import { Dialog } from '../../ui/dialog';
import { useEditor, useEditorState } from '../editor';

/** What knows all formats is read when it is first wanted. */
const SaveAs = lazy(async () => ({ default: (await import('../../map-files')).SaveAs }));

/** The map as a file of another program's. */
export function SaveAsDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Save it as a file">
      <Suspense fallback={<p role="status">Looking at the formats …</p>}>
        <OfMap onSaved={() => onOpenChange(false)} />
      </Suspense>
    </Dialog>
  );
}

function OfMap({ onSaved }: { onSaved: () => void }) {
  const { assignment } = useEditor();
  const map = useEditorState((state) => state.map);
  return <SaveAs map={map} legend={assignment.legend} onSaved={onSaved} />;
}
