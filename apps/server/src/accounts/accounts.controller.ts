import { Body, Controller, Get, HttpCode, Inject, Post, Req, Res } from '@nestjs/common';
import { ChangePassword, FirstAdministrator, NewAccount, SignIn } from '@ichnograph/contract';
import type { AccountRow, Welcome } from '@ichnograph/contract';
import type { Request, Response } from 'express';
import { Acting, Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { conflict, Problem, refused } from '../common/problem.js';
import { SETTINGS } from '../common/tokens.js';
import type { Settings } from '../settings.js';
import type { Account } from './account.entity.js';
import { accountRowOf, AccountsService } from './accounts.service.js';
import { BeforeNewPassword, For, Open, Who } from './session.guard.js';
import { normalName } from './names.js';
import { SessionsService } from './sessions.service.js';
import { tokenOf } from './who-it-is.js';
import type { SignedIn } from './sessions.service.js';
import { KnownDevices } from './known-devices.service.js';
import { SessionCookie } from './session-cookie.js';
import { Tries } from './tries.js';

@Controller()
export class AccountsController {
  constructor(
    private readonly accounts: AccountsService,
    private readonly sessions: SessionsService,
    private readonly cookie: SessionCookie,
    private readonly tries: Tries,
    private readonly devices: KnownDevices,
    private readonly acts: Acts,
    @Inject(SETTINGS) private readonly settings: Settings,
  ) {}

  @Open()
  @Get('welcome')
  async welcome(@Req() request: Request): Promise<Welcome> {
    const signedIn = await this.sessions.find(tokenOf(request));
    const school = await this.accounts.school();
    return {
      school: school?.name ?? '',
      timeZone: school?.timeZone ?? 'UTC',
      demo: this.settings.demo,
      needsFirstAdministrator: !school,
      me: signedIn && {
        ...accountRowOf(signedIn.account),
        sessionId: signedIn.session.id,
        mustChangePassword: signedIn.account.mustChangePassword,
        reset: await this.accounts.resetOf(signedIn.account),
      },
    };
  }

  @Open()
  @Post('sign-in')
  @HttpCode(204)
  async signIn(
    @Body() { name: typed, password }: SignIn,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<void> {
    const name = normalName(typed);
    const address = String(request.ip);
    const device = await this.devices.idOf(request, name);
    // A device that this person signed in on before is counted by itself: a stranger's tries do not lock it out.
    const keys = device ? { device } : { address, 'name and address': `${address} ${name}` };
    const account = await this.tries.one(keys, () => this.accounts.withPassword(name, password));
    if (!account)
      throw new Problem(
        401,
        'Not signed in',
        'That name and password do not belong together. Check both and try again.',
      );
    await this.begin(account, request, response);
    await this.devices.remember(response, account);
  }

  @BeforeNewPassword()
  @Post('sign-out')
  @HttpCode(204)
  async signOut(@Who() { session }: SignedIn, @Res({ passthrough: true }) response: Response): Promise<void> {
    await this.sessions.end(session);
    this.cookie.clear(response);
  }

  @BeforeNewPassword()
  @Post('password')
  @HttpCode(204)
  async changePassword(
    @Who() { account, session }: SignedIn,
    @Body() { current, next }: ChangePassword,
  ): Promise<void> {
    const right = await this.tries.one({ password: account.id }, () =>
      this.accounts.withPassword(account.name, current),
    );
    if (!right)
      throw refused('That is not the password you have now.', [{ path: '$.current', reason: 'is not right' }]);
    if (current === next)
      throw refused('That is the password you have now. Choose another one.', [
        { path: '$.next', reason: 'is the same as before' },
      ]);
    await this.accounts.changePassword(account, next);
    await this.sessions.endOthers(session);
  }

  @Open()
  @Post('first-administrator')
  @HttpCode(204)
  async firstAdministrator(
    @Body() wanted: FirstAdministrator,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<void> {
    const founder = await this.tries.one({ found: String(request.ip) }, () => this.accounts.found(wanted));
    if (!founder) throw conflict('The first administrator is there already. Sign in instead.');
    await this.begin(founder, request, response);
  }

  @For('administrator')
  @Get('accounts')
  async list(): Promise<AccountRow[]> {
    return (await this.accounts.list()).map(accountRowOf);
  }

  @For('administrator')
  @Post('accounts')
  async create(@Acting() named: Named, @Body() wanted: NewAccount): Promise<AccountRow> {
    const account = await this.accounts.prepared(wanted, true);
    const id = await this.acts.once(named, 'make an account', async () => (await this.accounts.insert(account)).id);
    return accountRowOf((await this.accounts.byId(id))!);
  }

  /** A new session; the one this browser had until now ends. */
  private async begin(account: Account, request: Request, response: Response): Promise<void> {
    const before = await this.sessions.find(tokenOf(request));
    this.cookie.set(response, await this.sessions.begin(account));
    if (before) await this.sessions.end(before.session);
  }
}
