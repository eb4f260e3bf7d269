import { pathOf, propositionOf } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import type { GiveVerdict, MapProposition, SubmissionDetail, VerdictRow } from '@ichnograph/contract';
import { useEffect, useRef, useState } from 'react';
import { api } from '../common/api';
import type { Send } from '../common/send';
import type { FrozenView } from '../map';
import { Segments } from '../ui/segments';
import { GiveVerdictRow, VerdictSign } from '../verdicts';
import type { Given } from '../verdicts';

const SCOPES = ['In every map', 'In this map'] as const;
type Scope = (typeof SCOPES)[number];

/** A map's sentences, each with its verdict: chosen here it is shown on the map, and the other way round. */
export function SentencesToJudge({
  detail,
  all,
  view,
  mayMark,
  send,
}: {
  detail: SubmissionDetail;
  all: readonly MapProposition[];
  view: FrozenView;
  mayMark: boolean;
  send: Send;
}) {
  const [scope, setScope] = useState<Scope>('In every map');
  const list = useRef<HTMLUListElement>(null);
  const { map, assignment } = view.frozen;
  const chosen = view.selection.length === 1 ? view.selection[0]! : null;
  const chosenRow = all.find(({ links }) => links.includes(chosen ?? ''))?.key;
  useEffect(() => {
    if (chosenRow !== undefined)
      list.current?.querySelector(`[data-row="${CSS.escape(chosenRow)}"]`)?.scrollIntoView({ block: 'nearest' });
  }, [chosenRow]);
  const give = (
    keys: readonly string[],
    { verdict, thin, remark }: Given,
    judged: VerdictRow | null,
  ): Promise<boolean> => {
    const where = scope === 'In every map' ? `publications/${detail.publicationId}` : `submissions/${detail.id}`;
    const wanted: GiveVerdict = { keys: [...keys], verdict, thin, remark, seen: judged?.verdict ?? 'none' };
    return send(
      () => api.put(`${where}/verdicts`, wanted),
      verdict === null ? 'The verdict is taken back.' : `Judged ${verdict}.`,
      { as: `${scope} ${keys.join()} ${verdict} ${thin} ${remark}` },
    );
  };
  const step = (key: string, by: 1 | -1): void => {
    const next = all[all.findIndex((one) => one.key === key) + by];
    if (!next) return;
    view.go([next.links[0]!]);
    // The map that is shown first takes no focus away: the row is there already.
    focusRow(list.current, next.key);
  };
  const left = all.filter(({ judged }) => !judged).length;
  return (
    <section aria-label="Sentences">
      <div className="flex flex-wrap items-center justify-between gap-2 px-3.5 py-2">
        <p className="text-sm text-quiet" data-testid="verdicts-left">
          {all.length - left} of {all.length} judged
        </p>
        {mayMark && <Segments label="A verdict holds" options={SCOPES} value={scope} onChange={setScope} />}
      </div>
      {mayMark && <WholePath view={view} propositions={all} onGive={give} />}
      {all.length === 0 && <p className="px-3.5 text-quiet">No link of this map says anything yet.</p>}
      <ul ref={list}>
        {all.map((one) => {
          const words = sentenceWords(one, all, map, assignment.legend);
          return (
            <li
              key={one.key}
              data-row={one.key}
              className={`border-b border-l-[3px] border-b-rule px-3 py-1.5 ${one.key === chosenRow ? 'border-l-ochre bg-ochre-wash' : 'border-l-transparent'}`}
            >
              <button
                type="button"
                className="words mb-1 w-full text-left hover:underline"
                onClick={() => view.go([one.links[0]!])}
              >
                {words.from} <b className="text-action">{words.phrase || '…'}</b> {words.to}.
                {one.own && <span className="ml-1.5 text-sm text-indigo">only here</span>}
              </button>
              {mayMark ? (
                <GiveVerdictRow
                  of={`${words.from} ${words.phrase || '…'} ${words.to}`}
                  judged={one.judged}
                  onGive={(given) => give([one.key], given, one.judged)}
                  onStep={(by) => step(one.key, by)}
                />
              ) : (
                one.judged && <VerdictSign {...one.judged} />
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Several links that follow each other, read as one text and judged in one go. */
function WholePath({
  view: {
    frozen: { map, assignment },
    selection,
  },
  propositions,
  onGive,
}: {
  view: FrozenView;
  propositions: readonly MapProposition[];
  onGive: (keys: readonly string[], given: Given, judged: VerdictRow | null) => Promise<boolean>;
}) {
  const links = selection.filter((id) => map.links.some((link) => link.id === id));
  const path = pathOf(map, links, assignment.legend);
  if (!path) return null;
  const rows = path.links.flatMap(({ id }) => propositions.find((one) => one.links.includes(id)) ?? []);
  const [first] = rows;
  const all = first && rows.every(({ judged }) => judged?.verdict === first.judged?.verdict) ? first.judged : null;
  return (
    <div className="mx-3 mb-2 border border-ochre bg-ochre-wash px-2 py-1.5" data-testid="path">
      <p className="words mb-1">{path.text}</p>
      <GiveVerdictRow
        of="the whole path"
        judged={all}
        onGive={(given) =>
          onGive(
            rows.map(({ key }) => key),
            given,
            all,
          )
        }
      />
    </div>
  );
}

/** What a map says, by its key, and the links that say it. */
type Said = Pick<MapProposition, 'key' | 'links'>;

/** A sentence's words; of a link that points both ways the second is read against the drawing. */
export function sentenceWords({ key, links: [first] }: Said, all: readonly Said[], map: TopicMap, legend: Legend) {
  const link = map.links.find(({ id }) => id === first)!;
  const end = (id: string) => map.topics.find((topic) => topic.id === id)!;
  const read = propositionOf(link, end(link.from), end(link.to), legend);
  const isSecond = all.find(({ links }) => links[0] === first)!.key !== key;
  return isSecond ? { from: read.to, phrase: read.phrase, to: read.from } : read;
}

/** The same as a student reads it: what was judged, and how. */
export function JudgedSentences({ all, view }: { all: readonly MapProposition[]; view: FrozenView }) {
  const { map, assignment } = view.frozen;
  return (
    <ul aria-label="Sentences" className="pt-2">
      {all.map((one) => {
        const { from, phrase, to } = sentenceWords(one, all, map, assignment.legend);
        return (
          <li key={one.key} className="border-b border-rule px-3.5 py-1.5">
            <button
              type="button"
              className="words w-full text-left hover:underline"
              onClick={() => view.go([one.links[0]!])}
            >
              {from} <b className="text-action">{phrase || '…'}</b> {to}.
            </button>
            {one.judged && <VerdictSign {...one.judged} />}
            {one.judged?.remark && <p className="words border-l-2 border-indigo pl-2 text-sm">{one.judged.remark}</p>}
          </li>
        );
      })}
    </ul>
  );
}

/** Puts the focus on the verdict of a row. */
function focusRow(list: Element | null, key: string): void {
  list
    ?.querySelector(`[data-row="${CSS.escape(key)}"]`)
    ?.querySelector<HTMLElement>('[data-verdict][tabindex="0"]')
    ?.focus();
}
