import type { CommentRow } from '@ichnograph/contract';
import { STATUS_WORDS } from '../../ui/status-mark';
import { lettered } from '../reading/letters';
import type { Flags } from './flags';

/** The rings that a topic or link wears and the comments that speak of it, for those who do not see them; nothing of none. */
export function wornAloud(id: string, flags: Flags, comments: readonly CommentRow[]): string {
  const rings = (flags.get(id) ?? []).map(({ number, status }) => `${number}, ${STATUS_WORDS[status]}`);
  const said = lettered(comments).filter(({ comment }) => comment.target === id);
  return [
    ...(rings.length > 0 ? [`${rings.length === 1 ? 'Requirement' : 'Requirements'} ${rings.join('; ')}.`] : []),
    ...said.map(({ letter, comment }) => `Comment ${letter}: ${comment.text}`),
  ].join(' ');
}
