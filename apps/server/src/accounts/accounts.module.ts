import { Module } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { ActsModule } from '../acts/index.js';
import { AccountsController } from './accounts.controller.js';
import { AccountsService } from './accounts.service.js';
import { KnownDevices } from './known-devices.service.js';
import { SessionCookie } from './session-cookie.js';
import { SessionGuard } from './session.guard.js';
import { SessionsService } from './sessions.service.js';
import { Tries } from './tries.js';
import { AccountsKeeper } from './accounts.keeper.js';

@Module({
  imports: [ActsModule],
  controllers: [AccountsController],
  providers: [
    AccountsKeeper,
    AccountsService,
    SessionsService,
    SessionCookie,
    KnownDevices,
    Tries,
    { provide: APP_GUARD, useClass: SessionGuard },
  ],
  exports: [AccountsKeeper, AccountsService, SessionsService, SessionCookie, Tries],
})
export class AccountsModule {}
