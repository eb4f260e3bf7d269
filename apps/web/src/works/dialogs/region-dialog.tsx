import { useState } from 'react';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Swatches } from '../../ui/swatches';
import { useEditor, useEditorState } from '../editor';

const FILLS = ['#e7e2d3', '#dfe9e4', '#e3e6f0', '#f1e2dc', '#ece3ef'];

/** Names a region that is to be drawn around the selection, or changes one that is there. */
export function RegionDialog({ onClosed }: { onClosed: () => void }) {
  const { actions } = useEditor();
  const asked = useEditorState((state) => state.region);
  const region = useEditorState(({ map: { regions }, region: id }) => regions.find((one) => one.id === id));
  return (
    <Dialog
      open={asked === 'new' || region !== undefined}
      onOpenChange={(is) => {
        if (!is) actions.askRegion(null);
      }}
      title={region ? 'Region' : 'A region around the selection'}
      onCloseAutoFocus={(event) => {
        event.preventDefault();
        onClosed();
      }}
    >
      <Fields key={asked} title={region?.title ?? ''} fill={region?.fill} />
    </Dialog>
  );
}

function Fields({ title, fill }: { title: string; fill: string | undefined }) {
  const { actions } = useEditor();
  const [words, setWords] = useState(title);
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        actions.nameRegion(words);
      }}
    >
      <label className="grid gap-1">
        <span className="caption">Title</span>
        <input
          data-autofocus
          className="field"
          maxLength={300}
          placeholder="What belongs together here"
          value={words}
          onChange={({ target }) => setWords(target.value)}
        />
      </label>
      {fill !== undefined && (
        <Swatches
          label="Colour"
          colours={FILLS}
          value={fill}
          onChange={(colour) => actions.nameRegion(words, colour)}
        />
      )}
      <div className="flex gap-2">
        <Button type="submit" look="action">
          {fill === undefined ? 'Draw it' : 'Keep'}
        </Button>
        {fill !== undefined && <Button onClick={actions.removeRegion}>Take the region away</Button>}
      </div>
    </form>
  );
}
