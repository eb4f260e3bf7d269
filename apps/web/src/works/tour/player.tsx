import { drawnBox, isBlank, mapToSvg, stopView, tourStops } from '@ichnograph/core';
import type { Legend, Tour, TopicMap } from '@ichnograph/core';
import { ChevronLeft, ChevronRight, Map as MapSign, MessageSquareText, Presentation, Route, X } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import { chordOf } from '../../common/chords';
import { pictureHref } from '../../common/picture-href';
import { useSingleLetters } from '../../common/single-letters';
import { tell } from '../../common/told';
import { TourLineDrawn } from '../../map';
import { Button } from '../../ui/button';
import { openSpeaker, Speaker } from './speaker';
import { useShownTo } from './use-shown-to';
import { useCamera } from './use-camera';

/** Around the whole map, canvas units. */
const AIR = 40;

/** A tour as it is shown to a class: from stop to stop on the whole screen, by keys, a clicker, or a press. */
export function TourPlayer({
  map,
  legend,
  tour,
  mapId,
  from = 0,
  language,
  onEnd,
}: {
  map: TopicMap;
  legend: Legend;
  tour: Tour;
  /** of the work or own map */
  mapId: string;
  /** the stop to begin with */
  from?: number;
  language: string;
  onEnd: () => void;
}) {
  const stops = useMemo(() => tourStops(map, tour), [map, tour]);
  const [at, setAt] = useState(Math.min(from, Math.max(0, stops.length - 1)));
  const [whole, setWhole] = useState(false);
  const [line, setLine] = useState(false);
  const [words, setWords] = useState(true);
  const [speaker, setSpeaker] = useState<Window | null>(null);
  const [begun] = useState(() => performance.now());
  const stage = useRef<HTMLDivElement>(null);
  const all = useRef<HTMLDivElement>(null);
  const stop = stops[at];
  useShownTo({
    mapId,
    map,
    tour,
    topic: stop && !whole ? stop.topic.id : null,
    words: words && stop && !whole ? stop.words : '',
    line,
  });
  const svg = useMemo(() => mapToSvg(map, legend, { hrefOf: pictureHref, title: map.title || 'Map' }), [map, legend]);
  const everything = useMemo(() => {
    const box = drawnBox(map, legend) ?? { left: 0, right: 100, top: 0, bottom: 60 };
    return { left: box.left - AIR, right: box.right + AIR, top: box.top - AIR, bottom: box.bottom + AIR };
  }, [map, legend]);
  const view = useMemo(() => (stop && !whole ? stopView(map, stop.topic) : everything), [map, stop, whole, everything]);
  useCamera(stage, view, svg);
  const go = (to: number): void => {
    setWhole(false);
    setAt(Math.max(0, Math.min(stops.length - 1, to)));
  };
  const openNotes = (): void => {
    if (speaker) return speaker.focus();
    const other = openSpeaker(tour.title || map.title || 'Tour');
    if (!other) return tell('The browser did not open a second window. Allow it for this page, then press again.');
    setSpeaker(other);
    // Who has the words before them need not show them to everybody.
    setWords(false);
  };
  const letters = useSingleLetters(({ on }) => on);
  const keys: Record<string, () => void> = {
    ArrowRight: () => go(at + 1),
    ArrowDown: () => go(at + 1),
    PageDown: () => go(at + 1),
    ' ': () => go(at + 1),
    ArrowLeft: () => go(at - 1),
    ArrowUp: () => go(at - 1),
    PageUp: () => go(at - 1),
    Home: () => go(0),
    End: () => go(stops.length - 1),
    Escape: onEnd,
    ...(letters && {
      O: () => setWhole(!whole),
      W: () => setWords(!words),
      L: () => setLine(!line),
      N: openNotes,
    }),
  };
  const onKey = (event: KeyboardEvent): void => {
    const act = keys[chordOf(event)];
    // A button that has the focus is pressed by the space bar.
    if (!act || (event.key === ' ' && (event.target as Element | null)?.closest?.('button'))) return;
    event.preventDefault();
    act();
  };
  const latest = useRef(onKey);
  useEffect(() => {
    latest.current = onKey;
  });
  const [pressed] = useState(() => (event: KeyboardEvent) => latest.current(event));
  const [gone] = useState(() => () => setSpeaker(null));
  useEffect(() => {
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, [pressed]);
  useEffect(() => {
    const before = document.activeElement;
    // Tab stays in the tour: the page behind it is out of reach.
    const page = document.getElementById('root');
    if (page) page.inert = true;
    all.current?.focus();
    // A browser may keep to the window it has; then the tour fills that.
    void all.current?.requestFullscreen?.().catch(() => undefined);
    return () => {
      if (page) page.inert = false;
      if (document.fullscreenElement) void document.exitFullscreen().catch(() => undefined);
      if (before instanceof HTMLElement) before.focus();
    };
  }, []);
  useEffect(() => () => speaker?.close(), [speaker]);
  const shown = !whole && stop ? (stop.topic.pictures ?? []).filter(({ src }) => pictureHref(src) !== null) : [];
  const place = stops.length === 0 ? 'No stops' : `${at + 1} of ${stops.length}`;
  return createPortal(
    <div
      ref={all}
      data-over-all
      data-testid="tour"
      role="dialog"
      aria-modal="true"
      aria-label={`Tour: ${tour.title || map.title || 'without a title'}`}
      tabIndex={-1}
      lang={language}
      className="fixed inset-0 z-[1200] grid grid-rows-[1fr_auto] bg-canvas outline-none"
    >
      <div className={`grid min-h-0 ${shown.length > 0 ? 'grid-cols-[3fr_2fr]' : 'grid-cols-1'}`}>
        <div ref={stage} className="relative min-h-0 overflow-hidden" onClick={() => go(at + 1)} data-stage>
          <div className="absolute inset-0 [&>svg]:h-full [&>svg]:w-full" dangerouslySetInnerHTML={{ __html: svg }} />
          <svg aria-hidden className="pointer-events-none absolute inset-0 h-full w-full">
            {line && <TourLineDrawn map={map} tour={tour} />}
            {stop && (
              <rect
                x={stop.topic.x - stop.topic.width / 2 - 9}
                y={stop.topic.y - stop.topic.height / 2 - 9}
                width={stop.topic.width + 18}
                height={stop.topic.height + 18}
                fill="none"
                stroke="#1f6f63"
                strokeWidth="3"
              />
            )}
          </svg>
        </div>
        {shown.length > 0 && (
          <div className="grid min-h-0 content-center gap-3 overflow-hidden border-l border-rule bg-paper p-6">
            {shown.slice(0, 2).map(({ src, alt }) => (
              <img
                key={src}
                src={pictureHref(src)!}
                alt={alt ?? ''}
                className="mx-auto max-h-[70vh] w-full object-contain"
              />
            ))}
          </div>
        )}
      </div>
      <div className="border-t border-rule bg-paper">
        {words && stop && !whole && !isBlank(stop.words) && (
          <p dir="auto" className="words mx-auto max-w-[60ch] whitespace-pre-line px-6 pt-3 text-2xl leading-snug">
            {stop.words}
          </p>
        )}
        <p aria-live="polite" className="sr-only">
          {stop ? `${place}: ${stop.topic.text}. ${stop.words}` : ''}
        </p>
        <div className="flex flex-wrap items-center justify-center gap-1.5 px-3 py-2">
          <Button small look="quiet" aria-label="The stop before" disabled={at === 0} onClick={() => go(at - 1)}>
            <ChevronLeft aria-hidden size={18} />
          </Button>
          <span className="min-w-20 text-center font-mono text-sm">{place}</span>
          <Button
            small
            look="quiet"
            aria-label="The next stop"
            disabled={at >= stops.length - 1}
            onClick={() => go(at + 1)}
          >
            <ChevronRight aria-hidden size={18} />
          </Button>
          <span className="w-4" />
          <Toggle name="Whole map" hint="O" is={whole} Sign={MapSign} onPress={() => setWhole(!whole)} />
          <Toggle name="Words" hint="W" is={words} Sign={MessageSquareText} onPress={() => setWords(!words)} />
          <Toggle name="Line" hint="L" is={line} Sign={Route} onPress={() => setLine(!line)} />
          <Toggle name="Speaker’s window" hint="N" is={speaker !== null} Sign={Presentation} onPress={openNotes} />
          <Button small look="quiet" onClick={onEnd} title="End the tour (Escape)">
            <X aria-hidden size={16} />
            End
          </Button>
        </div>
      </div>
      {speaker && (
        <Speaker
          other={speaker}
          stop={stop}
          next={stops[at + 1]}
          place={place}
          begun={begun}
          onKey={pressed}
          onGone={gone}
        />
      )}
    </div>,
    document.body,
  );
}

function Toggle({
  name,
  hint,
  is,
  Sign,
  onPress,
}: {
  name: string;
  hint: string;
  is: boolean;
  Sign: typeof X;
  onPress: () => void;
}) {
  return (
    <Button
      small
      look="quiet"
      aria-pressed={is}
      title={`${name} (${hint})`}
      className={is ? 'bg-wash' : ''}
      onClick={onPress}
    >
      <Sign aria-hidden size={16} />
      {name}
    </Button>
  );
}
