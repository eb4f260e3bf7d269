import type { TopicMap } from '@ichnograph/core';
import { lazy, Suspense } from 'react';
import { Dialog } from '../../ui/dialog';

/** What knows all formats is read when it is first wanted. */
const BringInMap = lazy(async () => ({ default: (await import('../../bringing-in')).BringInMap }));

/** A file of another program, laid beside what is drawn on the map. */
export function BringInDialog({
  open,
  onOpenChange,
  onClosed,
  onMake,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  /** gives the focus back to the work */
  onClosed: () => void;
  onMake: (map: TopicMap) => void;
}) {
  return (
    <Dialog
      wide
      open={open}
      onOpenChange={onOpenChange}
      title="Bring in a file"
      onCloseAutoFocus={(event) => {
        event.preventDefault();
        onClosed();
      }}
    >
      <Suspense fallback={<p role="status">Looking at the formats …</p>}>
        <BringInMap yes="Lay it beside what is drawn" onMake={(map) => Promise.resolve(onMake(map))} />
      </Suspense>
    </Dialog>
  );
}
