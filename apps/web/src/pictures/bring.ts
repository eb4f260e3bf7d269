import { MOST_BYTES } from '@ichnograph/contract';
import type { FileRow } from '@ichnograph/contract';
import { writeSketch } from '@ichnograph/core';
import type { Sketch } from '@ichnograph/core';
import { api, ApiError } from '../common/api';
import { queries } from '../common/queries';

const TOO_LARGE = {
  type: 'about:blank',
  title: 'Too large',
  status: 413,
  detail: 'It is larger than 10 MB. Make it smaller, or take a part of it.',
};

const addressOf = (path: string, name: string): string => `${path}?name=${encodeURIComponent(name.slice(0, 300))}`;
const known = async (row: Promise<FileRow>): Promise<FileRow> => {
  const brought = await row;
  void queries.invalidateQueries({ queryKey: ['files'] });
  return brought;
};

/** Brings a file of the person's to the server, which judges it by its content. */
export function bring(file: File): Promise<FileRow> {
  if (file.size > MOST_BYTES) return Promise.reject(new ApiError(TOO_LARGE));
  return known(api.send<FileRow>(addressOf('files', file.name), file));
}

export const bringSketch = (sketch: Sketch, name: string): Promise<FileRow> =>
  known(api.post<FileRow>(addressOf('files/sketches', name), writeSketch(sketch)));

/** Longest side of a picture that was brought, as it is first shown in a topic and on the map, canvas units. */
const [IN_TOPIC, LOOSE] = [96, 240];

/** How large a picture is first shown, in the shape it has. */
export function shownSize(
  { width, height }: { width: number | null; height: number | null },
  inTopic: boolean,
): { width: number; height: number } {
  const longest = inTopic ? IN_TOPIC : LOOSE;
  if (width === null || height === null) return { width: longest, height: longest };
  const scale = Math.min(1, longest / Math.max(width, height));
  return { width: Math.max(16, Math.round(width * scale)), height: Math.max(16, Math.round(height * scale)) };
}
