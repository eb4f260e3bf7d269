import type { ArrangeIdeas, GatheringDetail, Idea, IdeaGroup } from '@ichnograph/contract';
import { useState } from 'react';
import { api } from '../common/api';
import type { Send } from '../common/send';
import { tell } from '../common/told';
import { setKnown } from './use-gathering';

export type BoardActs = ReturnType<typeof useBoardActs>;

/** What whoever leads does with ideas and groups: seen at once, kept by the server, and taken back by Mod+Z. */
export function useBoardActs({ id, groups, ideas }: GatheringDetail, send: Send) {
  const [merging, setMerging] = useState<string | null>(null);
  const arrange = (wanted: ArrangeIdeas, words: string, now?: (idea: Idea) => Idea): Promise<boolean> => {
    const before = ideas.filter((one) => wanted.ids.includes(one.id));
    const put = (change: (idea: Idea) => Idea): void =>
      setKnown(id, (known) => ({
        ...known,
        ideas: known.ideas.map((one) => (wanted.ids.includes(one.id) ? change(one) : one)),
      }));
    if (now) put(now);
    return send(() => api.put(`gatherings/${id}/ideas`, wanted), words, {
      as: `${JSON.stringify(wanted)} ${JSON.stringify(before)}`,
    }).then((done) => {
      if (!done && now) put((one) => before.find((each) => each.id === one.id) ?? one);
      return done;
    });
  };
  const one = (idea: Idea, as: ArrangeIdeas['as'], more: Partial<ArrangeIdeas> = {}): ArrangeIdeas => ({
    as,
    ids: [idea.id],
    ...more,
  });
  const take = (idea: Idea, isTaken = !idea.taken): void => {
    const words = isTaken ? `“${idea.text}” is taken.` : `“${idea.text}” is not taken.`;
    void arrange(one(idea, isTaken ? 'take' : 'leave'), words, (was) => ({
      ...was,
      taken: isTaken,
      hidden: isTaken ? false : was.hidden,
    }));
  };
  const hide = (idea: Idea, isHidden = !idea.hidden): void => {
    const words = isHidden ? `“${idea.text}” is hidden.` : `“${idea.text}” is shown again.`;
    const now = (was: Idea): Idea => ({ ...was, hidden: isHidden, taken: isHidden ? false : was.taken });
    void arrange(one(idea, isHidden ? 'hide' : 'show'), words, now).then((done) => {
      if (done) tell(words, () => hide({ ...idea, hidden: isHidden }, !isHidden));
    });
  };
  const nameOf = (group: string | null): string => groups.find((each) => each.id === group)?.name ?? 'no group';
  const sort = (idea: Idea, group: string | null): void => {
    if (idea.group === group) return;
    const words = `“${idea.text}” is in ${nameOf(group)}.`;
    void arrange(one(idea, 'sort', { group }), words, (was) => ({ ...was, group })).then((done) => {
      if (done) tell(words, () => sort({ ...idea, group }, idea.group));
    });
  };
  const call = (idea: Idea, text: string): void =>
    void arrange(one(idea, 'name', { text }), `It is called “${text}”.`, (was) => ({ ...was, text })).then((done) => {
      if (done) tell(`“${idea.text}” is called “${text}”.`, () => call({ ...idea, text }, idea.text));
    });
  const part = (idea: Idea): void => void arrange(one(idea, 'part'), `“${idea.text}” is taken apart.`);
  const merge = (idea: Idea, into: Idea): void => {
    if (idea.id === into.id) return;
    const words = `“${idea.text}” fell together with “${into.text}”.`;
    void arrange(one(idea, 'merge', { into: into.id }), words).then((done) => {
      if (done) tell(words, () => part(into));
    });
  };
  const change = (fields: object, words: string): Promise<boolean> =>
    send(() => api.patch(`gatherings/${id}`, fields), words, { as: JSON.stringify(fields) });
  const setGroups = (next: readonly IdeaGroup[], words: string): Promise<boolean> => change({ groups: next }, words);
  return {
    take,
    hide,
    sort,
    call,
    part,
    merge,
    change,
    merging,
    beginMerge: (idea: Idea) => setMerging(idea.id),
    endMerge: () => setMerging(null),
    mergeInto: (into: Idea) => {
      const idea = ideas.find((each) => each.id === merging);
      setMerging(null);
      if (idea) merge(idea, into);
    },
    addGroup: (name: string) =>
      setGroups([...groups, { id: crypto.randomUUID(), name }], `The group “${name}” is made.`),
    nameGroup: (group: IdeaGroup, name: string) =>
      setGroups(
        groups.map((each) => (each.id === group.id ? { ...each, name } : each)),
        `The group is called “${name}”.`,
      ),
    removeGroup: (group: IdeaGroup) =>
      setGroups(
        groups.filter((each) => each.id !== group.id),
        `The group “${group.name}” is removed; its ideas are in no group.`,
      ),
  };
}
