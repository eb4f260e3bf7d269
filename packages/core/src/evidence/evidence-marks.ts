import type { RequirementId } from '../requirements/registry.js';
import { drawLink } from '../geometry/draw-link.js';
import { boxOf, unionOf } from '../geometry/points.js';
import type { Box, Point } from '../geometry/points.js';
import { connectedParts } from '../map-index/graph.js';
import { MapIndex } from '../map-index/map-index.js';
import { topicStyle } from '../map/style.js';
import type { Assignment, Requirement, TopicMap } from '../map/types.js';
import { propositionOf } from '../propositions/sentence.js';
import { withDefaults } from '../requirements/params.js';
import { paperSide } from '../requirements/layout/fits-paper.js';
import { requirementTypeOf } from '../requirements/registry.js';
import type { Label } from './labels.js';
import type { Evidence, Result } from '../requirements/types.js';

/** What is drawn over a map while a requirement is chosen, beside the numbered rings: canvas units, for any drawing. */
export type EvidenceMark =
  /** where two lines meet */
  | { mark: 'meeting'; at: Point }
  /** what lies on something else */
  | { mark: 'overlap'; box: Box }
  /** a topic's place in the whole: its level, branch or part; marks of one tone belong together */
  | { mark: 'tint'; box: Box; tone: number; label: Label }
  /** how far a sheet reaches on which the smallest words can just be read */
  | { mark: 'paper'; box: Box; label: Label }
  /** a link that points the wrong way: how it reads now, and how it would read */
  | { mark: 'turn'; at: Point; now: string; turned: string };

interface Shown {
  index: MapIndex;
  evidence: readonly Evidence[];
  params: Record<string, unknown>;
}
type Draw = (shown: Shown) => EvidenceMark[];

const MOST_MEETINGS = 400;
const AROUND = 7;

const meetings: Draw = ({ index, evidence }) => {
  const points = evidence.flatMap((one) => one.points ?? []);
  // A tangle names each link once; where they meet is then asked of the map.
  const at = points.length > 0 || evidence.length === 0 ? points : index.crossings.map((crossing) => crossing.at);
  return at.slice(0, MOST_MEETINGS).map((point) => ({ mark: 'meeting', at: point }));
};

const overlaps: Draw = ({ index, evidence, params }) =>
  evidence.flatMap(({ topics }): EvidenceMark[] => {
    const [a, b] = topics.map((id) => index.topicById.get(id));
    if (!a || !b) return [];
    const margin = ((params.gap as number | undefined) ?? 0) / 2;
    const [one, other] = [boxOf(a, margin), boxOf(b, margin)];
    const box = {
      left: Math.max(one.left, other.left),
      top: Math.max(one.top, other.top),
      right: Math.min(one.right, other.right),
      bottom: Math.min(one.bottom, other.bottom),
    };
    return box.right > box.left && box.bottom > box.top ? [{ mark: 'overlap', box }] : [];
  });

const coveredTopics: Draw = ({ index, evidence }) =>
  [...new Set(evidence.flatMap(({ topics }) => topics))].flatMap((id) => {
    const topic = index.topicById.get(id);
    return topic ? [{ mark: 'overlap', box: boxOf(topic) }] : [];
  });

const coveredPhrases: Draw = ({ index, evidence }) => {
  const ids = new Set(evidence.flatMap(({ links }) => links));
  return index.map.links.flatMap((link): EvidenceMark[] => {
    const phrase = ids.has(link.id) ? drawLink(link, ...index.ends(link), index.assignment.legend).phrase : null;
    return phrase ? [{ mark: 'overlap', box: phrase.box }] : [];
  });
};

const tint = (index: MapIndex, id: string, tone: number, label: Label): EvidenceMark => ({
  mark: 'tint',
  box: boxOf(index.topicById.get(id)!, AROUND),
  tone,
  label,
});

const levels: Draw = ({ index }) =>
  [...index.levels].map(([id, level]) => tint(index, id, level, { code: 'level', data: { level } }));

