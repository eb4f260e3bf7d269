import type { GatheringDetail, GatheringNews, Idea } from '@ichnograph/contract';

/** A gathering with what is new in it; null where something before it was missed, so that all is to be asked for. */
export function withNews(detail: GatheringDetail, news: GatheringNews): GatheringDetail | null {
  // Told before what is here was read: it is in there already, or told again.
  if (news.told <= detail.told) return detail;
  if (news.told > detail.told + 1) return null;
  const changed = new Map(news.ideas.map((idea) => [idea.id, idea]));
  const ideas = detail.ideas
    .filter(({ id }) => !news.gone.includes(id))
    .map((idea) => {
      const now = changed.get(idea.id);
      changed.delete(idea.id);
      return now ?? idea;
    });
  return { ...detail, ...news.head, senders: news.senders, told: news.told, ideas: [...ideas, ...changed.values()] };
}

/** What most said first, then what came first. */
export const byWeight = (ideas: readonly Idea[]): Idea[] => ideas.toSorted((a, b) => b.people - a.people);

/** What was said only in the first round, in both, and only in the second. */
export function thenAndNow(ideas: readonly Idea[]): Record<'onlyThen' | 'both' | 'onlyNow', Idea[]> {
  const shown = byWeight(ideas.filter(({ hidden }) => !hidden));
  const isIn = (round: 0 | 1) => (idea: Idea) => idea.persons[round] > 0;
  return {
    onlyThen: shown.filter((idea) => isIn(0)(idea) && !isIn(1)(idea)),
    both: shown.filter((idea) => isIn(0)(idea) && isIn(1)(idea)),
    onlyNow: shown.filter((idea) => !isIn(0)(idea) && isIn(1)(idea)),
  };
}
