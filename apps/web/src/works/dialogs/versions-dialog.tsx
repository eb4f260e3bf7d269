import { differenceOf, drawnBox, drawnMarks, openStoredMap, personMarks } from '@ichnograph/core';
import type { Assignment, Difference, PersonMark, TopicMap } from '@ichnograph/core';
import type { Person, VersionRow } from '@ichnograph/contract';
import { Pause, Play } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { api, sentenceOfError } from '../../common/api';
import { showMoment } from '../../common/dates';
import { useWords } from '../../common/drafts';
import { useTimeZone, useVersion, useVersions } from '../../common/queries';
import { useSend } from '../../common/send';
import { MakersDrawn, Shapes } from '../../map';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Trouble } from '../../ui/field';
import { useEditor, useEditorState } from '../editor';

/** Points in the map's history: look at any, see what is otherwise now, go back without losing what came after. */
export function VersionsDialog({
  mayEdit,
  path,
  assignment,
  members,
  open,
  onOpenChange,
}: {
  mayEdit: boolean;
  /** where the map's versions are kept, below the API */
  path: string;
  assignment: Assignment;
  /** who draws on it */
  members: readonly Person[];
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Versions of this map" wide>
      {open && (
        <Versions
          mayEdit={mayEdit}
          path={path}
          assignment={assignment}
          members={members}
          onDone={() => onOpenChange(false)}
        />
      )}
    </Dialog>
  );
}

function Versions({
  mayEdit,
  path,
  assignment,
  members,
  onDone,
}: {
  mayEdit: boolean;
  path: string;
  assignment: Assignment;
  members: readonly Person[];
  onDone: () => void;
}) {
  const zone = useTimeZone();
  const { actions } = useEditor();
  const now = useEditorState((state) => state.map);
  const list = useVersions(path);
  const versions = list.data;
  const [chosen, choose] = useState<string | null>(null);
  const id = chosen ?? versions?.[0]?.id ?? null;
  const shown = useVersion(id);
  const map = useMemo(() => (shown.data ? openStoredMap(shown.data.map) : null), [shown.data]);
  const [playing, play] = useState(false);
  const [makers, setMakers] = useState(false);
  const marks = useMemo(() => personMarks(members), [members]);
  const { trouble, send } = useSend([`${path}/versions`]);
  usePlayback(playing && shown.data !== undefined, versions ?? [], id, choose, () => play(false));
  if (list.error) return <p className="text-madder">{sentenceOfError(list.error)}</p>;
  if (!versions) return <p className="text-quiet">Looking for versions …</p>;
  const goBack = async (): Promise<void> => {
    // What is there now is kept under a name of its own first, so that nothing is lost by going back.
    const kept = await send(() => api.post(`${path}/versions`, { name: 'Before going back' }));
    if (kept && map && actions.goBackTo(map)) onDone();
  };
  const place = versions.findIndex((one) => one.id === id);
  return (
    <div className="grid gap-4 sm:grid-cols-[17rem_1fr]">
      <div className="grid content-start gap-3">
        <Trouble>{trouble}</Trouble>
        {mayEdit && <NameNow path={path} />}
        {versions.length === 0 ? (
          <p className="text-quiet">
            Nothing is kept yet. While you work a version is kept every ten minutes; you can name one at any time.
          </p>
        ) : (
          <ul aria-label="Versions" className="grid max-h-[52vh] gap-px overflow-y-auto">
            {versions.map((version) => (
              <li key={version.id}>
                <button
                  type="button"
                  aria-pressed={version.id === id}
                  className="grid w-full gap-0.5 border-l-[3px] border-transparent px-2 py-1.5 text-left hover:bg-canvas aria-pressed:border-action aria-pressed:bg-wash"
                  onClick={() => choose(version.id)}
                >
                  <span className={version.name ? 'words font-semibold' : ''}>
                    {version.name ?? showMoment(version.at, zone)}
                  </span>
                  <span className="text-sm text-quiet">
                    {version.name && `${showMoment(version.at, zone)} · `}
                    {version.topics} topics, {version.links} links
                  </span>
                </button>
              </li>
            ))}
          </ul>
        )}
      </div>
      {map && (
        <div className="grid min-w-0 content-start gap-3">
          <Picture map={map} now={now} assignment={assignment} makers={makers ? marks : null} />
          <div className="flex flex-wrap items-center gap-3">
            {versions.length > 1 && (
              <>
                <Button
                  small
                  onClick={() => {
                    if (!playing && place === 0) choose(versions.at(-1)!.id);
                    play(!playing);
                  }}
                >
                  {playing ? <Pause aria-hidden size={13} /> : <Play aria-hidden size={13} />}
                  {playing ? 'Stop' : 'Play how it was made'}
                </Button>
                <input
                  type="range"
                  aria-label="Time"
                  className="min-w-40 flex-1 accent-action"
                  min={0}
                  max={versions.length - 1}
                  value={versions.length - 1 - place}
                  aria-valuetext={versions[place] ? showMoment(versions[place].at, zone) : ''}
                  onChange={({ target }) => choose(versions[versions.length - 1 - Number(target.value)]!.id)}
                />
              </>
            )}
            {members.length > 1 && (
              <Button small aria-pressed={makers} onClick={() => setMakers(!makers)}>
                Who made what
              </Button>
            )}
            {mayEdit && (
              <Button look="action" onClick={() => void goBack()}>
                Go back to this
              </Button>
            )}
          </div>
          <p className="text-sm text-quiet">What is on the map now is kept as a version first.</p>
        </div>
      )}
    </div>
  );
}

