import { kindOfLink, linkStyle } from '../map/style.js';
import { isBlank } from '../words/normal-form.js';
import type { Legend, Link, Topic } from '../map/types.js';

/** A proposition as it reads along its arrow, in pieces so that a screen can set the phrase apart. */
export interface Proposition {
  from: string;
  phrase: string;
  to: string;
}

const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim();

export function propositionOf(link: Link, from: Topic, to: Topic, legend: Legend | undefined): Proposition {
  const kind = kindOfLink(legend, link.kind);
  const phrase = !isBlank(link.phrase) ? oneLine(link.phrase) : kind?.structural === false ? kind.name : '';
  return { from: oneLine(from.text) || '…', phrase, to: oneLine(to.text) || '…' };
}

/** The sentence as plain text: "Arch pushes outward on Abutment." A link without words reads with a gap. */
export function sentenceOf(link: Link, from: Topic, to: Topic, legend: Legend | undefined): string {
  const { from: a, phrase, to: b } = propositionOf(link, from, to, legend);
  const joined = `${a} ${phrase || '…'} ${b}`;
  return linkStyle(link, legend).arrow === 'both' ? `${joined}, and the other way round.` : `${joined}.`;
}