const branches: Draw = ({ index }) => {
  const tones = new Map(index.mainBranches.map(({ id }, i) => [id, i]));
  return [...index.branches].flatMap(([id, of]) =>
    [...of]
      .slice(0, 1)
      .map((branch) =>
        tint(index, id, tones.get(branch)!, { code: 'branch', data: { text: index.topicById.get(branch)!.text } }),
      ),
  );
};

const parts: Draw = ({ index }) => {
  const found = connectedParts(
    index.structuralTopics.map(({ id }) => id),
    index.neighbours,
  );
  return found.length < 2
    ? []
    : found.flatMap((part, tone) =>
        part.map((id) => tint(index, id, tone, { code: 'part', data: { part: tone + 1 } })),
      );
};

const circles: Draw = ({ index }) =>
  index.cycles.flatMap((part, tone) =>
    part.map((id) => tint(index, id, tone, { code: 'circle', data: { circle: tone + 1 } })),
  );

const paper: Draw = ({ index, params }) => {
  const { topics } = index.map;
  const around = unionOf(topics.map((topic) => boxOf(topic, 20)));
  if (!around) return [];
  const smallest = Math.min(...topics.map((topic) => topicStyle(topic, index.assignment.legend).fontSize));
  const point = params.minPoint as number;
  const [name, side] = [params.paper as 'A4' | 'Letter', params.orientation as 'either' | 'landscape' | 'portrait'];
  const [wide, high] = [around.right - around.left, around.bottom - around.top];
  const lies = side === 'either' ? (wide >= high ? 'landscape' : 'portrait') : side;
  const sheet = paperSide(name, lies);
  // At most as large as drawn; smaller only as far as the smallest words can still be read.
  const scale = Math.min(1, point / (smallest * 0.75));
  const [width, height] = [sheet.width / scale, sheet.height / scale];
  const [x, y] = [(around.left + around.right) / 2, (around.top + around.bottom) / 2];
  const box = { left: x - width / 2, top: y - height / 2, right: x + width / 2, bottom: y + height / 2 };
  return [{ mark: 'paper', box, label: { code: 'paper', data: { name, point } } }];
};

const turns: Draw = ({ index, evidence }) => {
  const linkById = new Map(index.map.links.map((link) => [link.id, link]));
  return evidence
    .filter(({ code }) => code === 'wrongWay')
    .flatMap(({ links }) => links)
    .flatMap((id): EvidenceMark[] => {
      const link = linkById.get(id);
      if (!link) return [];
      const [from, to] = index.ends(link);
      const { legend } = index.assignment;
      const says = (a: typeof from, b: typeof to): string => {
        const { from: left, phrase, to: right } = propositionOf(link, a, b, legend);
        return `${left} ${phrase || '…'} ${right}`;
      };
      const { line, phrase } = drawLink(link, from, to, legend);
      const at = phrase?.centre ?? line[Math.floor(line.length / 2)];
      return at ? [{ mark: 'turn', at, now: says(from, to), turned: says(to, from) }] : [];
    });
};

/** How the evidence of a type is drawn; a type that is not here needs no more than the rings. */
const DRAWS: Readonly<Partial<Record<RequirementId, Draw>>> = {
  'few-crossings': meetings,
  'no-overlaps': overlaps,
  'clear-text': coveredTopics,
  'clear-phrases': coveredPhrases,
  'all-connected': parts,
  'from-root': levels,
  depth: levels,
  arrangement: levels,
  'main-branches': branches,
  branching: levels,
  'cross-links': branches,
  'branch-colours': branches,
  'note-length': (shown) => (shown.params.per === 'branch' ? branches(shown) : []),
  'no-cycles': circles,
  'forms-cycle': circles,
  'propositions-present': turns,
  'fits-paper': paper,
};

/** The marks that explain one result on its map. Empty for a requirement that the rings explain. */
export function evidenceMarks(
  map: TopicMap,
  assignment: Assignment,
  requirement: Requirement,
  result: Result,
): EvidenceMark[] {
  const type = requirementTypeOf(requirement.type);
  const draw = type && DRAWS[type.id];
  if (!draw || result.status === 'not-applicable') return [];
  return draw({
    index: new MapIndex(map, assignment),
    evidence: result.evidence,
    params: withDefaults(type, requirement.params),
  });
}
