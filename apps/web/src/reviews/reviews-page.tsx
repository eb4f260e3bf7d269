import type { ReviewRound, ReviewRounds } from '@ichnograph/contract';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api } from '../common/api';
import { showMoment } from '../common/dates';
import { useHiddenNames } from '../common/hidden-names';
import { Page } from '../common/page';
import { usePile, useReviewRounds, useTimeZone } from '../common/queries';
import { useSend } from '../common/send';
import { Waiting } from '../common/waiting';
import { worksWithoutNames } from '../common/without-names';
import { Button, buttonClass } from '../ui/button';
import { Confirm } from '../ui/dialog';
import { Trouble } from '../ui/field';
import { Table } from '../ui/table';
import { BeginReviews } from './begin-reviews';

/** A class looks at each other's maps: handing out, what came of it beside one's own marks, and its release. */
export function ReviewsPage() {
  const id = useParams().id!;
  const pile = usePile(id);
  const rounds = useReviewRounds(id);
  if (pile.data === undefined) return <Waiting of={pile} what="Opening the reviews …" />;
  if (rounds.data === undefined) return <Waiting of={rounds} what="Opening the reviews …" />;
  const { round } = rounds.data;
  return (
    <Page
      title="Looking at each other’s maps"
      tab={`Reviews: ${pile.data.title}`}
      lead={
        <>
          {pile.data.title}, {pile.data.className} ·{' '}
          <Link className="text-action underline" to={`/piles/${id}`}>
            The pile
          </Link>
        </>
      }
    >
      {round ? <Round id={id} round={round} /> : <BeginReviews id={id} rounds={rounds.data satisfies ReviewRounds} />}
    </Page>
  );
}

const count = (n: number, one: string, many = `${one}s`): string => (n === 1 ? `one ${one}` : `${n} ${many}`);

