import { Inject, Injectable } from '@nestjs/common';
import type { Response } from 'express';
import { SETTINGS } from '../common/tokens.js';
import type { Settings } from '../settings.js';
import { SESSION_COOKIE } from './sessions.service.js';

@Injectable()
export class SessionCookie {
  constructor(@Inject(SETTINGS) private readonly settings: Settings) {}

  set(response: Response, { token, expiresAt }: { token: string; expiresAt: Date }): void {
    response.cookie(SESSION_COOKIE, token, { ...this.options, expires: expiresAt });
  }

  clear(response: Response): void {
    response.clearCookie(SESSION_COOKIE, this.options);
  }

  private get options() {
    return { httpOnly: true, sameSite: 'lax', path: '/', secure: this.settings.secureCookie } as const;
  }
}
