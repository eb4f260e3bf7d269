import { createHash, randomBytes } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import type { Request, Response } from 'express';
import { LessThan } from 'typeorm';
import { Clock } from '../common/clock.js';
import { Database } from '../common/database.js';
import { SETTINGS } from '../common/tokens.js';
import type { Settings } from '../settings.js';
import { Account } from './account.entity.js';
import { KnownDevice } from './known-device.entity.js';

const COOKIE = 'ichnograph_device';
const KEPT_MS = 180 * 24 * 3_600_000;

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/**
 * Browsers that people signed in on before: whoever tries a list of names from one address makes strangers wait there, not
 * those who are known. Source: device cookies, OWASP.
 */
@Injectable()
export class KnownDevices {
  constructor(
    private readonly data: Database,
    private readonly clock: Clock,
    @Inject(SETTINGS) private readonly settings: Settings,
  ) {}

  /** What tries of this name from this browser are counted by; null where it is not known. */
  async idOf(request: Request, name: string): Promise<string | null> {
    const token: unknown = (request.cookies as Record<string, unknown>)[COOKIE];
    if (typeof token !== 'string') return null;
    const account = await this.data.getRepository(Account).findOneBy({ name });
    if (!account) return null;
    const key = { tokenHash: hashOf(token), accountId: account.id };
    return (await this.data.getRepository(KnownDevice).existsBy(key)) ? `${key.tokenHash} ${key.accountId}` : null;
  }

  async remember(response: Response, { id: accountId }: Account): Promise<void> {
    const kept: unknown = (response.req.cookies as Record<string, unknown>)[COOKIE];
    const token = typeof kept === 'string' && kept.length < 100 ? kept : randomBytes(24).toString('base64url');
    const at = this.clock.now();
    await this.data.getRepository(KnownDevice).save({ tokenHash: hashOf(token), accountId, at });
    await this.data.getRepository(KnownDevice).delete({ at: LessThan(new Date(at.getTime() - KEPT_MS)) });
    const secure = this.settings.secureCookie;
    response.cookie(COOKIE, token, { httpOnly: true, sameSite: 'lax', path: '/api/sign-in', secure, maxAge: KEPT_MS });
  }
}
