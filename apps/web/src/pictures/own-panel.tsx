import { Camera, Upload } from 'lucide-react';
import type { FileRow } from '@ichnograph/contract';
import { SaidError } from '../common/api';
import { useMyFiles } from '../common/queries';
import { useSend } from '../common/send';
import { Waiting } from '../common/waiting';
import { ChooseFile } from '../ui/choose-file';
import { Trouble } from '../ui/field';
import { bring } from './bring';
import type { Chosen } from './choice';
import { PictureGrid } from './grid';

const chosenOf = ({ src, name, width, height }: FileRow): Chosen => ({ src, name, width, height });

/** What a person brought themselves: chosen again, or brought now. */
export function OwnPanel({
  chosen,
  onLook,
  onChoose,
}: {
  chosen: string | null;
  onLook: (picture: Chosen | null) => void;
  onChoose: (picture: Chosen) => void;
}) {
  const files = useMyFiles();
  const { trouble, isSending, send } = useSend(['files']);
  const take = (file: File): void =>
    void send(async () => {
      const row = await bring(file);
      if (row.width === null) throw new SaidError(`“${file.name}” is no picture. Add it as a file of a topic.`);
      onChoose(chosenOf(row));
    });
  const pictures = files.data?.filter(({ width }) => width !== null).map(chosenOf);
  return (
    <div className="flex h-full min-h-0 flex-col gap-3">
      <div className="flex flex-wrap items-center gap-2">
        <ChooseFile accept="image/*" onFile={take} disabled={isSending}>
          <Upload aria-hidden size={15} />
          Bring a picture …
        </ChooseFile>
        <ChooseFile accept="image/*" capture onFile={take} disabled={isSending}>
          <Camera aria-hidden size={15} />
          Take a photo …
        </ChooseFile>
        <span role="status" className="text-sm text-quiet">
          {isSending ? 'Bringing it …' : 'Up to 10 MB. You can also drop pictures on the map, or paste them there.'}
        </span>
      </div>
      <Trouble>{trouble}</Trouble>
      <div className="min-h-0 flex-1 overflow-y-auto">
        {pictures === undefined ? (
          <Waiting of={files} what="Looking for your pictures …" />
        ) : pictures.length === 0 ? (
          <p className="text-quiet">Here will be the pictures you bring, to be used again on any map.</p>
        ) : (
          <PictureGrid label="Your pictures" pictures={pictures} chosen={chosen} onLook={onLook} onChoose={onChoose} />
        )}
      </div>
    </div>
  );
}
