import { mapToSvg } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { useMemo } from 'react';

/** A map to look at. Core draws it, line for line as on the canvas; its text is escaped there. */
export function MapPicture({ map, legend, title }: { map: TopicMap; legend: Legend; title: string }) {
  const svg = useMemo(() => mapToSvg(map, legend, { title }), [map, legend, title]);
  return <div className="card overflow-hidden p-2 [&>svg]:h-auto [&>svg]:max-h-[28rem] [&>svg]:max-w-full [&>svg]:mx-auto" dangerouslySetInnerHTML={{ __html: svg }} />;
}
