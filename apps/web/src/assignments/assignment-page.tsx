import { openStoredAssignment } from '@ichnograph/core';
import type { AssignmentDetail } from '@ichnograph/contract';
import { Download } from 'lucide-react';
import { useMemo } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { showMoment } from '../common/dates';
import { Page } from '../common/page';
import { useAssignment, useTimeZone } from '../common/queries';
import { Waiting } from '../common/waiting';
import { buttonClass } from '../ui/button';
import { Prose } from '../ui/prose';
import { LegendList } from './legend-list';
import { MapPicture } from '../map';
import { RequirementSentences } from './requirement-sentences';

/** An assignment as its students see it, for those who mark it and do not write it. */
export function AssignmentPage() {
  const assignment = useAssignment(useParams().id!);
  if (assignment.data === undefined) return <Waiting of={assignment} what="Opening the assignment …" />;
  // Whoever may change it sees the sheet; others read what their class was given.
  if (assignment.data.mayChange) return <Navigate replace to={`/assignments/${assignment.data.id}/sheet`} />;
  return <Given detail={assignment.data} />;
}

function Given({ detail }: { detail: AssignmentDetail }) {
  const zone = useTimeZone();
  const body = useMemo(() => openStoredAssignment(detail.file), [detail.file]);
  const { legend, terms, starter, reference } = body;
  return (
    <Page
      title={detail.title}
      lead={body.focusQuestion}
      actions={
        <>
          <Link className={buttonClass()} to={`/assignments/${detail.id}/guide`}>
            Guide for students
          </Link>
          <a className={buttonClass()} href={`/api/assignments/${detail.id}/file`} download>
            <Download aria-hidden size={14} />
            Write it out as a file
          </a>
        </>
      }
    >
      <div className="grid gap-x-10 gap-y-8 lg:grid-cols-[1fr_19rem]">
        <div className="grid min-w-0 gap-8">
          <Section title="Brief">
            <Prose text={body.brief} />
          </Section>
          <Section title={`Requirements · ${body.requirements.length}`}>
            <RequirementSentences assignment={body} />
            <p className="mt-2 text-sm">
              <Link className="text-action underline" to="/assignments/what-can-i-ask-for">
                What else can I ask for?
              </Link>
            </p>
          </Section>
          <Section title="Starter map">
            {starter ? (
              <MapPicture map={starter} legend={legend} title="Starter map" />
            ) : (
              <p className="text-quiet">Students begin with an empty map.</p>
            )}
          </Section>
          {reference && (
            <Section title="Reference map" note="Only you see this one.">
              <MapPicture map={reference} legend={legend} title="Reference map" />
            </Section>
          )}
        </div>
        <div className="grid min-w-0 content-start gap-8">
          <Section title="Given to">
            <ul className="grid gap-2">
              {detail.publications.map(({ id, className, due }) => (
                <li key={id} className="card words px-3 py-2">
                  <Link className="font-semibold text-action underline" to={`/piles/${id}`}>
                    {className}
                  </Link>
                  <br />
                  <span className="text-sm text-quiet">{due ? `due ${showMoment(due, zone)}` : 'no due time'}</span>
                </li>
              ))}
            </ul>
          </Section>
          <Section title="Legend">
            <LegendList legend={legend} />
          </Section>
          <Section title={`Terms · ${terms.length}`}>
            <ul className="flex flex-wrap gap-1.5">
              {terms.map(({ text, kind, accept }) => (
                <li
                  key={text}
                  className="words max-w-full border border-rule border-l-4 bg-white px-2 py-0.5 text-sm"
                  style={{ borderLeftColor: legend.topicKinds.find(({ id }) => id === kind)?.outline ?? '#c9cdc4' }}
                >
                  {text}
                  {accept?.length ? <span className="text-quiet"> or {accept.join(', ')}</span> : null}
                </li>
              ))}
            </ul>
          </Section>
        </div>
      </div>
    </Page>
  );
}

function Section({ title, note, children }: { title: string; note?: string; children: React.ReactNode }) {
  return (
    <section className="min-w-0">
      <h2 className="caption mb-2">
        {title}
        {note && <span className="normal-case tracking-normal"> · {note}</span>}
      </h2>
      {children}
    </section>
  );
}
