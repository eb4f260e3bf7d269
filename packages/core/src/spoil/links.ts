import { findPropositions } from '../requirements/propositions/wanted-propositions.js';
import type { Wanted } from '../requirements/propositions/wanted-propositions.js';
import { VAGUE } from '../requirements/propositions/precise-phrases.js';
import { pick, shuffled } from '../random.js';
import { isBlank } from '../words/normal-form.js';
import { some, withLinks, without } from './way.js';
import type { Way } from './way.js';

/** Some topics lose all that tied them to the others. */
export const cutLoose: Way = ({ map, index, random }) => {
  const tied = index.structuralTopics.filter(
    (topic) => topic !== index.root && (index.neighbours.get(topic.id)?.size ?? 0) > 0,
  );
  // Those with the fewest links first: a map falls apart at its edge.
  const byLinks = shuffled(tied, random).sort(
    (a, b) => index.neighbours.get(a.id)!.size - index.neighbours.get(b.id)!.size,
  );
  const most = map.links.length * 0.35;
  const cut = new Set<string>();
  for (const topic of byLinks.slice(0, Math.max(1, Math.round(tied.length * 0.2)))) {
    const links = index.structuralLinks.filter(({ from, to }) => from === topic.id || to === topic.id);
    if (cut.size > 0 && cut.size + links.length > most) continue;
    for (const { id } of links) cut.add(id);
  }
  return cut.size === 0 ? map : without(map, new Set(), cut);
};

/** Links lose their words. */
export const stripPhrases: Way = ({ map, index, random }) => {
  const worded = index.structuralLinks.filter(({ phrase }) => !isBlank(phrase));
  return withLinks(
    map,
    (worded.length ? some(worded, 0.35, random) : []).map((link) => ({ ...link, phrase: '' })),
  );
};

/** Words that say something give way to words that fit everywhere. */
export const vaguePhrases: Way = ({ map, assignment, index, random }) => {
  const own = assignment.requirements.find(({ type }) => type === 'precise-phrases')?.params.vague;
  const vague = Array.isArray(own) ? (own as string[]) : VAGUE;
  const worded = index.structuralLinks.filter(({ phrase }) => !isBlank(phrase));
  return withLinks(
    map,
    (worded.length ? some(worded, 0.4, random) : []).map((link) => ({ ...link, phrase: pick(vague, random) })),
  );
};

/** Links are drawn from the wrong end, those first that the assignment asks for. */
export const turnArrows: Way = ({ map, assignment, index, random }) => {
  const wanted = assignment.requirements.flatMap(({ type, params }) =>
    type === 'propositions-present' && Array.isArray(params.propositions) ? (params.propositions as Wanted[]) : [],
  );
  const asked = new Set(findPropositions(wanted, index).flatMap(({ links }) => links.map(({ id }) => id)));
  const forward = index.structuralLinks.filter((link) => index.arrowOf(link) === 'forward' && link.from !== link.to);
  const order = shuffled(forward, random).sort((a, b) => Number(asked.has(b.id)) - Number(asked.has(a.id)));
  return withLinks(
    map,
    order
      .slice(0, forward.length && Math.max(1, Math.round(forward.length * 0.35)))
      .map((link) => ({ ...link, from: link.to, to: link.from })),
  );
};

/** What belonged under something hangs from the middle. */
export const allToRoot: Way = ({ map, index, random }) => {
  const { root, levels } = index;
  if (!root) return map;
  const deep = shuffled(
    index.structuralTopics.filter(({ id }) => (levels.get(id) ?? 0) >= 2),
    random,
  ).sort((a, b) => levels.get(b.id)! - levels.get(a.id)!);
  const moved = new Map<string, string>();
  for (const topic of deep) {
    if (moved.size >= Math.max(1, map.links.length * 0.4)) break;
    const above = index.structuralLinks.find(
      ({ id, from, to }) =>
        !moved.has(id) &&
        ((to === topic.id && levels.get(from) === levels.get(topic.id)! - 1) ||
          (from === topic.id && levels.get(to) === levels.get(topic.id)! - 1)),
    );
    if (above) moved.set(above.id, topic.id);
  }
  return withLinks(
    map,
    map.links.flatMap((link) => {
      const to = moved.get(link.id);
      return to === undefined ? [] : [{ ...link, from: root.id, to }];
    }),
  );
};
