import type { MapIndex } from '../map-index/map-index.js';
import type { Link, Topic } from '../map/types.js';
import type { Finding, Verdict } from './types.js';

/** What someone may have taken to count and that does not, each with the reason: it explains, and flags nothing. */

/** A list that nobody would read to its end helps nobody. */
const MOST = 30;

export const nearly = (findings: readonly Finding[]): Finding[] =>
  findings.slice(0, MOST).map((one) => ({ ...one, flag: false }));

/** The verdict with what nearly counts beside its evidence; only where something is missing. */
export const withNearly = (verdict: Verdict, findings: () => readonly Finding[]): Verdict =>
  verdict.fraction < 1 && (verdict.data?.over === undefined || Number(verdict.data.over) <= 0)
    ? { ...verdict, evidence: [...verdict.evidence, ...nearly(findings())] }
    : verdict;

/** English; a type that uses a finding below takes its message. */
export const NEARLY_MESSAGES = {
  kindless: '“{text}” has no kind yet, so it does not count here.',
  kindlessLink: 'The link between “{from}” and “{to}” has no kind yet, so it does not count here.',
  beside: '“{text}” stands beside the structure, as all of the kind {kind} do, so it does not count here.',
  besideLink: 'The link between “{from}” and “{to}” stands beside the structure, so it does not count here.',
} as const;

/** Topics without a kind, where only some kinds count; else those beside the structure. */
export const uncountedTopics = (index: MapIndex, kinds: readonly string[] | undefined): Finding[] =>
  index.map.topics.flatMap((topic: Topic): Finding[] => {
    const kind = index.kindOf(topic);
    if (kinds) return kind ? [] : [{ code: 'kindless', data: { text: topic.text }, topics: [topic.id] }];
    return kind?.structural === false
      ? [{ code: 'beside', data: { text: topic.text, kind: kind.name }, topics: [topic.id] }]
      : [];
  });

/** The same of links. */
export function uncountedLinks(
  index: MapIndex,
  kinds: readonly string[] | undefined,
  among: (link: Link) => boolean = () => true,
): Finding[] {
  const counted = new Set(index.structuralLinks);
  const said = (link: Link, code: string): Finding => {
    const [from, to] = index.ends(link);
    return { code, data: { from: from.text, to: to.text }, links: [link.id] };
  };
  return index.map.links
    .filter((link) => among(link) && (kinds ? link.kind === null : !counted.has(link)))
    .map((link) => said(link, kinds ? 'kindlessLink' : 'besideLink'));
}
