import { differenceOf, openStoredMap, sentenceOf } from '@ichnograph/core';
import type { Assignment, Difference, TopicMap } from '@ichnograph/core';
import type { CommentRow, SubmissionDetail } from '@ichnograph/contract';
import { useMemo } from 'react';
import { useComments, useSubmission } from '../common/queries';
import type { FrozenView } from '../map';

/** What became of a map between two times it was handed in. */
export interface Changes {
  before: TopicMap;
  difference: Difference;
  earlier: readonly CommentRow[];
}

/** The difference from what was handed in before this; null where this is the first, or it is still being read. */
export function useChanges(detail: SubmissionDetail, after: TopicMap, assignment: Assignment): Changes | null {
  const previous = detail.submissions.find(({ number }) => number === detail.number - 1)?.id ?? null;
  const submission = useSubmission(previous);
  const comments = useComments(previous);
  return useMemo(() => {
    if (!submission.data || !comments.data) return null;
    const before = openStoredMap(submission.data.map);
    return { before, difference: differenceOf(before, after, assignment), earlier: comments.data };
  }, [submission.data, comments.data, after, assignment]);
}

const TOPIC_WORDS = {
  added: 'new',
  removed: 'gone',
  renamed: 'renamed',
  recast: 'of another kind',
  restyled: 'drawn otherwise',
  moved: 'moved',
  enriched: 'with other material',
} as const;
const LINK_WORDS = {
  added: 'new',
  removed: 'gone',
  rephrased: 'says otherwise',
  turned: 'turned round',
  rehung: 'leads elsewhere',
  recast: 'of another kind',
  restyled: 'drawn otherwise',
} as const;

interface Line {
  key: string;
  words: string;
  was?: string;
  /** on the later map; nothing for what is gone */
  id: string | null;
  what: string[];
}

/** One line a topic or link, with all that became of it. */
function linesOf({ before, difference }: Changes, after: TopicMap, { legend }: Assignment): Line[] {
  const lines = new Map<string, Line>();
  const linkWords = (map: TopicMap, id: string): string => {
    const link = map.links.find((one) => one.id === id);
    const [from, to] = [link?.from, link?.to].map((end) => map.topics.find((topic) => topic.id === end));
    return link && from && to ? sentenceOf(link, from, to, map.legend ?? legend) : '';
  };
  const topicWords = (map: TopicMap, id: string): string => map.topics.find((one) => one.id === id)?.text ?? '';
  const note = (
    list: 'topics' | 'links',
    pair: string | [string, string],
    what: string,
    wordsIn: (map: TopicMap, id: string) => string,
  ): void => {
    const [was, is] = typeof pair === 'string' ? (what === 'gone' ? [pair, null] : [null, pair]) : pair;
    const key = `${list} ${is ?? `gone ${was}`}`;
    const line = lines.get(key) ?? {
      key,
      words: is === null ? wordsIn(before, was) : wordsIn(after, is),
      id: is,
      what: [],
    };
    line.what.push(what);
    if (was !== null && is !== null && wordsIn(before, was) !== wordsIn(after, is)) line.was = wordsIn(before, was);
    lines.set(key, line);
  };
  for (const [name, what] of Object.entries(TOPIC_WORDS) as [keyof typeof TOPIC_WORDS, string][])
    for (const pair of difference.topics[name]) note('topics', pair, what, topicWords);
  for (const [name, what] of Object.entries(LINK_WORDS) as [keyof typeof LINK_WORDS, string][])
    for (const pair of difference.links[name]) note('links', pair, what, linkWords);
  // What only lies or looks otherwise comes last: words and ties are what one looks for first.
  const light = ({ what }: Line): boolean => what.every((one) => one === 'moved' || one === 'drawn otherwise');
  const all = [...lines.values()];
  return [...all.filter((line) => !light(line)), ...all.filter(light)];
}

