import { randomBytes, randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { emptyMap, writeMap } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { ownMapDocument, workDocument } from '@ichnograph/contract';
import type { NewSharedPage, SharedPageRow, SharedPages } from '@ichnograph/contract';
import type { Account } from '../accounts/index.js';
import { AccountsService } from '../accounts/index.js';
import { Revisions } from '../assignments/index.js';
import { Clock } from '../common/clock.js';
import { Database } from '../common/database.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { Snapshots } from '../live/index.js';
import { OwnMapsService } from '../own-maps/index.js';
import { Drawings } from '../papers/index.js';
import { membersOf, nameOf, WorksService } from '../works/index.js';
import { SharedPage } from './shared-page.entity.js';

const DAY_MS = 86_400_000;
/** No page is shown for longer at a time. */
const LONGEST_DAYS = 400;
const MOST_OF_ONE_MAP = 20;
/** What was drawn of a page is shown again for so long: a link that a hundred open costs one drawing. */
const FRESH_MS = 10_000;
const MOST_DRAWN = 50;

export type Which = { ownMapId: string } | { workId: string };
export type Form = 'page' | 'embed';

/** A map for others, read by a link and nothing but read, until a day or until it is taken back. */
@Injectable()
export class SharedPagesService {
  /** by page and form, what was drawn last; the oldest first */
  private readonly drawn = new Map<string, { at: number; html: Promise<string> }>();

  constructor(
    private readonly data: Database,
    private readonly accounts: AccountsService,
    private readonly works: WorksService,
    private readonly ownMaps: OwnMapsService,
    private readonly revisions: Revisions,
    private readonly snapshots: Snapshots,
    private readonly drawings: Drawings,
    private readonly clock: Clock,
  ) {}

  private get pages() {
    return this.data.getRepository(SharedPage);
  }

  /** Whether somebody may make pages of a map; refused to whom it is not there. */
  private async right(which: Which, { id }: Account): Promise<{ mayMake: boolean }> {
    if ('ownMapId' in which) {
      await this.ownMaps.detail(which.ownMapId, id);
      return { mayMake: true };
    }
    const { work, isMember } = await this.works.seen(which.workId, id);
    return { mayMake: isMember && (await this.allows(work.revisionId)) };
  }

  private async allows(revisionId: string): Promise<boolean> {
    return (await this.revisions.bodyOf(revisionId)).drawing?.sharing !== false;
  }

  async of(which: Which, account: Account): Promise<SharedPages> {
    const { mayMake } = await this.right(which, account);
    const rows = await this.pages.find({ where: which, order: { madeAt: 'DESC' } });
    const now = this.clock.now();
    return { mayMake, pages: rows.filter(({ endsAt }) => endsAt > now).map(rowOf) };
  }

  async make(which: Which, { endsAt, showsNames }: NewSharedPage, account: Account): Promise<SharedPageRow> {
    const { mayMake } = await this.right(which, account);
    if (!mayMake) throw conflict('Maps of this assignment are not shown to others by a link. Ask your teacher.');
    const [now, end] = [this.clock.now(), new Date(endsAt)];
    if (end <= now) throw refused('That day is over. Choose one to come.');
    if (end.getTime() > now.getTime() + LONGEST_DAYS * DAY_MS)
      throw refused(`A page is shown for ${LONGEST_DAYS} days at most. Choose an earlier day.`);
    if ((await this.of(which, account)).pages.length >= MOST_OF_ONE_MAP)
      throw conflict(`This map has ${MOST_OF_ONE_MAP} links already. Take one back first.`);
    const page = this.pages.create({
      id: randomUUID(),
      token: randomBytes(32).toString('base64url'),
      madeBy: account.id,
      ownMapId: null,
      workId: null,
      ...which,
      showsNames,
      madeAt: now,
      endsAt: end,
    });
    await this.pages.insert(page);
    return rowOf(page);
  }

  /** Nobody reads it from this moment on. */
  async takeBack(id: string, account: Account): Promise<void> {
    const page = await this.pages.findOneBy({ id });
    if (!page) throw notFound('page');
    await this.right(whichOf(page), account);
    await this.pages.delete({ id });
    this.forget(id);
  }

  /** The page behind a link as a document; null where there is none, or none any more. */
  async read(token: string, form: Form): Promise<string | null> {
    const page = await this.pages.findOneBy({ token });
    const now = this.clock.now();
    if (!page || page.endsAt <= now) return null;
    if (page.workId) {
      const work = await this.works.plain(page.workId);
      if (!work || !(await this.allows(work.revisionId))) return null;
    }
    const key = `${page.id} ${form}`;
    const known = this.drawn.get(key);
    if (known && now.getTime() - known.at < FRESH_MS) return known.html;
    const html = this.drawing(page, form);
    this.drawn.delete(key);
    this.drawn.set(key, { at: now.getTime(), html });
    // What failed is tried again by who asks next.
    html.catch(() => this.drawn.delete(key));
    const [oldest] = this.drawn.keys();
    if (this.drawn.size > MOST_DRAWN) this.drawn.delete(oldest!);
    return html;
  }

  private forget(id: string): void {
    for (const form of ['page', 'embed'] satisfies Form[]) this.drawn.delete(`${id} ${form}`);
  }

  private async drawing(page: SharedPage, form: Form): Promise<string> {
    const { map, legend, names } = await this.shown(page);
    const sent = writeMap({ ...map, author: page.showsNames ? names : '', legend });
    if (form === 'page') return textOf(await this.drawings.drawn({ as: 'html', map: sent }));
    const svg = await this.drawings.drawn({ as: 'svg', map: sent });
    return framed(map.title || 'Map', svg.content, `/shared/${page.token}`);
  }

  private async shown({
    ownMapId,
    workId,
    madeBy,
  }: SharedPage): Promise<{ map: TopicMap; legend: Legend; names: string }> {
    if (ownMapId) {
      const map = (await this.snapshots.of(ownMapDocument(ownMapId), 'class'))?.map ?? emptyMap();
      const owner = (await this.accounts.people([madeBy])).get(madeBy);
      return { map, legend: await this.ownMaps.legendOf(ownMapId), names: owner ? nameOf(owner) : '' };
    }
    const work = (await this.works.plain(workId!))!;
    const map = (await this.snapshots.of(workDocument(work.id), 'class'))?.map ?? emptyMap();
    const { legend } = await this.revisions.bodyOf(work.revisionId);
    return { map, legend, names: membersOf(work).map(nameOf).join(', ') };
  }
}

const rowOf = ({ id, token, showsNames, madeAt, endsAt }: SharedPage): SharedPageRow => ({
  id,
  token,
  showsNames,
  madeAt: madeAt.toISOString(),
  endsAt: endsAt.toISOString(),
});

const whichOf = ({ ownMapId, workId }: SharedPage): Which => (ownMapId ? { ownMapId } : { workId: workId! });

const textOf = ({ content }: { content: Uint8Array }): string => new TextDecoder().decode(content);

const escaped = (words: string): string =>
  words.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!);

/** The drawing alone, as large as the frame it stands in, and the way to the whole page. */
const framed = (title: string, svg: Uint8Array, whole: string): string => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escaped(title)}</title>
<style>html,body{height:100%;margin:0}body{display:flex;flex-direction:column;font:14px system-ui,sans-serif;background:#fff}
main{flex:1;min-height:0}img{width:100%;height:100%;object-fit:contain}p{margin:0;padding:.3rem .6rem}a{color:#1f6f63}</style></head>
<body><main><img alt="Map: ${escaped(title)}" src="data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}"></main>
<p><a href="${whole}" target="_blank" rel="noopener">${escaped(title)}: the map with its text</a></p></body></html>
`;

/** What is said where a link leads to nothing. */
export const NOT_THERE = `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Not there</title>
<style>body{font:16px/1.5 system-ui,sans-serif;color:#16202e;max-width:36rem;margin:4rem auto;padding:0 1rem}</style></head>
<body><main><h1>This page is not there</h1><p>Its link was taken back, or the time it was shown for is over. Ask whoever sent it to you.</p></main></body></html>
`;
