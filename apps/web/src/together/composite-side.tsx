import { tieId } from '@ichnograph/core';
import type { Composite } from '@ichnograph/core';
import type { ClassInsight, ClassPropositions } from '@ichnograph/contract';
import type { ReactNode } from 'react';
import { VerdictSign } from '../verdicts';
import { ofMaps } from './names';

const MOST = 8;

/** Beside a composite: what is chosen on it, what is commonly wrong or turned round, and which ties nobody drew. */
export function CompositeSide({
  insight,
  composite,
  propositions,
  chosen,
  onChoose,
}: {
  insight: ClassInsight;
  composite: Composite;
  propositions: ClassPropositions | undefined;
  chosen: string | null;
  onChoose: (id: string) => void;
}) {
  const all = insight.works.length;
  const labels = new Map(insight.composite.topics.map(({ concept, label }) => [concept, label]));
  const topic = composite.topics.find(({ concept }) => concept === chosen);
  const tie = composite.ties.find((one) => tieId(one) === chosen);
  const drawn = new Set(insight.composite.ties.map(tieId));
  const nobody = insight.reference?.composite.ties.filter((one) => !drawn.has(tieId(one))) ?? [];
  const referenceLabels = new Map(insight.reference?.composite.topics.map(({ concept, label }) => [concept, label]));
  const wrong = (propositions?.propositions ?? []).filter(({ judged }) => judged?.verdict === 'wrong');
  const turned = (propositions?.propositions ?? []).filter((one) => one.turned > 0 && one.turned >= one.works.length);
  const idOf = ({ from, to }: { from: string; to: string }): string =>
    tieId(from < to ? { a: from, b: to } : { a: to, b: from });
  return (
    <aside
      aria-label="About the composite"
      className="grid content-start gap-4 lg:max-h-[calc(100dvh-15rem)] lg:overflow-y-auto"
    >
      <section aria-label="Chosen">
        {topic && (
          <p>
            <b className="words">{topic.label}</b>: {ofMaps(topic.maps, all)}
          </p>
        )}
        {tie && (
          <>
            <p className="mb-1 text-quiet">Tied by {ofMaps(tie.maps, all)}:</p>
            <ul className="grid gap-0.5">
              {tie.phrases.slice(0, MOST).map(({ from, phrase, maps }) => (
                <li key={`${from} ${phrase}`} className="words flex gap-2">
                  <span className="w-5 shrink-0 text-right font-mono text-sm text-quiet">{maps}</span>
                  <span>
                    {labels.get(from)} <b className="text-action">{phrase || '…'}</b>{' '}
                    {labels.get(from === tie.a ? tie.b : tie.a)}
                  </span>
                </li>
              ))}
            </ul>
          </>
        )}
        {!topic && !tie && (
          <p className="text-quiet">Choose a topic or a tie to see how many have it, and in what words.</p>
        )}
      </section>
      {wrong.length > 0 && (
        <Listed title="Most often wrong">
          {wrong.slice(0, MOST).map(({ key, from, phrase, to, works, judged, said }) => (
            <li key={key}>
              <button type="button" className="words text-left hover:underline" onClick={() => onChoose(idOf(said))}>
                {from} <b>{phrase || '…'}</b> {to} <span className="text-sm text-quiet">· {works.length}</span>{' '}
                <VerdictSign {...judged!} />
              </button>
            </li>
          ))}
        </Listed>
      )}
      {turned.length > 0 && (
        <Listed title="Most often turned round">
          {turned.slice(0, MOST).map(({ key, from, phrase, to, works, turned: others, said }) => (
            <li key={key}>
              <button type="button" className="words text-left hover:underline" onClick={() => onChoose(idOf(said))}>
                {from} <b>{phrase || '…'}</b> {to}{' '}
                <span className="text-sm text-quiet">
                  · {works.length}, the other way {others}
                </span>
              </button>
            </li>
          ))}
        </Listed>
      )}
      {insight.reference && (
        <Listed title="In the reference, and nobody drew it">
          {nobody.length === 0 && <li className="text-quiet">Every tie of the reference was drawn by somebody.</li>}
          {nobody.map((one) => {
            const [first] = one.phrases;
            const from = first?.from ?? one.a;
            return (
              <li key={tieId(one)} className="words">
                {referenceLabels.get(from)} <b className="text-action">{first?.phrase || '…'}</b>{' '}
                {referenceLabels.get(from === one.a ? one.b : one.a)}
              </li>
            );
          })}
        </Listed>
      )}
    </aside>
  );
}

function Listed({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title}>
      <h2 className="caption mb-1 border-b border-ink pb-0.5">{title}</h2>
      <ul className="grid gap-1">{children}</ul>
    </section>
  );
}