/** At the top of a map that was handed in again: what changed, and what became of what was said before. */
export function ChangesList({
  changes,
  view: {
    frozen: { map, assignment },
    go,
  },
}: {
  changes: Changes;
  view: FrozenView;
}) {
  const lines = linesOf(changes, map, assignment);
  return (
    <section aria-label="What changed" className="border-b border-rule px-3.5 py-2">
      <h2 className="caption mb-1">What changed · {lines.length}</h2>
      {lines.length === 0 && <p className="text-sm text-quiet">Nothing: it is the same map.</p>}
      <ul className="grid max-h-56 gap-0.5 overflow-y-auto text-sm">
        {lines.map(({ key, words, was, id, what }) => (
          <li key={key} className="words">
            <button
              type="button"
              disabled={id === null}
              className={`text-left ${id === null ? 'text-quiet line-through' : 'underline decoration-rule underline-offset-2 hover:decoration-ink'}`}
              onClick={() => id !== null && go([id])}
            >
              {words || '(no words)'}
            </button>{' '}
            <span className="text-indigo">{what.join(', ')}</span>
            {was !== undefined && <span className="text-quiet"> · was “{was.replace(/\.$/, '')}”</span>}
          </li>
        ))}
      </ul>
      {changes.earlier.length > 0 && (
        <>
          <h3 className="caption mb-1 mt-2">Said before</h3>
          <ul className="grid gap-1 text-sm">
            {changes.earlier.map((comment) => (
              <li key={comment.id} className="words border-l-2 border-indigo pl-2">
                {comment.text}{' '}
                <span className="whitespace-nowrap text-indigo">{becameOf(comment, changes, lines)}</span>
                {comment.settled && <span className="text-action"> · settled</span>}
                {comment.answers.length > 0 && (
                  <span className="text-quiet"> · answered: “{comment.answers.at(-1)!.text}”</span>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** Whether what a comment spoke of is another now. */
function becameOf({ anchor, target }: CommentRow, { difference }: Changes, lines: readonly Line[]): string {
  if (target === null || anchor === 'map' || anchor === 'spot')
    return lines.length > 0 ? '· the map changed' : '· nothing changed';
  const list = anchor === 'topic' ? difference.topics : difference.links;
  const words: Readonly<Record<string, string>> = anchor === 'topic' ? TOPIC_WORDS : LINK_WORDS;
  const became = Object.entries(list).flatMap(([name, pairs]: [string, readonly (string | [string, string])[]]) =>
    pairs.some((pair) => (typeof pair === 'string' ? name === 'removed' && pair === target : pair[0] === target))
      ? [words[name]!]
      : [],
  );
  return became.length === 0 ? '· as it was' : `· ${became.join(', ')}`;
}

const INDIGO = '#3d4a9a';

/** The same drawn on the map: what is new or other in a frame, what is gone where it lay. */
export function ChangesOnMap({ changes: { before, difference }, after }: { changes: Changes; after: TopicMap }) {
  const { topics, links } = difference;
  const added = new Set(topics.added);
  const other = new Set([topics.renamed, topics.recast, topics.enriched].flatMap((pairs) => pairs.map(([, id]) => id)));
  const lines = new Map(
    [links.added, ...[links.rephrased, links.turned, links.rehung].map((pairs) => pairs.map(([, id]) => id))].flatMap(
      (ids) => ids.map((id) => [id, true] as const),
    ),
  );
  const at = new Map(after.topics.map((topic) => [topic.id, topic]));
  return (
    <svg aria-hidden className="pointer-events-none absolute left-0 top-0 overflow-visible" width="1" height="1">
      {after.links
        .filter(({ id }) => lines.has(id))
        .map(({ id, from, to }) => {
          const [a, b] = [at.get(from), at.get(to)];
          if (!a || !b) return null;
          return (
            <line key={id} x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke={INDIGO} strokeOpacity="0.22" strokeWidth="9" />
          );
        })}
      {after.topics
        .filter(({ id }) => added.has(id) || other.has(id))
        .map(({ id, x, y, width, height }) => (
          <rect
            key={id}
            x={x - width / 2 - 5}
            y={y - height / 2 - 5}
            width={width + 10}
            height={height + 10}
            fill="none"
            stroke={INDIGO}
            strokeWidth="2"
            {...(!added.has(id) && { strokeDasharray: '6 4' })}
          />
        ))}
      {before.topics
        .filter(({ id }) => topics.removed.includes(id))
        .map(({ id, x, y, width, height, text }) => (
          <g key={id} opacity="0.75">
            <rect
              x={x - width / 2}
              y={y - height / 2}
              width={width}
              height={height}
              fill="#fff"
              fillOpacity="0.4"
              stroke="#9e2b3f"
              strokeDasharray="2 4"
            />
            <text
              x={x}
              y={y}
              textAnchor="middle"
              dominantBaseline="middle"
              fontSize="12"
              fill="#9e2b3f"
              textDecoration="line-through"
            >
              {text}
            </text>
          </g>
        ))}
    </svg>
  );
}
