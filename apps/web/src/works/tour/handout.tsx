import { isBlank, mapToSvg, stopView, tourStops } from '@ichnograph/core';
import type { Legend, Tour, TopicMap } from '@ichnograph/core';
import { useEffect, useMemo } from 'react';
import { createPortal } from 'react-dom';
import { pictureHref } from '../../common/picture-href';

/** A tour on paper: the whole map, then each stop's part of it beside its words. It prints itself, and is gone after. */
export function Handout({
  map,
  legend,
  tour,
  language,
  onPrinted,
}: {
  map: TopicMap;
  legend: Legend;
  tour: Tour;
  language: string;
  onPrinted: () => void;
}) {
  const whole = useMemo(() => mapToSvg(map, legend, { hrefOf: pictureHref }), [map, legend]);
  const stops = useMemo(
    () =>
      tourStops(map, tour).map((stop) => ({
        ...stop,
        svg: mapToSvg(map, legend, { hrefOf: pictureHref, title: stop.topic.text, view: stopView(map, stop.topic) }),
      })),
    [map, legend, tour],
  );
  useEffect(() => {
    window.addEventListener('afterprint', onPrinted);
    window.print();
    return () => window.removeEventListener('afterprint', onPrinted);
  }, [onPrinted]);
  return createPortal(
    <div className="print-sheet" lang={language} data-testid="handout">
      <style>{'@page { size: A4 portrait; margin: 15mm }'}</style>
      <h1 className="text-xl font-semibold">{tour.title || map.title || 'Tour'}</h1>
      {!isBlank(map.author) && <p className="text-quiet">{map.author}</p>}
      <div className="my-4 [&>svg]:max-h-[90mm] [&>svg]:w-full" dangerouslySetInnerHTML={{ __html: whole }} />
      {stops.map(({ at, topic, words, svg }, i) => (
        <section key={at} className="grid break-inside-avoid grid-cols-2 gap-4 border-t border-rule py-3">
          <div className="[&>svg]:h-[48mm] [&>svg]:w-full" dangerouslySetInnerHTML={{ __html: svg }} />
          <div dir="auto">
            <h2 className="words font-semibold">
              {i + 1}. {topic.text}
            </h2>
            <p className="words whitespace-pre-line">{words}</p>
          </div>
        </section>
      ))}
    </div>,
    document.body,
  );
}
