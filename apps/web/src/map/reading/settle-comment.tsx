import type { CommentRow } from '@ichnograph/contract';
import { api } from '../../common/api';
import { useSend } from '../../common/send';
import { Button } from '../../ui/button';
import { Trouble } from '../../ui/field';

/** Says that what a comment asked for is done, or opens it again. */
export function SettleComment({ comment: { id, settled } }: { comment: CommentRow }) {
  const { trouble, send } = useSend(['submissions', 'works']);
  return (
    <>
      <Trouble>{trouble}</Trouble>
      <Button
        small
        look="quiet"
        onClick={() =>
          void send(
            () => api.put(`comments/${id}/settled`, { settled: !settled }),
            settled ? 'The comment is open again.' : 'The comment is settled.',
          )
        }
      >
        {settled ? 'Open it again' : 'Settle it'}
      </Button>
    </>
  );
}
