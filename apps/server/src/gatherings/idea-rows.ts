import type { GatheringHead, Idea, Person } from '@ichnograph/contract';
import { In } from 'typeorm';
import { personOf } from '../accounts/index.js';
import type { Database } from '../common/database.js';
import type { Gathering } from './gathering.entity.js';
import { IdeaEntry } from './idea.entity.js';

/** Ideas of a gathering as whoever leads it sees them, the oldest first. @param ids of which; left out: all */
export async function ideasOf(data: Database, gatheringId: string, ids?: readonly string[]): Promise<Idea[]> {
  const rows = await data.getRepository(IdeaEntry).find({
    where: { gatheringId, ...(ids && { id: In([...ids]) }) },
    relations: { sent: { account: true } },
    order: { at: 'ASC', id: 'ASC' },
  });
  return rows.map(ideaOf);
}

function ideaOf({ id, text, groupId, taken, hidden, sent = [] }: IdeaEntry): Idea {
  const inOrder = sent.toSorted((a, b) => a.at.getTime() - b.at.getTime() || (a.id < b.id ? -1 : 1));
  const persons = (round: 1 | 2): number =>
    new Set(sent.filter((one) => one.round === round).map(({ accountId }) => accountId)).size;
  const by = new Map<string, Person>(inOrder.map(({ accountId, account }) => [accountId, personOf(account!)]));
  return {
    id,
    text,
    persons: [persons(1), persons(2)],
    people: by.size,
    words: [...new Set(inOrder.map((one) => one.text))],
    group: groupId,
    taken,
    hidden,
    by: [...by.values()],
  };
}

/** The same as students see them: nothing that is hidden, nothing of what is going to be taken, names where they are shown. */
export const forStudents = (ideas: readonly Idea[], { anonymous }: Pick<Gathering, 'anonymous'>): Idea[] =>
  ideas
    .filter(({ hidden }) => !hidden)
    .map((idea) => ({ ...idea, taken: false, words: [], ...(anonymous && { by: [] }) }));

export const headOf = ({ question, code, open, anonymous, round, groups }: Gathering): GatheringHead => ({
  question,
  code,
  open,
  anonymous,
  round,
  groups,
});
