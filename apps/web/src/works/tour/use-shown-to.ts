import type { Tour, TopicMap } from '@ichnograph/core';
import { useEffect, useRef } from 'react';
import { usePresenter } from '../../showings';
import { usePresented } from '../presenting/use-presented';

/** So long a map rests, and is stored, before those who follow ask for it again. */
const RESTS_MS = 1200;

/** Where a tour is shown to a class, those who follow it are told each stop, and what is said there where that is shown. */
export function useShownTo({
  mapId,
  map,
  tour,
  topic,
  words,
  line,
}: {
  mapId: string;
  map: TopicMap;
  tour: Tour;
  topic: string | null;
  words: string;
  line: boolean;
}): void {
  const showing = usePresented(mapId);
  const go = usePresenter(showing?.tourId === tour.id ? showing.id : null);
  const first = useRef(map);
  useEffect(() => go?.({ topic, words, line, view: null }), [go, topic, words, line]);
  useEffect(() => {
    if (!go || first.current === map) return;
    first.current = map;
    const timer = setTimeout(() => go({ topic, words, line, view: null, changed: true }), RESTS_MS);
    return () => clearTimeout(timer);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- when the map is another
  }, [go, map]);
  useEffect(() => () => go?.({ topic: null, words: '', line: false, view: null }), [go]);
}
