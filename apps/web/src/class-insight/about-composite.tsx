import { tieId } from '@ichnograph/core';
import type { Composite } from '@ichnograph/core';
import type { ClassInsight, ClassPropositions } from '@ichnograph/contract';
import type { ReactNode } from 'react';
import { VerdictSign } from '../verdicts';
import { ofMaps } from './names';

const MOST = 8;

/** What is chosen on a composite: how many have it, and in what words. */
export function ChosenOf({
  insight,
  composite,
  chosen,
}: {
  insight: ClassInsight;
  composite: Composite;
  chosen: string | null;
}) {
  const all = insight.works.length;
  const topic = composite.topics.find(({ concept }) => concept === chosen);
  const tie = composite.ties.find((one) => tieId(one) === chosen);
  if (topic)
    return (
      <p>
        <b className="words">{topic.label}</b>: {ofMaps(topic.maps, all)}
      </p>
    );
  if (!tie) return <p className="text-quiet">Choose a topic or a tie to see how many have it, and in what words.</p>;
  const labels = labelsOf(insight.composite);
  return (
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
  );
}

/** Under a composite: what is commonly wrong or turned round, and which ties of the reference nobody drew. */
export function AboutComposite({
  insight,
  propositions,
  onChoose,
}: {
  insight: ClassInsight;
  propositions: ClassPropositions | undefined;
  onChoose: (id: string) => void;
}) {
  const said = propositions?.propositions ?? [];
  const wrong = said.filter(({ judged }) => judged?.verdict === 'wrong');
  const turned = said.filter((one) => one.turned > 0 && one.turned >= one.works.length);
  const pressed = ({ from, to }: { from: string; to: string }): void =>
    onChoose(tieId(from < to ? { a: from, b: to } : { a: to, b: from }));
  return (
    <aside
      aria-label="About the composite"
      className="mt-4 grid content-start gap-x-8 gap-y-4 md:grid-cols-2 xl:grid-cols-3"
    >
      {wrong.length > 0 && (
        <Listed title="Most often wrong">
          {wrong.slice(0, MOST).map((one) => (
            <Sentence key={one.key} said={one} onPress={() => pressed(one.said)}>
              · {one.works.length} <VerdictSign {...one.judged!} />
            </Sentence>
          ))}
        </Listed>
      )}
      {turned.length > 0 && (
        <Listed title="Most often turned round">
          {turned.slice(0, MOST).map((one) => (
            <Sentence key={one.key} said={one} onPress={() => pressed(one.said)}>
              · {one.works.length}, the other way {one.turned}
            </Sentence>
          ))}
        </Listed>
      )}
      {insight.reference && <NobodyDrew composite={insight.composite} reference={insight.reference.composite} />}
    </aside>
  );
}

function NobodyDrew({ composite, reference }: { composite: Composite; reference: Composite }) {
  const drawn = new Set(composite.ties.map(tieId));
  const nobody = reference.ties.filter((one) => !drawn.has(tieId(one)));
  const labels = labelsOf(reference);
  return (
    <Listed title="In the reference, and nobody drew it">
      {nobody.length === 0 && <li className="text-quiet">Every tie of the reference was drawn by somebody.</li>}
      {nobody.map((one) => {
        const [first] = one.phrases;
        const from = first?.from ?? one.a;
        return (
          <li key={tieId(one)} className="words">
            {labels.get(from)} <b className="text-action">{first?.phrase || '…'}</b>{' '}
            {labels.get(from === one.a ? one.b : one.a)}
          </li>
        );
      })}
    </Listed>
  );
}

function Sentence({
  said: { from, phrase, to },
  onPress,
  children,
}: {
  said: { from: string; phrase: string; to: string };
  onPress: () => void;
  children: ReactNode;
}) {
  return (
    <li>
      <button type="button" className="words text-left hover:underline" onClick={onPress}>
        {from} <b>{phrase || '…'}</b> {to} <span className="text-sm text-quiet">{children}</span>
      </button>
    </li>
  );
}

const labelsOf = ({ topics }: Composite): ReadonlyMap<string, string> =>
  new Map(topics.map(({ concept, label }) => [concept, label]));

function Listed({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title}>
      <h2 className="caption mb-1 border-b border-ink pb-0.5">{title}</h2>
      <ul className="grid gap-1">{children}</ul>
    </section>
  );
}
