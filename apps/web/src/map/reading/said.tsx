import { mentionOf } from '@ichnograph/core';
import type { Person } from '@ichnograph/contract';
import { Fragment } from 'react';

/** What somebody said, with the names of those it is meant for set apart. */
export function Said({ text, people = [] }: { text: string; people?: readonly Person[] | undefined }) {
  if (people.length === 0) return text;
  const mentions = people.map((person) => mentionOf(person, people).replace(/[.*+?^${}()|[\]\\]/g, '\\$&'));
  const pattern = new RegExp(
    `(?<![\\p{L}\\p{M}\\p{N}_])(${mentions.toSorted((a, b) => b.length - a.length).join('|')})(?![\\p{L}\\p{M}\\p{N}_])`,
    'iu',
  );
  return text
    .split(new RegExp(pattern, 'giu'))
    .map((part, i) => (i % 2 === 1 ? <b key={i}>{part}</b> : <Fragment key={i}>{part}</Fragment>));
}
