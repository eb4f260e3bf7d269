import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { asIdea, heapFor, partsOf } from '@ichnograph/core';
import { GATHERING_LIMITS } from '@ichnograph/contract';
import type { ArrangeIdeas, SendIdea } from '@ichnograph/contract';
import { In } from 'typeorm';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Clock } from '../common/clock.js';
import { Database } from '../common/database.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { GatheringsService } from './gatherings.service.js';
import { IdeaEntry } from './idea.entity.js';
import { IdeasTold } from './ideas-told.service.js';
import { SentIdea } from './sent-idea.entity.js';

/** Ideas: sent by a class, fallen together by core's matching, and arranged by whoever leads. */
@Injectable()
export class Ideas {
  constructor(
    private readonly data: Database,
    private readonly gatherings: GatheringsService,
    private readonly acts: Acts,
    private readonly told: IdeasTold,
    private readonly clock: Clock,
  ) {}

  /** Sends one. @returns its id */
  async send(gatheringId: string, { text: typed }: SendIdea, named: Named): Promise<string> {
    await this.gatherings.seen(gatheringId, named.accountId);
    const text = asIdea(typed);
    if (text === '') throw refused('An idea has words.', [{ path: '$.text', reason: 'is empty' }]);
    let heap = '';
    const sent = await this.acts.once(named, 'send an idea', async () => {
      const { open, round, language } = await this.gatherings.hold(gatheringId);
      if (!open) throw conflict('This question is closed, so your idea was not sent.');
      const heaps = await this.data.manager.find(IdeaEntry, {
        where: { gatheringId },
        relations: { sent: true },
        order: { at: 'ASC', id: 'ASC' },
      });
      const all = heaps.flatMap((one) => one.sent!);
      if (all.filter(({ accountId }) => accountId === named.accountId).length >= GATHERING_LIMITS.ofOne)
        throw conflict(`You have sent ${GATHERING_LIMITS.ofOne} ideas, and that is as many as one person may send.`);
      if (all.length >= GATHERING_LIMITS.ideas)
        throw conflict('So many ideas have come in that no more can be taken. Tell your teacher.');
      const at = this.clock.now();
      const known = heapFor(
        text,
        heaps.map((one) => ({ id: one.id, texts: [one.text, ...one.sent!.map((each) => each.text)] })),
        language,
      );
      heap = known ?? randomUUID();
      if (known === null) await this.insert(heap, gatheringId, text, at);
      const id = randomUUID();
      const { accountId } = named;
      await this.data.manager.insert(SentIdea, { id, ideaId: heap, accountId, text, round, at });
      return id;
    });
    if (heap) this.told.changed(gatheringId, [heap]);
    return sent;
  }

  private async insert(id: string, gatheringId: string, text: string, at: Date): Promise<void> {
    const plain = { groupId: null, taken: false, hidden: false };
    await this.data.manager.insert(IdeaEntry, { id, gatheringId, text, at, ...plain });
  }

  /** Takes back what one sent, as long as the question is open. */
  async takeBack(gatheringId: string, sentId: string, accountId: string): Promise<void> {
    await this.gatherings.seen(gatheringId, accountId);
    const heap = await this.data.unit(async () => {
      const { open } = await this.gatherings.hold(gatheringId);
      const sent = await this.data.manager.findOne(SentIdea, {
        where: { id: sentId, accountId, idea: { gatheringId } },
        relations: { idea: { sent: true } },
      });
      if (!sent) throw notFound('idea');
      if (!open) throw conflict('This question is closed. What was sent stays.');
      await this.data.manager.delete(SentIdea, { id: sentId });
      const { id, text, sent: all } = sent.idea!;
      const left = all!.filter((one) => one.id !== sentId).toSorted((a, b) => a.at.getTime() - b.at.getTime());
      if (left.length === 0) await this.data.manager.delete(IdeaEntry, { id });
      // What is left is not called by words that somebody took back.
      else if (text === sent.text && !left.some((one) => one.text === text))
        await this.data.manager.update(IdeaEntry, { id }, { text: left[0]!.text });
      return id;
    });
    this.told.changed(gatheringId, [heap]);
  }

  /** What whoever leads does with ideas: all of them or none. */
  async arrange(gatheringId: string, wanted: ArrangeIdeas, accountId: string): Promise<void> {
    await this.gatherings.led(gatheringId, accountId);
    const ids = [...new Set(wanted.ids)];
    const changed = await this.data.unit(async () => {
      const { groups, language } = await this.gatherings.hold(gatheringId);
      const all = wanted.as === 'merge' ? [...new Set([...ids, wanted.into!])] : ids;
      const found = await this.data.manager.find(IdeaEntry, {
        where: { id: In(all), gatheringId },
        relations: { sent: true },
      });
      if (found.length < all.length)
        throw conflict('One of these ideas is not there any more: it was merged or taken back. Look again.');
      const set = async (fields: Partial<IdeaEntry>): Promise<string[]> => {
        await this.data.manager.update(IdeaEntry, { id: In(ids) }, fields);
        return ids;
      };
      switch (wanted.as) {
        case 'take':
        case 'leave':
          return set({ taken: wanted.as === 'take', ...(wanted.as === 'take' && { hidden: false }) });
        case 'hide':
        case 'show':
          return set({ hidden: wanted.as === 'hide', ...(wanted.as === 'hide' && { taken: false }) });
        case 'sort':
          if (wanted.group != null && !groups.some(({ id }) => id === wanted.group)) throw notFound('group');
          return set({ groupId: wanted.group ?? null });
        case 'name':
          return this.call(ids, wanted.text!);
        case 'merge':
          return this.merge(ids, wanted.into!);
        case 'part':
          return this.part(found, language);
      }
    });
    this.told.changed(gatheringId, changed);
  }

  private async call(ids: readonly string[], typed: string): Promise<string[]> {
    const text = asIdea(typed);
    if (text === '') throw refused('An idea has words.', [{ path: '$.text', reason: 'is empty' }]);
    if (ids.length > 1) throw refused('One idea after the other is called otherwise.');
    await this.data.manager.update(IdeaEntry, { id: In([...ids]) }, { text });
    return [...ids];
  }

  private async merge(ids: readonly string[], into: string): Promise<string[]> {
    const others = ids.filter((id) => id !== into);
    if (others.length === 0) throw refused('An idea cannot be merged with itself.');
    await this.data.manager.update(SentIdea, { ideaId: In(others) }, { ideaId: into });
    await this.data.manager.delete(IdeaEntry, { id: In(others) });
    return [...others, into];
  }

  /** What does not belong together becomes ideas of their own again. */
  private async part(heaps: readonly IdeaEntry[], language: string): Promise<string[]> {
    const changed: string[] = [];
    for (const heap of heaps) {
      const inOrder = heap.sent!.toSorted((a, b) => a.at.getTime() - b.at.getTime());
      const parts = partsOf([...new Set(inOrder.map(({ text }) => text))], language);
      // The heap keeps those whose words it is called by, else the first.
      const own = parts.find((texts) => texts.includes(heap.text)) ?? parts[0];
      changed.push(heap.id);
      for (const texts of parts.filter((one) => one !== own)) {
        const sent = inOrder.filter(({ text }) => texts.includes(text));
        const id = randomUUID();
        await this.insert(id, heap.gatheringId, sent[0]!.text, sent[0]!.at);
        await this.data.manager.update(IdeaEntry, { id }, { groupId: heap.groupId });
        await this.data.manager.update(SentIdea, { id: In(sent.map((one) => one.id)) }, { ideaId: id });
        changed.push(id);
      }
    }
    return changed;
  }
}
