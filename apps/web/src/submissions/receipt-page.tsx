import { Printer } from 'lucide-react';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import type { SubmissionDetail } from '@ichnograph/contract';
import { numbered, say, sumsOf } from '@ichnograph/core';
import { showFull, showMoment } from '../common/dates';
import { sumWords, timeWords } from '../common/figures';
import { Page } from '../common/page';
import { useSubmission, useTimeZone } from '../common/queries';
import { Waiting } from '../common/waiting';
import { MapPicture, Sentence, useFrozen } from '../map';
import { Button, buttonClass } from '../ui/button';
import { StatusMark } from '../ui/status-mark';

/** Proof of what was handed in and when, to keep or print. */
export function ReceiptPage() {
  const submission = useSubmission(useParams().id!);
  if (submission.data === undefined) return <Waiting of={submission} what="Opening the receipt …" />;
  return <Receipt detail={submission.data} />;
}

function Receipt({ detail }: { detail: SubmissionDetail }) {
  const zone = useTimeZone();
  const { map, assignment, report } = useFrozen(detail);
  const names = detail.members.map(({ givenName, familyName }) => `${givenName} ${familyName}`).join(', ');
  const counted = report.results.filter(({ status }) => status !== 'not-applicable');
  const met = report.results.filter(({ status }) => status === 'met').length;
  const block = useMemo(
    () => ({
      title: map.title,
      focusQuestion: map.focusQuestion,
      drawnBy: map.author,
      assignment: `${detail.className}: ${detail.title}`,
      state: `Handed in, no. ${detail.number}`,
      date: showMoment(detail.handedInAt, zone),
    }),
    [map, detail, zone],
  );
  const rows: [string, string][] = [
    ['Handed in', `${showFull(detail.handedInAt, zone)}${detail.late ? ', late' : ''}, ${timeWords(detail.number)}`],
    ['By', names],
    ...(detail.broughtFrom === null
      ? []
      : ([
          [
            'Brought in',
            `by ${detail.handedInBy.givenName} ${detail.handedInBy.familyName}${detail.broughtFrom === '' ? '' : `, from “${detail.broughtFrom}”`}`,
          ],
        ] as [string, string][])),
    ['Class', detail.className],
    ['Due', detail.due ? showMoment(detail.due, zone) : 'no due date'],
    ['Assignment', `revision ${detail.revision}`],
    ['Check', `${met} of ${counted.length} met, ${sumWords(sumsOf(report))} points`],
    ['Receipt', detail.id],
  ];
  return (
    <Page
      title={`Receipt: ${detail.title}`}
      lead="Your map is handed in and kept as it was."
      actions={
        <div className="no-print flex gap-2">
          <Button onClick={() => window.print()}>
            <Printer aria-hidden size={14} />
            Print
          </Button>
          <Link className={buttonClass()} to={`/works/${detail.workId}`}>
            Back to the map
          </Link>
          <Link className={buttonClass('action')} to="/">
            Today
          </Link>
        </div>
      }
    >
      <dl className="mb-6 grid max-w-2xl grid-cols-[9rem_1fr] border-t border-ink">
        {rows.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="border-b border-rule py-1.5 text-quiet">{name}</dt>
            <dd className="words border-b border-rule py-1.5">{value}</dd>
          </div>
        ))}
      </dl>
      {detail.note && (
        <section className="mb-6">
          <h2 className="caption mb-1">Your note</h2>
          <p className="words max-w-[70ch] whitespace-pre-wrap">{detail.note}</p>
        </section>
      )}
      {detail.leftOut > 0 && (
        <p className="mb-6 border-l-4 border-ochre bg-ochre-wash px-3 py-2">
          {detail.leftOut === 1 ? 'One thing' : `${detail.leftOut} things`} could not be kept: a link whose topic is
          gone, or a value out of range.
        </p>
      )}
      <section className="mb-6">
        <h2 className="caption mb-2">The map</h2>
        <MapPicture map={map} legend={assignment.legend} title={map.title || detail.title} block={block} />
      </section>
      <section>
        <h2 className="caption mb-2">The check</h2>
        <ul className="divide-y divide-rule border-y border-rule">
          {numbered(report.results).map(({ number, ...result }) => (
            <li key={result.id} className="flex items-start gap-2 py-1.5">
              <span className="w-5 text-right font-mono text-sm text-quiet">{number}</span>
              <span className="mt-[3px]">
                <StatusMark status={result.status} />
              </span>
              <span className="words min-w-0">
                <Sentence of={result.id} assignment={assignment} />{' '}
                <span className="text-quiet">{say(result.type, result)}</span>
              </span>
            </li>
          ))}
        </ul>
      </section>
    </Page>
  );
}
