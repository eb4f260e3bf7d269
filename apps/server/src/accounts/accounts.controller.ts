import { Body, Controller, Get, HttpCode, Inject, Post, Req, Res, UseGuards } from '@nestjs/common';
import { Throttle, ThrottlerGuard } from '@nestjs/throttler';
import { ChangePassword, FirstAdministrator, NewAccount, SignIn } from '@ichnograph/contract';
import type { AccountRow, Welcome } from '@ichnograph/contract';
import type { Request, Response } from 'express';
import { Problem } from '../common/problem.js';
import { SETTINGS } from '../common/tokens.js';
import type { Settings } from '../settings.js';
import type { Account } from './account.entity.js';
import { accountRowOf, AccountsService } from './accounts.service.js';
import { For, Open, Who } from './session.guard.js';
import { SESSION_COOKIE, SessionsService } from './sessions.service.js';
import type { SignedIn } from './sessions.service.js';
import { SessionCookie } from './session-cookie.js';

@Controller()
export class AccountsController {
  constructor(
    private readonly accounts: AccountsService,
    private readonly sessions: SessionsService,
    private readonly cookie: SessionCookie,
    @Inject(SETTINGS) private readonly settings: Settings,
  ) {}

  @Open()
  @Get('welcome')
  async welcome(@Req() request: Request): Promise<Welcome> {
    const signedIn = await this.sessions.find((request.cookies as Record<string, string | undefined>)[SESSION_COOKIE]);
    const school = await this.accounts.school();
    return {
      school: school?.name ?? '',
      timeZone: school?.timeZone ?? 'UTC',
      demo: this.settings.demo,
      needsFirstAdministrator: !school,
      me: signedIn && { ...accountRowOf(signedIn.account), sessionId: signedIn.session.id },
    };
  }

  @Open()
  @Post('sign-in')
  @HttpCode(204)
  @UseGuards(ThrottlerGuard)
  @Throttle({ default: { limit: 10, ttl: 60_000 } })
  async signIn(@Body() { name, password }: SignIn, @Res({ passthrough: true }) response: Response): Promise<void> {
    const account = await this.accounts.withPassword(name, password);
    if (!account)
      throw new Problem(
        401,
        'Not signed in',
        'That name and password do not belong together. Check both and try again.',
      );
    await this.begin(account, response);
  }

  @Post('sign-out')
  @HttpCode(204)
  async signOut(@Who() { session }: SignedIn, @Res({ passthrough: true }) response: Response): Promise<void> {
    await this.sessions.end(session);
    this.cookie.clear(response);
  }

  @Post('password')
  @HttpCode(204)
  @UseGuards(ThrottlerGuard)
  @Throttle({ default: { limit: 10, ttl: 60_000 } })
  async changePassword(
    @Who() { account, session }: SignedIn,
    @Body() { current, next }: ChangePassword,
  ): Promise<void> {
    await this.accounts.changePassword(account, current, next);
    await this.sessions.endOthers(session);
  }

  @Open()
  @Post('first-administrator')
  @HttpCode(204)
  @UseGuards(ThrottlerGuard)
  @Throttle({ default: { limit: 10, ttl: 60_000 } })
  async firstAdministrator(
    @Body() wanted: FirstAdministrator,
    @Res({ passthrough: true }) response: Response,
  ): Promise<void> {
    await this.begin(await this.accounts.found(wanted), response);
  }

  @For('administrator')
  @Get('accounts')
  async list(): Promise<AccountRow[]> {
    return (await this.accounts.list()).map(accountRowOf);
  }

  @For('administrator')
  @Post('accounts')
  async create(@Body() wanted: NewAccount): Promise<AccountRow> {
    return accountRowOf(await this.accounts.create(wanted));
  }

  private async begin(account: Account, response: Response): Promise<void> {
    this.cookie.set(response, await this.sessions.begin(account));
  }
}
