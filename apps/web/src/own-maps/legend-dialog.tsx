import type { Legend } from '@ichnograph/core';
import { useState } from 'react';
import { api } from '../common/api';
import { newIdAmong } from '../common/lists';
import { useSend } from '../common/send';
import { LegendEditor } from '../legends';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Trouble } from '../ui/field';

/** The legend of a map of one's own, changed at once or left as it was. */
export function LegendDialog({
  mapId,
  legend,
  open,
  onOpenChange,
}: {
  mapId: string;
  legend: Legend;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  return (
    <Dialog
      wide
      open={open}
      onOpenChange={onOpenChange}
      title="Legend of this map"
      description="What is drawn follows its kind. Topics and links of a kind that you remove stay, as of no kind."
    >
      {open && <Changing mapId={mapId} legend={legend} onDone={() => onOpenChange(false)} />}
    </Dialog>
  );
}

function Changing({ mapId, legend: before, onDone }: { mapId: string; legend: Legend; onDone: () => void }) {
  const [legend, setLegend] = useState(before);
  const { trouble, isSending, send } = useSend([`own-maps/${mapId}`, 'own-maps']);
  const keep = async (): Promise<void> => {
    if (await send(() => api.patch(`own-maps/${mapId}`, { legend }), 'The legend is changed.')) onDone();
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <LegendEditor
        own
        legend={legend}
        newId={newIdAmong}
        onChange={(make) => setLegend((now) => ({ ...now, ...make(now) }))}
        // What was removed by mistake is there again when the dialog is left without keeping.
        remove={(_list, isOne, { change }) => change((all) => all.filter((one) => !isOne(one)))}
      />
      <Trouble>{trouble}</Trouble>
      <div className="mt-5 flex justify-end gap-2">
        <Button onClick={onDone}>Cancel</Button>
        <Button type="submit" look="action" disabled={isSending || legend === before}>
          Keep
        </Button>
      </div>
    </form>
  );
}
