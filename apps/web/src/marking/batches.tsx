import { create } from 'zustand';
import { api } from '../common/api';
import { useSend } from '../common/send';
import { Button } from '../ui/button';
import { Trouble } from '../ui/field';

interface Batch {
  id: string;
  maps: number;
  text: string;
}

/** What was written on many maps in one go since the page was opened: it can be taken back in one go. */
export const useBatches = create<{ all: readonly Batch[]; add: (one: Batch) => void; remove: (id: string) => void }>(
  (set) => ({
    all: [],
    add: (one) => set(({ all }) => ({ all: [one, ...all] })),
    remove: (id) => set(({ all }) => ({ all: all.filter((one) => one.id !== id) })),
  }),
);

export function Batches() {
  const { all, remove } = useBatches();
  const { trouble, send } = useSend('everything');
  const [last] = all;
  if (!last) return null;
  const takeBack = async (): Promise<void> => {
    if (await send(() => api.post(`remark-batches/${last.id}/take-back`), 'It is taken back everywhere.'))
      remove(last.id);
  };
  return (
    <div className="border-b border-rule bg-wash px-3.5 py-1.5 text-sm" data-testid="batch">
      <p className="words">
        Written on {last.maps === 1 ? 'one map' : `${last.maps} maps`}: “{last.text}”
      </p>
      <Trouble>{trouble}</Trouble>
      <span className="flex gap-1">
        <Button small onClick={() => void takeBack()}>
          Take it back everywhere
        </Button>
        <Button small look="quiet" onClick={() => remove(last.id)}>
          Leave it
        </Button>
      </span>
    </div>
  );
}