const STEP_MS = 900;

/** Goes from one version to the next later one, until the newest. */
function usePlayback(
  playing: boolean,
  versions: readonly VersionRow[],
  at: string | null,
  choose: (id: string) => void,
  onEnd: () => void,
): void {
  useEffect(() => {
    if (!playing) return;
    const place = versions.findIndex(({ id }) => id === at);
    const timer = setTimeout(() => (place > 0 ? choose(versions[place - 1]!.id) : onEnd()), STEP_MS);
    return () => clearTimeout(timer);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- a step after each version that is shown
  }, [playing, at]);
}

function NameNow({ path }: { path: string }) {
  const { text: name, setText: setName, takes } = useWords(`version of ${path}`);
  const { trouble, send } = useSend([`${path}/versions`]);
  const keep = (): Promise<boolean> =>
    send(() => api.post(`${path}/versions`, { name: name.trim() }), 'The version is kept.', { takes });
  return (
    <form
      className="grid grid-cols-[1fr_auto] gap-1.5"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() !== '') void keep();
      }}
    >
      <input
        data-autofocus
        className="field"
        aria-label="Name the map as it is now"
        placeholder="Name it as it is now"
        maxLength={200}
        value={name}
        onChange={({ target }) => setName(target.value)}
      />
      <Button type="submit" disabled={name.trim() === ''}>
        Keep
      </Button>
      <div className="col-span-2">
        <Trouble>{trouble}</Trouble>
      </div>
    </form>
  );
}

/** The map as it was; what is gone by now, and what has become otherwise, is ringed. */
function Picture({
  map,
  now,
  assignment,
  makers,
}: {
  map: TopicMap;
  now: TopicMap;
  assignment: Assignment;
  /** by whom everything was made, where that is shown instead of what is otherwise now */
  makers: ReadonlyMap<string, PersonMark> | null;
}) {
  const { legend } = assignment;
  const difference = useMemo(() => differenceOf(map, now, assignment), [map, now, assignment]);
  const box = drawnBox(map, legend) ?? { left: 0, top: 0, right: 100, bottom: 60 };
  const [width, height] = [box.right - box.left + 40, box.bottom - box.top + 40];
  const gone = new Set(difference.topics.removed);
  const other = new Set(
    (['renamed', 'recast', 'restyled', 'moved', 'enriched'] as const).flatMap((how) =>
      difference.topics[how].map(([was]) => was),
    ),
  );
  const ring = (id: string): string | null => (gone.has(id) ? '#9e2b3f' : other.has(id) ? '#8a5a00' : null);
  return (
    <figure className="grid gap-1.5">
      <svg
        role="img"
        aria-label={`The map with ${map.topics.length} topics. ${summary(difference)}`}
        className="card max-h-[46vh] w-full"
        viewBox={`${box.left - 20} ${box.top - 20} ${width} ${height}`}
        style={{ fontKerning: 'none' }}
      >
        {drawnMarks(map, legend).map(({ id, drawing: { at, shapes } }) => (
          <g key={id} transform={`translate(${at.x} ${at.y})`}>
            <Shapes shapes={shapes} />
          </g>
        ))}
        {makers && <MakersDrawn map={map} legend={legend} marks={makers} />}
        {map.topics.map((topic) => {
          const colour = makers ? null : ring(topic.id);
          return colour ? (
            <rect
              key={topic.id}
              x={topic.x - topic.width / 2 - 5}
              y={topic.y - topic.height / 2 - 5}
              width={topic.width + 10}
              height={topic.height + 10}
              fill="none"
              stroke={colour}
              strokeWidth="2.5"
              strokeDasharray={gone.has(topic.id) ? '6 4' : undefined}
            />
          ) : null;
        })}
      </svg>
      <figcaption className="text-sm">{summary(difference)}</figcaption>
    </figure>
  );
}

function summary({ topics, links }: Difference): string {
  const others = new Set(
    (['renamed', 'recast', 'restyled', 'moved', 'enriched'] as const).flatMap((how) => topics[how].map(([was]) => was)),
  ).size;
  const said = (count: number, one: string, several: string): string[] =>
    count === 0 ? [] : [count === 1 ? one : several.replace('#', String(count))];
  const parts = [
    ...said(
      topics.removed.length,
      'One of these topics is gone now (dashed ring)',
      '# of these topics are gone now (dashed ring)',
    ),
    ...said(others, 'one is otherwise now (ring)', '# are otherwise now (ring)'),
    ...said(topics.added.length, 'one topic came since', '# topics came since'),
    ...said(links.added.length, 'one link came since', '# links came since'),
    ...said(links.removed.length, 'one link is gone now', '# links are gone now'),
  ];
  return parts.length === 0 ? 'It is as the map is now.' : `${parts.join('; ')}.`;
}
