import type { GatheringDetail } from '@ichnograph/contract';
import { Ellipsis, Shapes } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../common/api';
import { KeysOfPage } from '../common/page-keys';
import type { PageKey } from '../common/page-keys';
import { useSend } from '../common/send';
import { Button } from '../ui/button';
import { Confirm } from '../ui/dialog';
import { Menu, MenuItem } from '../ui/menu';
import { Segments } from '../ui/segments';
import type { BoardActs } from './board-acts';

export type BoardView = 'The board' | 'Then and now';
const VIEWS: readonly BoardView[] = ['The board', 'Then and now'];
const ROUNDS = ['What do you know?', 'And now?'] as const;

/** Over the board: the question, its code, how many have sent something, and what is done with the whole. */
export function BoardHead({
  detail,
  acts,
  view,
  withNames,
  keys,
  onView,
  onNames,
  onMake,
}: {
  detail: GatheringDetail;
  acts: BoardActs;
  view: BoardView;
  withNames: boolean;
  keys: readonly PageKey[];
  onView: (view: BoardView) => void;
  onNames: (with_: boolean) => void;
  onMake: () => void;
}) {
  const { question, className, code, open, round, senders, students, ideas, anonymous } = detail;
  return (
    <header className="mb-3">
      <div className="flex flex-wrap items-start justify-between gap-x-8 gap-y-2">
        <div className="min-w-0 flex-1 basis-80">
          <h1 className="words text-2xl font-semibold leading-tight">{question}</h1>
          <p className="mt-1 text-quiet">
            {className} ·{' '}
            {`${senders} of ${students} ${students === 1 ? 'student has' : 'students have'} sent something`}
            {round === 2 && ' in this round'}
          </p>
        </div>
        {open ? (
          <p className="border border-ink bg-white px-3 py-1 text-center">
            <span className="block text-sm text-quiet">On your device: Today, then this code</span>
            <b data-testid="code" className="font-mono text-2xl tracking-[0.2em]">
              {code}
            </b>
          </p>
        ) : (
          <p className="border border-rule px-3 py-2 text-quiet">Closed: nothing more comes in.</p>
        )}
      </div>
      <div className="mt-3 flex flex-wrap items-center gap-2">
        <Button look="action" onClick={onMake} disabled={ideas.length === 0}>
          <Shapes aria-hidden size={15} /> Make something of it
        </Button>
        <Button
          onClick={() => void acts.change({ open: !open }, open ? 'The question is closed.' : 'It is open again.')}
        >
          {open ? 'Close the question' : 'Open it again'}
        </Button>
        <Segments
          label="Round"
          options={ROUNDS}
          value={ROUNDS[round - 1]!}
          onChange={(wanted) =>
            void acts.change(
              { round: ROUNDS.indexOf(wanted) + 1 },
              wanted === 'And now?'
                ? 'What comes in now counts as known now.'
                : 'What comes in counts as known before.',
            )
          }
        />
        <Segments label="View" options={VIEWS} value={view} onChange={onView} />
        <Button aria-pressed={withNames} onClick={() => onNames(!withNames)}>
          {withNames ? 'Names are shown here' : 'Names'}
        </Button>
        <KeysOfPage keys={keys} />
        <More detail={detail} anonymous={anonymous} acts={acts} />
      </div>
    </header>
  );
}

function More({ detail, anonymous, acts }: { detail: GatheringDetail; anonymous: boolean; acts: BoardActs }) {
  const navigate = useNavigate();
  const [asking, setAsking] = useState(false);
  const { send } = useSend('everything');
  return (
    <>
      <Menu
        trigger={
          <Button small aria-label="More of this question">
            <Ellipsis aria-hidden size={16} />
          </Button>
        }
      >
        <MenuItem
          onSelect={() =>
            void acts.change(
              { anonymous: !anonymous },
              anonymous ? 'Your students see who sent what.' : 'Your students do not see who sent what.',
            )
          }
        >
          {anonymous ? 'Let students see who sent what' : 'Hide from students who sent what'}
        </MenuItem>
        <MenuItem onSelect={() => setAsking(true)}>Remove the question …</MenuItem>
      </Menu>
      <Confirm
        open={asking}
        title="Remove this question with all its ideas"
        yes="Remove it"
        danger
        onAnswer={(yes) => {
          setAsking(false);
          if (yes)
            void send(async () => {
              await navigate('/gatherings');
              await api.delete(`gatherings/${detail.id}`);
            }, 'The question is removed.');
        }}
      >
        What was made of its ideas stays. The ideas themselves cannot be brought back.
      </Confirm>
    </>
  );
}
