import { randomUUID } from 'node:crypto';
import type { INestApplication } from '@nestjs/common';
import type { Change, TopicMap } from '@ichnograph/core';
import { countersOf, LiveMap } from '@ichnograph/livemap';
import { HandInService, UpdateLog, WorksService } from '@ichnograph/server';
import type { AccountsService } from '@ichnograph/server';

type Account = NonNullable<Awaited<ReturnType<AccountsService['byId']>>>;

/** A made-up student at work: draws a map gesture by gesture into the live document and hands it in. */
export class DemoStudent {
  private live!: LiveMap;
  private name!: string;
  workId!: string;
  /** from the ids of the drawn map to those of the live one */
  private readonly ids = new Map<string, string>();

  constructor(
    private readonly app: INestApplication,
    readonly account: Account,
  ) {}

  async begin(publicationId: string): Promise<void> {
    this.workId = await this.app.get(WorksService).begin(publicationId, this.account);
    this.name = `work:${this.workId}`;
    const log = this.app.get(UpdateLog);
    const doc = await log.load(this.name);
    if (!doc) throw new Error(`no live document for ${this.account.name}`);
    this.live = new LiveMap(doc, `demo-${this.account.name}`);
    doc.on('update', (update: Uint8Array) => log.append(this.name, update, countersOf(doc)));
  }

  /** Makes the live map look like the drawn one: given topics are moved and reworded, all else is added. */
  async draw(map: TopicMap): Promise<void> {
    const byOrigin = new Map(this.live.snapshot.topics.map((topic) => [topic.origin, topic.id]));
    for (const topic of map.topics) {
      const { id: drawnId, ...fields } = topic;
      const existing = byOrigin.get(drawnId);
      const id = existing ?? randomUUID();
      this.ids.set(drawnId, id);
      this.apply(
        existing
          ? { do: 'set', in: 'topics', id, fields }
          : { do: 'add', to: 'topics', item: { ...topic, id, by: this.account.id } },
      );
    }
    for (const link of map.links) {
      const [from, to] = [this.ids.get(link.from)!, this.ids.get(link.to)!];
      this.apply({ do: 'add', to: 'links', item: { ...link, id: randomUUID(), from, to, by: this.account.id } });
    }
    this.apply({ do: 'entitle', fields: { title: map.title } });
    await this.app.get(UpdateLog).drained(this.name);
  }

  /** The live id of a drawn topic, or of the link between two. */
  topic(drawnId: string): string {
    return this.ids.get(drawnId)!;
  }

  link(from: string, to: string): string {
    return this.live.snapshot.links.find((link) => link.from === this.topic(from) && link.to === this.topic(to))!.id;
  }

  handIn(note: string): Promise<string> {
    return this.app
      .get(HandInService)
      .handIn(this.workId, { note, client: this.live.client, count: this.live.made }, this.account);
  }

  private apply(...changes: Change[]): void {
    this.live.apply(changes);
  }
}
