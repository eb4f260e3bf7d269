import { READY_MADE } from '@ichnograph/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../common/api';
import { useSend } from '../common/send';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Trouble } from '../ui/field';

/** Begins a map: empty, or with the starting map and the legend of a ready-made one. */
export function NewMapDialog({
  folder,
  open,
  onOpenChange,
}: {
  folder: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const navigate = useNavigate();
  const [title, setTitle] = useState('');
  const [readyMade, setReadyMade] = useState('');
  const { trouble, isSending, send } = useSend('everything');
  const begin = async (): Promise<void> => {
    let id = '';
    const post = async (): Promise<void> => {
      ({ id } = await api.post<{ id: string }>('own-maps', { title, folder, ...(readyMade && { readyMade }) }));
    };
    if (await send(post)) await navigate(`/own-maps/${id}`);
  };
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="A new map">
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          void begin();
        }}
      >
        <label className="grid gap-1">
          <span className="font-semibold">Title</span>
          <input
            data-autofocus
            className="field"
            maxLength={300}
            placeholder="What is it about?"
            value={title}
            onChange={({ target }) => setTitle(target.value)}
          />
        </label>
        <label className="grid gap-1">
          <span className="font-semibold">Begin with</span>
          <select className="field" value={readyMade} onChange={({ target }) => setReadyMade(target.value)}>
            <option value="">An empty map</option>
            {READY_MADE.map(({ id, title: name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <Trouble>{trouble}</Trouble>
        <div>
          <Button type="submit" look="action" disabled={isSending}>
            Begin
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
