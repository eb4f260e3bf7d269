import { writeMap } from '@ichnograph/core';
import { lazy, Suspense } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../common/api';
import { Dialog } from '../ui/dialog';

/** What knows all formats is read when it is first wanted. */
const BringInMap = lazy(async () => ({ default: (await import('../bringing-in')).BringInMap }));

/** A map of one's own from a file of another program. */
export function BringInDialog({
  folder,
  open,
  onOpenChange,
}: {
  folder: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const navigate = useNavigate();
  return (
    <Dialog wide open={open} onOpenChange={onOpenChange} title="Bring in a file">
      <Suspense fallback={<p role="status">Looking at the formats …</p>}>
        <BringInMap
          yes="Make the map"
          onMake={async (map) => {
            const body = { title: map.title, folder, map: writeMap(map) };
            const { id } = await api.post<{ id: string }>('own-maps', body);
            await navigate(`/own-maps/${id}`);
          }}
        />
      </Suspense>
    </Dialog>
  );
}
