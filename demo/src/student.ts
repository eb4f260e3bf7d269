import { randomUUID } from 'node:crypto';
import type { INestApplication } from '@nestjs/common';
import type { Change, Link, TopicMap, TopicTask } from '@ichnograph/core';
import { countersOf, LiveMap } from '@ichnograph/livemap';
import { actOf, HandInService, UpdateLog, WorksService } from '@ichnograph/server';
import type { AccountsService } from '@ichnograph/server';

type Account = NonNullable<Awaited<ReturnType<AccountsService['byId']>>>;

/** A made-up student at work: draws a map gesture by gesture into the live document and hands it in. */
export class DemoStudent {
  private live!: LiveMap;
  private name!: string;
  workId!: string;

  constructor(
    private readonly app: INestApplication,
    readonly account: Account,
    /** from the ids of the drawn map to those of the live one; of a group the same for all */
    private readonly ids = new Map<string, string>(),
  ) {}

  async begin(publicationId: string): Promise<void> {
    this.workId = await this.app.get(WorksService).begin(publicationId, this.account);
    this.name = `work:${this.workId}`;
    const log = this.app.get(UpdateLog);
    const doc = (await log.load(this.name))?.doc;
    if (!doc) throw new Error(`no live document for ${this.account.name}`);
    this.live = new LiveMap(doc, `demo-${this.account.name}`);
    doc.on('update', (update: Uint8Array) => log.append(this.name, update, countersOf(doc)));
  }

  /** Takes a work that came back in hand again. */
  async revise(): Promise<void> {
    await this.app.get(WorksService).revise(this.workId, this.account);
  }

  /** The id of a topic on the live map, by its words. */
  topicCalled(text: string): string {
    return this.live.snapshot.topics.find((one) => one.text === text)!.id;
  }

  /** Makes a topic of the live map a task. */
  async giveTask(text: string, task: TopicTask): Promise<void> {
    this.apply({ do: 'set', in: 'topics', id: this.topicCalled(text), fields: { task } });
    await this.app.get(UpdateLog).drained(this.name);
  }

  /** Makes the live map look like the drawn one: what is there is changed, what is not drawn goes, all else is added. */
  async draw(map: TopicMap): Promise<void> {
    for (const { id, origin } of this.live.snapshot.topics) if (origin !== undefined) this.ids.set(origin, id);
    const drawn = new Set([...map.topics, ...map.links].map(({ id }) => id));
    for (const [drawnId, id] of [...this.ids].filter(([one]) => !drawn.has(one))) {
      this.ids.delete(drawnId);
      for (const list of ['links', 'topics'] as const) this.remove(list, id);
    }
    for (const { id: drawnId, origin: _origin, ...fields } of map.topics) this.putTopic(drawnId, fields);
    for (const { id: drawnId, from, to, ...fields } of map.links)
      this.putLink(drawnId, { ...fields, from: this.topic(from), to: this.topic(to) });
    for (const picture of map.pictures)
      this.apply({ do: 'add', to: 'pictures', item: { ...picture, id: randomUUID() } });
    for (const region of map.regions)
      this.apply({
        do: 'add',
        to: 'regions',
        item: { ...region, id: randomUUID(), topics: region.topics.map((one) => this.topic(one)) },
      });
    for (const { stops, ...tour } of map.tours)
      this.apply({
        do: 'add',
        to: 'tours',
        item: { ...tour, id: randomUUID(), stops: stops.map((stop) => ({ ...stop, topic: this.topic(stop.topic) })) },
      });
    this.apply({ do: 'entitle', fields: { title: map.title } });
    await this.app.get(UpdateLog).drained(this.name);
  }

  private remove(from: 'topics' | 'links', id: string): void {
    if (this.live.snapshot[from].some((one) => one.id === id)) this.apply({ do: 'remove', from, id });
  }

  private putTopic(drawnId: string, fields: object): void {
    const known = this.ids.get(drawnId);
    if (known !== undefined) return this.apply({ do: 'set', in: 'topics', id: known, fields: { ...fields } });
    const id = randomUUID();
    this.ids.set(drawnId, id);
    this.apply({ do: 'add', to: 'topics', item: { ...fields, id, by: this.account.id } } as Change);
  }

  /** A link is known again as the one drawn before, which may have been hung elsewhere, or by what it joins. */
  private putLink(drawnId: string, fields: Omit<Link, 'id'>): void {
    const { links } = this.live.snapshot;
    const known =
      links.find(({ id }) => id === this.ids.get(drawnId)) ??
      links.find(({ from, to }) => from === fields.from && to === fields.to);
    const id = known?.id ?? randomUUID();
    this.ids.set(drawnId, id);
    if (known) this.apply({ do: 'set', in: 'links', id, fields: { ...fields } });
    else this.apply({ do: 'add', to: 'links', item: { ...fields, id, by: this.account.id } });
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
      .handIn(this.workId, { note, client: this.live.client, count: this.live.made }, actOf(this.account.id));
  }

  private apply(...changes: Change[]): void {
    this.live.apply(changes);
  }
}
