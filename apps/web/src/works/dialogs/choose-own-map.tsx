import { openStoredMap } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import type { OwnMapDetail } from '@ichnograph/contract';
import { api } from '../../common/api';
import { useOwnMaps } from '../../common/queries';
import { useSend } from '../../common/send';
import { Waiting } from '../../common/waiting';
import { Dialog } from '../../ui/dialog';
import { Trouble } from '../../ui/field';
import { Thumbnail } from '../../map';

/** One of one's own maps, for use elsewhere; it comes with its legend, and stays where it is. */
export function ChooseOwnMap({
  open,
  onOpenChange,
  title,
  description,
  onChoose,
  onClosed,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  description: string;
  onChoose: (map: TopicMap) => void;
  onClosed?: () => void;
}) {
  return (
    <Dialog
      wide
      open={open}
      onOpenChange={onOpenChange}
      title={title}
      description={description}
      {...(onClosed && {
        onCloseAutoFocus: (event: Event) => {
          event.preventDefault();
          onClosed();
        },
      })}
    >
      <Choices onChoose={onChoose} />
    </Dialog>
  );
}

function Choices({ onChoose }: { onChoose: (map: TopicMap) => void }) {
  const maps = useOwnMaps();
  const { trouble, send } = useSend([]);
  if (maps.data === undefined) return <Waiting of={maps} what="Looking for your maps …" />;
  if (maps.data.length === 0) return <p className="text-quiet">You have no maps of your own yet.</p>;
  const take = (id: string): Promise<boolean> =>
    send(async () => {
      const { map, legend } = await api.get<OwnMapDetail>(`own-maps/${id}`);
      onChoose({ ...openStoredMap(map), legend: legend as unknown as Legend });
    });
  return (
    <>
      <Trouble>{trouble}</Trouble>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(200px,1fr))] gap-3">
        {maps.data.map(({ id, title, topics }) => (
          <li key={id}>
            <button
              type="button"
              className="card block w-full text-left hover:border-ink"
              onClick={() => void take(id)}
            >
              <Thumbnail id={id} />
              <span className="words block px-2.5 pt-2 font-semibold">{title}</span>
              <span className="block px-2.5 pb-2 text-xs text-quiet">
                {topics === 1 ? '1 topic' : `${topics} topics`}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
