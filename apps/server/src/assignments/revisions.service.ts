import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { openStoredAssignment, writeAssignment } from '@ichnograph/core';
import type { Assignment as AssignmentBody } from '@ichnograph/core';
import { Database } from '../common/database.js';
import { Clock } from '../common/clock.js';
import { Revision } from './revision.entity.js';

/** Bodies kept in memory: a class of 35 that opens one assignment at the same minute reads it once. */
const KEPT = 50;

/** The bodies of revisions. Nothing that a check reads in them changes, so what was read once is kept for a while. */
@Injectable()
export class Revisions {
  private readonly bodies = new Map<string, Promise<AssignmentBody>>();

  constructor(
    private readonly data: Database,
    private readonly clock: Clock,
  ) {}

  /** The assignment that a revision holds. */
  bodyOf(id: string): Promise<AssignmentBody> {
    const known = this.bodies.get(id);
    if (known) return known;
    const body = this.read(id);
    this.bodies.set(id, body);
    // A read that failed is no body to keep.
    body.catch(() => this.bodies.delete(id));
    if (this.bodies.size > KEPT) this.bodies.delete(this.bodies.keys().next().value!);
    return body;
  }

  async numberOf(id: string): Promise<number> {
    const { number } = await this.data
      .getRepository(Revision)
      .findOneOrFail({ where: { id }, select: { number: true } });
    return number;
  }

  async withBody(id: string): Promise<{ number: number; body: AssignmentBody }> {
    return { number: await this.numberOf(id), body: await this.bodyOf(id) };
  }

  /** Mends words that no check reads; everything else of a revision never changes. */
  async correct(id: string, body: AssignmentBody): Promise<void> {
    await this.data
      .getRepository(Revision)
      .update(
        { id },
        { title: body.title, focusQuestion: body.focusQuestion.slice(0, 300), body: writeAssignment(body) as object },
      );
    this.bodies.delete(id);
  }

  private async read(id: string): Promise<AssignmentBody> {
    const { body } = await this.data
      .getRepository(Revision)
      .findOneOrFail({ where: { id }, select: { id: true, body: true } });
    return openStoredAssignment(body);
  }

  async add(assignmentId: string, number: number, body: AssignmentBody): Promise<string> {
    const id = randomUUID();
    await this.data.manager.insert(Revision, {
      id,
      assignmentId,
      number,
      title: body.title,
      focusQuestion: body.focusQuestion,
      body: writeAssignment(body) as object,
      createdAt: this.clock.now(),
    });
    return id;
  }

  /** The newest revision of an assignment; null before it was first given out. */
  newest(assignmentId: string): Promise<Revision | null> {
    return this.data.manager.findOne(Revision, { where: { assignmentId }, order: { number: 'DESC' } });
  }
}
