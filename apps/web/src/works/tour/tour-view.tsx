import { mapToSvg, tourStops, usualStops } from '@ichnograph/core';
import type { Assignment, Tour, TopicMap } from '@ichnograph/core';
import { ArrowDown, ArrowUp, Play, Plus, Printer, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { CommittedInput, CommittedLines } from '../../common/committed';
import { pictureHref } from '../../common/picture-href';
import { TourLineDrawn } from '../../map';
import { Button } from '../../ui/button';
import { useEditor, useEditorState } from '../editor';
import { TOPIC_NAMES, TopicNames } from '../lists/topic-names';
import { Handout } from './handout';
import { TourPlayer } from './player';

/** The tours of a map: their stops in order with the words for each, and what plays and prints them. */
export function TourView({
  mapId,
  map,
  assignment,
  mayEdit,
}: {
  /** of the work or own map */
  mapId: string;
  map: TopicMap;
  assignment: Assignment;
  mayEdit: boolean;
}) {
  const { actions, store } = useEditor();
  const { legend, language } = assignment;
  const [chosen, setChosen] = useState<string | null>(null);
  const [playing, setPlaying] = useState<number | null>(null);
  const [printing, setPrinting] = useState(false);
  const tour = map.tours.find(({ id }) => id === chosen) ?? map.tours[0];
  const selection = useEditorState((state) => state.selection);
  const topics = map.topics.filter(({ id }) => selection.includes(id)).map(({ id }) => id);
  const begin = (): void => {
    const id = actions.makeTour('', topics.length > 1 ? topics : usualStops(store.getState().map));
    if (id !== null) setChosen(id);
  };
  if (!tour)
    return (
      <div className="h-full bg-paper px-6 py-5" data-testid="tours">
        <h2 className="mb-2 text-lg font-semibold">No tour yet</h2>
        <p className="mb-4 max-w-[60ch] text-quiet">
          A tour leads through the map from stop to stop, with words for each: to present it, or to have it read in an
          order.
        </p>
        {mayEdit && (
          <Button look="action" disabled={map.topics.length === 0} onClick={begin}>
            {topics.length > 1 ? `Begin one with the ${topics.length} chosen topics` : 'Begin one'}
          </Button>
        )}
      </div>
    );
  const stops = tourStops(map, tour);
  return (
    <div className="grid h-full grid-cols-1 bg-paper lg:grid-cols-[minmax(20rem,26rem)_1fr]" data-testid="tours">
      <div className="flex min-h-0 flex-col border-r border-rule">
        <div className="grid gap-2 border-b border-rule px-4 py-3">
          <div className="flex flex-wrap gap-1.5">
            <Button look="action" disabled={stops.length === 0} onClick={() => setPlaying(0)}>
              <Play aria-hidden size={15} />
              Play
            </Button>
            <Button disabled={stops.length === 0} onClick={() => setPrinting(true)}>
              <Printer aria-hidden size={15} />
              Handout
            </Button>
            <span className="flex-1" />
            {mayEdit && (
              <>
                <Button small aria-label="One more tour" title="One more tour" onClick={begin}>
                  <Plus aria-hidden size={14} />
                </Button>
                <Button
                  small
                  aria-label="Delete this tour"
                  title="Delete this tour"
                  onClick={() => actions.removeTour(tour.id)}
                >
                  <Trash2 aria-hidden size={14} />
                </Button>
              </>
            )}
          </div>
          {map.tours.length > 1 && (
            <select
              className="field py-1"
              aria-label="Which tour"
              value={tour.id}
              onChange={({ target }) => setChosen(target.value)}
            >
              {map.tours.map(({ id, title }, i) => (
                <option key={id} value={id}>
                  {title || `Tour ${i + 1}`}
                </option>
              ))}
            </select>
          )}
          {mayEdit ? (
            <CommittedInput
              key={tour.id}
              className="field py-1 font-semibold"
              aria-label="Title of the tour"
              placeholder="Title of the tour"
              value={tour.title}
              onCommit={(title) => (actions.nameTour(tour.id, title) ? null : 'That title is too long.')}
            />
          ) : (
            <h2 className="words font-semibold">{tour.title || 'Tour'}</h2>
          )}
        </div>
        <ol className="min-h-0 flex-1 overflow-y-auto" lang={language}>
          {stops.map(({ at, topic, words }, i) => (
            <li
              key={`${topic.id}/${stops.slice(0, i).filter((one) => one.topic.id === topic.id).length}`}
              className={`border-b border-rule px-4 py-2.5 ${selection.includes(topic.id) ? 'bg-wash' : ''}`}
            >
              <div className="mb-1 flex items-start gap-2">
                <span className="font-mono text-quiet">{i + 1}</span>
                <button
                  type="button"
                  className="words min-w-0 flex-1 text-left font-semibold hover:underline"
                  title="Play from here"
                  onClick={() => setPlaying(i)}
                >
                  {topic.text}
                </button>
                {mayEdit && (
                  <span className="flex shrink-0 gap-0.5">
                    <Button
                      small
                      look="quiet"
                      aria-label={`${topic.text}: earlier`}
                      disabled={i === 0}
                      onClick={() => actions.moveStop(tour.id, at, stops[i - 1]!.at)}
                    >
                      <ArrowUp aria-hidden size={14} />
                    </Button>
                    <Button
                      small
                      look="quiet"
                      aria-label={`${topic.text}: later`}
                      disabled={i === stops.length - 1}
                      onClick={() => actions.moveStop(tour.id, at, stops[i + 1]!.at)}
                    >
                      <ArrowDown aria-hidden size={14} />
                    </Button>
                    <Button
                      small
                      look="quiet"
                      aria-label={`${topic.text}: leave it out`}
                      onClick={() => actions.removeStop(tour.id, at)}
                    >
                      <Trash2 aria-hidden size={14} />
                    </Button>
                  </span>
                )}
              </div>
              {mayEdit ? (
                <CommittedLines
                  className="field text-sm"
                  rows={2}
                  style={{ fieldSizing: 'content' } as object}
                  aria-label={`What is said at ${topic.text}`}
                  placeholder="What is said here"
                  maxLength={5000}
                  value={words}
                  onCommit={(typed) => void actions.sayAtStop(tour.id, at, typed)}
                />
              ) : (
                <p className="words whitespace-pre-line text-sm">{words}</p>
              )}
            </li>
          ))}
          {stops.length === 0 && <li className="px-4 py-3 text-quiet">No stops yet. Add a topic below.</li>}
        </ol>
        {mayEdit && <AddStop map={map} tour={tour} chosen={topics} />}
      </div>
      <Drawing map={map} assignment={assignment} tour={tour} />
      {playing !== null && (
        <TourPlayer
          map={map}
          legend={legend}
          tour={tour}
          mapId={mapId}
          from={playing}
          language={language}
          onEnd={() => setPlaying(null)}
        />
      )}
      {printing && (
        <Handout map={map} legend={legend} tour={tour} language={language} onPrinted={() => setPrinting(false)} />
      )}
    </div>
  );
}

/** One more stop: a topic by its words, or all that are chosen on the map. */
function AddStop({ map, tour, chosen }: { map: TopicMap; tour: Tour; chosen: readonly string[] }) {
  const { actions } = useEditor();
  const [words, setWords] = useState('');
  return (
    <form
      className="flex flex-wrap gap-1.5 border-t border-rule bg-white px-4 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (actions.addStop(tour.id, words)) setWords('');
      }}
    >
      <input
        className="field min-w-32 flex-1 py-1"
        list={TOPIC_NAMES}
        aria-label="A topic to stop at"
        placeholder="A topic to stop at"
        value={words}
        onChange={({ target }) => setWords(target.value)}
      />
      <Button type="submit" small>
        <Plus aria-hidden size={14} />
        Add the stop
      </Button>
      {chosen.length > 0 && (
        <Button small onClick={() => actions.addStops(tour.id, chosen)}>
          Add what is chosen ({chosen.length})
        </Button>
      )}
      <TopicNames topics={map.topics} />
    </form>
  );
}

/** The whole map with the tour's line. */
function Drawing({ map, assignment: { legend }, tour }: { map: TopicMap; assignment: Assignment; tour: Tour }) {
  const svg = useMemo(() => mapToSvg(map, legend, { hrefOf: pictureHref }), [map, legend]);
  const view = /viewBox="([^"]*)"/.exec(svg)?.[1];
  return (
    <div className="relative hidden min-h-0 overflow-hidden bg-canvas p-3 lg:block">
      <div className="absolute inset-3 [&>svg]:h-full [&>svg]:w-full" dangerouslySetInnerHTML={{ __html: svg }} />
      <svg aria-hidden viewBox={view} className="absolute inset-3 h-[calc(100%-1.5rem)] w-[calc(100%-1.5rem)]">
        <TourLineDrawn map={map} tour={tour} />
      </svg>
    </div>
  );
}
