import { lazy, Suspense } from 'react';
import { Dialog } from '../ui/dialog';
import type { BringInMapProps } from './bring-in-map';

/** What knows all formats is read when it is first wanted. */
const BringInMap = lazy(async () => ({ default: (await import('./bring-in-map')).BringInMap }));

/** A file of another program, read and seen before anything is made of it. */
export function BringInDialog({
  open,
  onOpenChange,
  onClosed,
  title = 'Bring in a file',
  ...rest
}: BringInMapProps & {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title?: string;
  /** gives the focus to where it belongs after it */
  onClosed?: (() => void) | undefined;
}) {
  return (
    <Dialog
      wide
      open={open}
      onOpenChange={onOpenChange}
      title={title}
      {...(onClosed && {
        onCloseAutoFocus: (event: Event) => {
          event.preventDefault();
          onClosed();
        },
      })}
    >
      <Suspense fallback={<p role="status">Looking at the formats …</p>}>
        <BringInMap {...rest} />
      </Suspense>
    </Dialog>
  );
}
