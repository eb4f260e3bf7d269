import type { NewShowing } from '@ichnograph/contract';
import { useState } from 'react';
import { SaidError } from '../../common/api';
import { useClasses } from '../../common/queries';
import { useSend } from '../../common/send';
import { Button } from '../../ui/button';
import { ClassChoice } from '../../ui/class-choice';
import { Dialog } from '../../ui/dialog';
import { Trouble } from '../../ui/field';
import { useEditorState } from '../editor';

interface Props {
  /** which map */
  of: Pick<NewShowing, 'ownMapId' | 'workId'>;
  /** the one class that a map of an assignment is shown to, by its name */
  className: string | null;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  /** a tour is what is shown */
  onTour: () => void;
}

/** Shows the map, or a tour of it, to a class whose devices follow. */
export function ShowDialog({ open, onOpenChange, ...rest }: Props) {
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Show it to a class"
      description="Who is in the class finds it on Today and follows you; they may look around and come back. They see what is drawn: no notes, no sources, and what is said at a stop only when you are there and show its words."
    >
      {open && <ShowForm {...rest} onOpenChange={onOpenChange} />}
    </Dialog>
  );
}

function ShowForm({ of, className, onOpenChange, onTour }: Omit<Props, 'open'>) {
  const tours = useEditorState(({ map }) => map.tours);
  const all = (useClasses().data ?? []).filter(({ archived, part }) => !archived && part !== null);
  const classes = className === null ? all : all.filter(({ name }) => name === className);
  const [chosen, choose] = useState('');
  const [tourId, setTour] = useState(tours[0]?.id ?? '');
  const { send, trouble, isSending } = useSend(['showings']);
  const classId = chosen || (classes[0]?.id ?? '');
  const show = (): Promise<boolean> =>
    send(async (post) => {
      if (classId === '') throw new SaidError('You are in no class that it could be shown to.');
      await post('showings', { ...of, classId, ...(tourId !== '' && { tourId }) } satisfies NewShowing);
      onOpenChange(false);
      if (tourId !== '') onTour();
    }, 'It is shown. Your class finds it on Today.');
  return (
    <form
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        void show();
      }}
    >
      <Trouble>{trouble}</Trouble>
      <ClassChoice label="To which class" classes={classes} value={classId} autoFocus onChange={choose} />
      <label className="block">
        <span className="mb-1 block font-semibold">What they follow</span>
        <select className="field" value={tourId} onChange={({ target }) => setTour(target.value)}>
          {tours.map(({ id, title }, i) => (
            <option key={id} value={id}>
              The tour “{title || `Tour ${i + 1}`}”, from stop to stop
            </option>
          ))}
          <option value="">The map, as you look at it</option>
        </select>
      </label>
      <Button type="submit" look="action" className="justify-self-end" disabled={isSending}>
        Show it
      </Button>
    </form>
  );
}