function Round({ id, round }: { id: string; round: ReviewRound }) {
  const zone = useTimeZone();
  const { hidden } = useHiddenNames();
  const { send, trouble, isSending } = useSend([`publications/${id}`, 'submissions']);
  const [asking, setAsking] = useState<'release' | 'remove' | null>(null);
  const { reviewers, maps, agreement, releasedAt, closesAt, share, notHandedOut } = round;
  const sent = reviewers.reduce((sum, one) => sum + one.sent, 0);
  const all = reviewers.reduce((sum, one) => sum + one.of, 0);
  const opened = [round.criteria && 'criteria', round.sentences && 'sentences', round.notes && 'notes'].filter(Boolean);
  return (
    <>
      <Trouble>{trouble}</Trouble>
      <p className="mb-3 max-w-[70ch]">
        {`Each was given ${count(round.each, 'map')}, without names. Opened: ${opened.join(', ')}. `}
        {share > 0
          ? `Once they are released, reviews count at ${Math.round(share * 100)} % of the criteria. `
          : 'They count nothing in marks. '}
        {closesAt && `Open until ${showMoment(closesAt, zone)}. `}
        {releasedAt
          ? `Released ${showMoment(releasedAt, zone)}: makers read what was said of their maps, without names.`
          : 'Nothing of it reaches whoever made a map before you release it.'}
      </p>
      <div className="mb-6 flex flex-wrap items-center gap-2">
        <b className="mr-2">
          {sent} of {all} sent
        </b>
        {!releasedAt && (
          <Button look="action" disabled={isSending || sent === 0} onClick={() => setAsking('release')}>
            Release the reviews …
          </Button>
        )}
        {!releasedAt && (
          <Button
            disabled={isSending}
            onClick={() =>
              void send(
                () => api.post(`publications/${id}/reviews/hand-out`),
                'What could be handed out is handed out.',
              )
            }
          >
            Hand out more{notHandedOut > 0 ? ` (${count(notHandedOut, 'new map')})` : ''}
          </Button>
        )}
        {sent === 0 && (
          <Button look="quiet" disabled={isSending} onClick={() => setAsking('remove')}>
            Take it all back …
          </Button>
        )}
      </div>
      <Table
        className="mb-8 w-full"
        columns={[
          { name: 'Reviewer', className: 'pr-6' },
          { name: 'Sent', className: 'pr-6 text-right' },
          { name: 'Levels you gave too', className: 'pr-6 text-right' },
          { name: 'The very same', className: 'pr-6 text-right' },
          { name: 'Agreement', className: 'text-right' },
        ]}
        caption={<caption className="caption pb-1 text-left">Reviewers beside you</caption>}
      >
        {reviewers.map(({ person, sent: done, of, both, same, agreement: kappa }, i) => (
          <tr key={person.id} className="border-b border-rule">
            <td className="py-1 pr-6">{hidden ? `Student ${i + 1}` : `${person.givenName} ${person.familyName}`}</td>
            <td className="pr-6 text-right font-mono">
              {done} of {of}
            </td>
            <td className="pr-6 text-right font-mono">{both || '–'}</td>
            <td className="pr-6 text-right font-mono">{same === null ? '–' : `${Math.round(same * 100)} %`}</td>
            <td className="text-right font-mono">{kappa === null ? '–' : kappa.toFixed(2)}</td>
          </tr>
        ))}
      </Table>
      <p className="mb-8 text-sm text-quiet">
        Agreement is Cohen’s kappa with quadratic weights over how far up each criterion’s levels both of you went: 1 is
        full, 0 what chance would give. It is said from two levels on.
      </p>
      <Table
        className="mb-8 w-full"
        columns={[
          { name: 'Map', className: 'pr-6' },
          { name: 'Handed out', className: 'pr-6 text-right' },
          { name: 'Reviews', className: 'text-right' },
        ]}
        caption={<caption className="caption pb-1 text-left">Maps</caption>}
      >
        {(hidden ? worksWithoutNames(maps) : maps).map(({ workId, members, handedOut, sent: done }) => (
          <tr key={workId} className="border-b border-rule">
            <td className="py-1 pr-6">
              <Link className="text-action underline" to={`/piles/${id}/${workId}`}>
                {members.map(({ givenName, familyName }) => `${givenName} ${familyName}`.trim()).join(', ')}
              </Link>
            </td>
            <td className="pr-6 text-right font-mono">{handedOut}</td>
            <td className="text-right font-mono">{done}</td>
          </tr>
        ))}
      </Table>
      {agreement
        .filter(({ works }) => works.length > 0)
        .map((one) => (
          <p key={one.criterion} className="text-sm">
            <b>{one.name}</b>: {count(one.works.length, 'level')} given by both
            {one.agreement !== null && `, agreement ${one.agreement.toFixed(2)}`}
          </p>
        ))}
      <Confirm
        open={asking === 'release'}
        title="Release the reviews"
        yes="Release them"
        onAnswer={(yes) => {
          setAsking(null);
          if (yes)
            void send(() => api.post(`publications/${id}/reviews/release`), 'The reviews are released.', {
              changes: 'everything',
            });
        }}
      >
        From now on whoever made a map reads what was said of it, without names, and nothing more can be sent. {sent} of{' '}
        {all} are sent.{' '}
        {share > 0 && 'They count in the marks of maps that are not returned yet; what is returned keeps its mark.'}
      </Confirm>
      <Confirm
        open={asking === 'remove'}
        title="Take back what was handed out"
        yes="Take it back"
        danger
        onAnswer={(yes) => {
          setAsking(null);
          if (yes) void send(() => api.delete(`publications/${id}/reviews`), 'It is taken back.');
        }}
      >
        Nobody has sent a review yet. What somebody has begun is lost.
      </Confirm>
      {releasedAt && (
        <Link className={`${buttonClass()} mt-4`} to={`/piles/${id}`}>
          Back to the pile
        </Link>
      )}
    </>
  );
}
