import type { Link, Topic } from '@ichnograph/core';

/** A topic of 80 by 40 whose words are its id. */
export const topic = (id: string, x: number, y: number, fields: Partial<Topic> = {}): Topic => ({
  id,
  text: id,
  kind: null,
  x,
  y,
  width: 80,
  height: 40,
  ...fields,
});
/** A link with the id `from-to`. */
export const link = (from: string, to: string, fields: Partial<Link> = {}): Link => ({
  id: `${from}-${to}`,
  from,
  to,
  phrase: '',
  kind: 'says',
  ...fields,
});
