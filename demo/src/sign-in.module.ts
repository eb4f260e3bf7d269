import { Controller, Get, HttpCode, Module, Param, Post, Res } from '@nestjs/common';
import type { DemoPerson } from '@ichnograph/contract';
import {
  accountRowOf,
  AccountsModule,
  AccountsService,
  notFound,
  Open,
  SessionCookie,
  SessionsService,
} from '@ichnograph/server';
import type { Response } from 'express';
import { FIRST_PAGE } from './people.js';

/** One-click sign-in for the made-up people. Loaded only where the made-up school is; elsewhere it does not exist. */
@Open()
@Controller('demo')
export class DemoSignInController {
  constructor(
    private readonly accounts: AccountsService,
    private readonly sessions: SessionsService,
    private readonly cookie: SessionCookie,
  ) {}

  @Get('people')
  async people(): Promise<DemoPerson[]> {
    const everyone = await this.accounts.list();
    return Object.entries(FIRST_PAGE).flatMap(([name, who]) => {
      const account = everyone.find((one) => one.name === name);
      return account ? [{ ...accountRowOf(account), who }] : [];
    });
  }

  @Post('sign-in/:name')
  @HttpCode(204)
  async signIn(@Param('name') name: string, @Res({ passthrough: true }) response: Response): Promise<void> {
    const account = (await this.accounts.list()).find((one) => one.name === name);
    if (!account) throw notFound('person');
    this.cookie.set(response, await this.sessions.begin(account));
  }
}

@Module({ imports: [AccountsModule], controllers: [DemoSignInController] })
export class DemoSignInModule {}
