import { drawnBox, isBlank, openStoredMap, ownAssignment, stopView, tourStops } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { showingRoom } from '@ichnograph/contract';
import type { ShowingDetail, ShowingPlace, ShowingRow } from '@ichnograph/contract';
import { ReactFlowProvider } from '@xyflow/react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ApiError } from '../common/api';
import { HeadOfPage } from '../common/head-of-page';
import { Page, useTitle } from '../common/page';
import { pictureHref } from '../common/picture-href';
import { queries, useShowing } from '../common/queries';
import { useSend } from '../common/send';
import { Waiting } from '../common/waiting';
import { useRoom } from '../live';
import { FREE, ReadMap, TourLineDrawn, useLetGo, useShow } from '../map';
import { Button, buttonClass } from '../ui/button';
import { Trouble } from '../ui/field';
import { ShownNow } from './shown-now';

/** How the view goes along with the presenter. */
const ALONG_MS = 200;
const EDGE = { top: 0, right: 0, bottom: 0, left: 0 };

/** A map, or a tour, that somebody shows to a class: it goes where they go, until one looks around oneself. */
export function ShowingPage() {
  const id = useParams().id!;
  const path = `showings/${id}`;
  const isOpen = useRoom(showingRoom(id), path, (message) => {
    if (message.type !== 'showing') return;
    queries.setQueryData<ShowingDetail>(
      [path],
      (known) => known && (message.count > known.count ? { ...known, ...message } : known),
    );
  });
  const query = useShowing(id, !isOpen);
  if (query.error instanceof ApiError && query.error.status === 404) return <Over id={id} />;
  if (query.data === undefined) return <Waiting of={query} what="Opening what is shown …" />;
  return (
    <ReactFlowProvider>
      <Showing detail={query.data} />
    </ReactFlowProvider>
  );
}

function Over({ id }: { id: string }) {
  // What is known to be over is offered nowhere any more.
  useEffect(
    () =>
      void queries.setQueryData<ShowingRow[]>(['showings'], (known) => known?.filter((one) => one.id !== id) ?? known),
    [id],
  );
  return (
    <Page title="This is over" lead="Nobody shows it any more, or it was shown to a class you are not in.">
      <ShownNow />
      <Link className={buttonClass('action')} to="/">
        To today
      </Link>
    </Page>
  );
}

function Showing({ detail }: { detail: ShowingDetail }) {
  const { id, title, by, className, language, tourId, place, mayEnd } = detail;
  useTitle(title);
  const map = useMemo(() => openStoredMap(detail.map), [detail.map]);
  const legend = detail.legend as unknown as Legend;
  const assignment = useMemo(() => ({ ...ownAssignment(title, legend), language }), [title, legend, language]);
  const [selection, setSelection] = useState<readonly string[]>([]);
  const host = useRef<HTMLDivElement>(null);
  const [isLed, setLed] = useState(true);
  useLetGo(host, isLed, () => setLed(false));
  usePlace(map, legend, place, isLed, tourId !== null);
  const { send, trouble } = useSend('everything');
  const tour = map.tours.find((one) => one.id === tourId);
  const stops = tour ? tourStops(map, tour) : [];
  const at = map.topics.find((topic) => topic.id === place?.topic);
  const number = stops.findIndex(({ topic }) => topic.id === at?.id) + 1;
  const pictures = (isLed && at?.pictures ? at.pictures : []).filter(({ src }) => pictureHref(src) !== null);
  return (
    <main id="main" tabIndex={-1} className="flex h-[calc(100dvh-47px)] min-h-[22rem] flex-col outline-none">
      <HeadOfPage
        crumbs={[{ name: className, to: '/' }, { name: title }]}
        actions={
          <>
            <span className="words hidden text-quiet sm:inline">
              {by.givenName} {by.familyName} shows this
            </span>
            {mayEnd && (
              <Button onClick={() => void send(() => api.delete(`showings/${id}`), 'It is not shown any more.')}>
                End it
              </Button>
            )}
          </>
        }
      />
      <h1 className="sr-only">{title}</h1>
      <Trouble>{trouble}</Trouble>
      <ReadMap
        {...{ map, assignment, className, selection }}
        what={`Map that ${by.givenName} shows`}
        state="Shown to a class"
        onSelect={setSelection}
        fitKey={id}
        hostRef={host}
        overlay={
          <svg aria-hidden className="pointer-events-none absolute left-0 top-0 overflow-visible" width="1" height="1">
            {tour && place?.line && <TourLineDrawn map={map} tour={tour} />}
            {at && (
              <rect
                data-testid="stop"
                data-stop={at.text}
                x={at.x - at.width / 2 - 9}
                y={at.y - at.height / 2 - 9}
                width={at.width + 18}
                height={at.height + 18}
                fill="none"
                stroke="#1f6f63"
                strokeWidth="3"
              />
            )}
          </svg>
        }
        below={
          <div aria-live="polite" lang={language} className="border-t border-rule bg-paper" data-testid="said">
            {at && (
              <p className="sr-only">
                {by.givenName} is at {at.text}
                {number > 0 && `, stop ${number} of ${stops.length}`}.
              </p>
            )}
            {!isBlank(place?.words) && (
              <p dir="auto" className="words mx-auto max-w-[60ch] whitespace-pre-line px-4 py-2 text-xl leading-snug">
                {place!.words}
              </p>
            )}
          </div>
        }
        {...(number > 0 && { reading: `Stop ${number} of ${stops.length}` })}
      >
        {!isLed && (
          <div className="card absolute left-1/2 top-3 z-20 flex -translate-x-1/2 items-center gap-3 px-2.5 py-1.5">
            <p className="words">You look around by yourself.</p>
            <Button small look="action" onClick={() => setLed(true)}>
              Back to {by.givenName}
            </Button>
          </div>
        )}
        {pictures.slice(0, 1).map(({ src, alt }) => (
          <img
            key={src}
            src={pictureHref(src)!}
            alt={alt ?? ''}
            className="card absolute right-3 top-3 z-10 max-h-[45%] max-w-[40%] object-contain p-1"
          />
        ))}
      </ReadMap>
    </main>
  );
}

/** Goes where the presenter is, as long as one follows. */
function usePlace(map: TopicMap, legend: Legend, place: ShowingPlace | null, isLed: boolean, isTour: boolean): void {
  const { show } = useShow();
  const at = useRef(map);
  useEffect(() => {
    at.current = map;
  });
  useEffect(() => {
    if (!isLed || !place) return;
    const { view, topic: id } = place;
    const topic = at.current.topics.find((one) => one.id === id);
    if (topic) return show(stopView(at.current, topic), { padding: FREE, maxZoom: 2, duration: ALONG_MS });
    if (view && !isTour) {
      const { x, y, width, height } = view;
      return show(
        { left: x, top: y, right: x + width, bottom: y + height },
        { padding: EDGE, maxZoom: 4, duration: ALONG_MS },
      );
    }
    show(drawnBox(at.current, legend), { duration: ALONG_MS });
  }, [place, isLed, isTour, legend, show]);
}
