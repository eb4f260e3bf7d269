import { mapToSvg } from '@ichnograph/core';
import type { Legend, TitleBlockText, TopicMap } from '@ichnograph/core';
import { useMemo } from 'react';
import { pictureHref } from '../../common/picture-href';

/** A map to look at. Core draws it, line for line as on the canvas; its text is escaped there. */
export function MapPicture({
  map,
  legend,
  title,
  block,
  bare = false,
}: {
  map: TopicMap;
  legend: Legend;
  title: string;
  block?: TitleBlockText;
  /** without a frame, as large as there is room */
  bare?: boolean;
}) {
  const svg = useMemo(
    () => mapToSvg(map, legend, { title, hrefOf: pictureHref, ...(block && { block }) }),
    [map, legend, title, block],
  );
  return (
    <div
      className={
        bare
          ? 'h-full w-full p-2 [&>svg]:h-full [&>svg]:w-full'
          : 'card overflow-hidden p-2 [&>svg]:h-auto [&>svg]:max-h-[36rem] [&>svg]:max-w-full [&>svg]:mx-auto'
      }
      dangerouslySetInnerHTML={{ __html: svg }}
    />
  );
}
