import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { openStoredAssignment, writeAssignment } from '@ichnograph/core';
import type { Assignment as AssignmentBody } from '@ichnograph/core';
import { DataSource } from 'typeorm';
import type { EntityManager } from 'typeorm';
import { Clock } from '../common/clock.js';
import { Revision } from './revision.entity.js';

/** Bodies kept in memory: a class of 35 that opens one assignment at the same minute reads it once. */
const KEPT = 50;

/** The bodies of revisions. Nothing that a check reads in them changes, so what was read once is kept for a while. */
@Injectable()
export class Revisions {
  private readonly bodies = new Map<string, Promise<AssignmentBody>>();

  constructor(
    @InjectDataSource() private readonly data: DataSource,
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

  async withBody(id: string): Promise<{ number: number; body: AssignmentBody }> {
    const { number } = await this.data.getRepository(Revision).findOneByOrFail({ id });
    return { number, body: await this.bodyOf(id) };
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

  async add(manager: EntityManager, assignmentId: string, number: number, body: AssignmentBody): Promise<string> {
    const id = randomUUID();
    await manager.insert(Revision, {
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
  newest(assignmentId: string, manager: EntityManager = this.data.manager): Promise<Revision | null> {
    return manager.findOne(Revision, { where: { assignmentId }, order: { number: 'DESC' } });
  }
}
