import type { SubmissionDetail } from '@ichnograph/contract';
import { Button } from '../ui/button';
import { isNewest } from './mode';
import type { Mode } from './mode';

/** What can be done with the whole map: the reference laid over it, let it go, return it, or take a return back. */
export function MarkingActions({
  detail,
  mode,
  given,
  reference,
  onPost,
  onReturn,
}: {
  detail: SubmissionDetail;
  mode: Mode;
  /** its makers' given names */
  given: string;
  /** whether the reference is laid over the map; null where there is none */
  reference: { shown: boolean; onChange: (shown: boolean) => void } | null;
  onPost: (what: 'let-go' | 'take-back', said: string) => void;
  /** whether one goes on to the next map then */
  onReturn: (thenOn: boolean) => void;
}) {
  return (
    <>
      {reference && (
        <Button aria-pressed={reference.shown} onClick={() => reference.onChange(!reference.shown)}>
          {reference.shown ? 'Without the reference' : 'Reference over it'}
        </Button>
      )}
      {mode === 'marks' && detail.state === 'being marked' && (
        <Button onClick={() => onPost('let-go', `${given} can work on it again.`)}>Let them go on</Button>
      )}
      {mode === 'marks' && (
        <>
          <Button aria-label={`Return to ${given}`} onClick={() => onReturn(false)}>
            Return
          </Button>
          <Button look="action" title="Alt+Enter" onClick={() => onReturn(true)}>
            Return and next
          </Button>
        </>
      )}
      {mode === 'reads' && isNewest(detail) && detail.state === 'returned' && !detail.opened && (
        <Button onClick={() => onPost('take-back', 'The return is taken back.')}>Take the return back</Button>
      )}
    </>
  );
}
