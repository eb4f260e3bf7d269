import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import type { Erasure, Keeper } from '../common/keeper.js';
import { Gathering } from './gathering.entity.js';
import { IdeaEntry } from './idea.entity.js';
import { SentIdea } from './sent-idea.entity.js';

/** What a person sent goes with them, and what a teacher asked stays with the class, without their name. */
@Injectable()
export class GatheringsKeeper implements Keeper {
  constructor(private readonly data: Database) {}

  async kept(accountId: string): Promise<Record<string, unknown>> {
    const sent = await this.sent(accountId);
    const asked = await this.data.getRepository(Gathering).findBy({ madeBy: accountId });
    const questions = await this.data
      .getRepository(Gathering)
      .findBy({ id: In(sent.map(({ idea }) => idea!.gatheringId)) });
    return {
      asked: asked.map(({ question, madeAt }) => ({ question, at: madeAt.toISOString() })),
      ideas: sent.map(({ text, at, idea }) => ({
        question: questions.find(({ id }) => id === idea!.gatheringId)?.question,
        text,
        at: at.toISOString(),
      })),
    };
  }

  private sent(accountId: string): Promise<SentIdea[]> {
    return this.data
      .getRepository(SentIdea)
      .find({ where: { accountId }, relations: { idea: true }, order: { at: 'ASC' } });
  }

  async erase({ accountId }: Erasure): Promise<void> {
    const { manager } = this.data;
    const heaps = [...new Set((await this.sent(accountId)).map(({ ideaId }) => ideaId))];
    await manager.delete(SentIdea, { accountId });
    if (heaps.length === 0) return;
    const left = await manager.find(IdeaEntry, { where: { id: In(heaps) }, relations: { sent: true } });
    for (const { id, text, sent } of left)
      if (sent!.length === 0) await manager.delete(IdeaEntry, { id });
      else if (!sent!.some((one) => one.text === text))
        await manager.update(IdeaEntry, { id }, { text: sent![0]!.text });
  }
}
