import type { TourStop } from '@ichnograph/core';
import { isBlank } from '@ichnograph/core';
import { useEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import { Prose } from '../../ui/prose';

/** A second window for who speaks. @returns null where the browser would not open one */
export function openSpeaker(title: string): Window | null {
  const other = window.open('', 'ichnograph-speaker', 'popup,width=760,height=640');
  if (!other) return null;
  other.document.title = `Speaker: ${title}`;
  other.document.documentElement.lang = document.documentElement.lang;
  other.document.body.replaceChildren();
  // It looks as this page does.
  other.document.head.replaceChildren(
    ...[...document.querySelectorAll('link[rel=stylesheet], style')].map((rule) => {
      const copy = other.document.importNode(rule, true);
      if (copy instanceof other.window.HTMLLinkElement) copy.href = (rule as HTMLLinkElement).href;
      return copy;
    }),
  );
  return other;
}

/** What who speaks reads: the words of this stop, its note, what comes next, and how long it has taken. */
export function Speaker({
  other,
  stop,
  next,
  place,
  begun,
  onKey,
  onGone,
}: {
  other: Window;
  stop: TourStop | undefined;
  next: TourStop | undefined;
  place: string;
  /** when it began, as `performance.now()` tells */
  begun: number;
  onKey: (event: KeyboardEvent) => void;
  onGone: () => void;
}) {
  const [now, setNow] = useState(begun);
  useEffect(() => {
    const timer = setInterval(() => setNow(performance.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  useEffect(() => {
    other.addEventListener('keydown', onKey);
    other.addEventListener('pagehide', onGone);
    return () => {
      other.removeEventListener('keydown', onKey);
      other.removeEventListener('pagehide', onGone);
    };
  }, [other, onKey, onGone]);
  const seconds = Math.max(0, Math.round((now - begun) / 1000));
  return createPortal(
    <main className="grid min-h-screen grid-rows-[auto_1fr_auto] bg-paper p-6" data-testid="speaker">
      <p className="flex justify-between font-mono text-quiet">
        <span>{place}</span>
        <span>
          {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, '0')}
        </span>
      </p>
      <div className="py-4">
        <h1 className="words mb-3 text-2xl font-semibold">{stop ? stop.topic.text : 'The end'}</h1>
        {stop && !isBlank(stop.words) && (
          <p className="words max-w-[60ch] whitespace-pre-line text-xl leading-relaxed">{stop.words}</p>
        )}
        {stop?.topic.note !== undefined && (
          <section className="mt-4 border-t border-rule pt-3 text-quiet" aria-label="Note">
            <Prose text={stop.topic.note} />
          </section>
        )}
      </div>
      <p className="border-t border-rule pt-2 text-quiet">
        {next ? (
          <>
            Next: <b className="font-semibold text-ink">{next.topic.text}</b>
          </>
        ) : (
          'This is the last stop.'
        )}
      </p>
    </main>,
    other.document.body,
  );
}
