import type { Legend, TopicMap } from '@ichnograph/core';
import { lazy, Suspense } from 'react';
import type { ReactNode } from 'react';
import { Dialog } from '../ui/dialog';

/** What knows all formats is read when it is first wanted. */
const SaveAs = lazy(async () => ({ default: (await import('../map-files')).SaveAs }));

/** A map as a file of a format that is chosen. */
export function SaveAsDialog({
  map,
  legend,
  open,
  onOpenChange,
  children,
}: {
  /** undefined: it is still on its way */
  map: TopicMap | undefined;
  legend: Legend | undefined;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  /** what else can be saved of it, said above */
  children?: ReactNode;
}) {
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Save it as a file">
      {children}
      <Suspense fallback={<p role="status">Looking at the formats …</p>}>
        {map && legend ? (
          <SaveAs map={map} legend={legend} onSaved={() => onOpenChange(false)} />
        ) : (
          <p role="status">Opening the map …</p>
        )}
      </Suspense>
    </Dialog>
  );
}
