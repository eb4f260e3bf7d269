import { Camera, Trash2, Upload } from 'lucide-react';
import { useState } from 'react';
import type { FileRow } from '@ichnograph/contract';
import { api, SaidError } from '../common/api';
import { useMyFiles } from '../common/queries';
import { useSend } from '../common/send';
import { Waiting } from '../common/waiting';
import { Button } from '../ui/button';
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
  onChoose: (picture: Chosen | null) => void;
}) {
  const files = useMyFiles();
  const [taken, setTaken] = useState<Chosen | null>(null);
  const { trouble, isSending, send } = useSend(['files']);
  const take = (file: File): void =>
    void send(async () => {
      const row = await bring(file);
      if (row.width === null) throw new SaidError(`“${file.name}” is no picture. Add it as a file of a topic.`);
      onChoose(chosenOf(row));
    });
  const pictures = files.data?.filter(({ width }) => width !== null).map(chosenOf);
  const one = pictures?.find(({ src }) => src === chosen);
  const takeOut = (picture: Chosen): void =>
    void send(async () => {
      await api.put(`files/${picture.src}/away`, undefined);
      setTaken(picture);
      onChoose(null);
    }, `“${picture.name}” is taken out of your pictures.`);
  const putBack = (picture: Chosen): void =>
    void send(async () => {
      await api.delete(`files/${picture.src}/away`);
      setTaken(null);
      onChoose(picture);
    }, `“${picture.name}” is among your pictures again.`);
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
        {one && (
          <Button disabled={isSending} title="Maps that show it keep it" onClick={() => takeOut(one)}>
            <Trash2 aria-hidden size={15} />
            Take it out of yours
          </Button>
        )}
        <span role="status" className="text-sm text-quiet">
          {isSending ? 'Bringing it …' : 'Up to 10 MB. You can also drop pictures on the map, or paste them there.'}
        </span>
      </div>
      {taken && (
        <p className="flex items-center gap-3 text-sm">
          <span className="words">“{taken.name}” is taken out. Maps that show it keep it.</span>
          <Button small disabled={isSending} onClick={() => putBack(taken)}>
            Put it back
          </Button>
        </p>
      )}
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
