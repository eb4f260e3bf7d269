import { grouped } from '@ichnograph/core';
import type { ClassInsight } from '@ichnograph/contract';
import { Link } from 'react-router';
import { useClassPropositions } from '../common/queries';
import { Waiting } from '../common/waiting';
import { Trouble } from '../ui/field';
import { GiveVerdictRow } from '../verdicts';
import { namesByWork, ofMaps } from './names';
import { useGiveVerdict } from './use-give-verdict';

/** For each target the topics that were chosen to show it, judged once for all who chose it. */
export function Targets({ insight }: { insight: ClassInsight }) {
  const propositions = useClassPropositions(insight.publicationId);
  const { trouble, give } = useGiveVerdict(insight);
  const names = namesByWork(insight);
  if (propositions.data === undefined) return <Waiting of={propositions} what="Reading the targets …" />;
  const { outcomes, works } = propositions.data;
  if (outcomes.length === 0)
    return (
      <p className="text-quiet">
        No map ties a target to a topic that shows it. Targets are kinds beside the structure.
      </p>
    );
  return (
    <>
      <Trouble>{trouble}</Trouble>
      {[...grouped(outcomes, ({ target }) => target)].map(([target, chosen]) => (
        <section key={target} aria-label={target} className="mb-5">
          <h2 className="words text-lg font-semibold">{target}</h2>
          <ul className="border-t border-rule">
            {chosen.map(({ key, topic, works: having, judged }) => (
              <li
                key={key}
                className="grid gap-x-4 border-b border-rule py-1.5 pl-2 pointer-coarse:items-center sm:grid-cols-[minmax(0,1fr)_auto]"
              >
                <details className="words min-w-0">
                  <summary className="cursor-pointer pointer-coarse:py-3">
                    {topic} <span className="text-sm text-quiet">· {ofMaps(having.length, works.length)}</span>
                  </summary>
                  <span className="flex flex-wrap gap-x-4 pl-4 text-sm">
                    {having.map((workId) => (
                      <Link
                        key={workId}
                        className="text-action underline"
                        to={`/piles/${insight.publicationId}/${workId}`}
                      >
                        {names.get(workId)}
                      </Link>
                    ))}
                  </span>
                </details>
                <GiveVerdictRow
                  roomy
                  of={`${target}, shown by ${topic}`}
                  judged={judged}
                  onGive={(given) => give([key], given, judged)}
                />
              </li>
            ))}
          </ul>
        </section>
      ))}
    </>
  );
}
