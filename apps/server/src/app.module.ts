import { Global, Module } from '@nestjs/common';
import type { DynamicModule, Type } from '@nestjs/common';
import { APP_FILTER, APP_GUARD } from '@nestjs/core';
import { ThrottlerModule } from '@nestjs/throttler';
import { TypeOrmModule } from '@nestjs/typeorm';
import type { Logger } from 'pino';
import { AccountsController } from './accounts/accounts.controller.js';
import { AccountsService } from './accounts/accounts.service.js';
import { SessionCookie } from './accounts/session-cookie.js';
import { SessionGuard } from './accounts/session.guard.js';
import { SessionsService } from './accounts/sessions.service.js';
import { throttling } from './accounts/throttling.js';
import { AssignmentsController } from './assignments/assignments.controller.js';
import { AssignmentsService } from './assignments/assignments.service.js';
import { ClassesController } from './classes/classes.controller.js';
import { ClassesService } from './classes/classes.service.js';
import { Clock } from './common/clock.js';
import { ProblemFilter } from './common/problem.filter.js';
import { LOGGER, SETTINGS } from './common/tokens.js';
import { dataSourceOptions } from './database/data-source.js';
import { LiveService } from './live/live.service.js';
import { UpdateLog } from './live/update-log.js';
import { MarkingController } from './marking/marking.controller.js';
import { MarkingService } from './marking/marking.service.js';
import { PileService } from './marking/pile.service.js';
import type { Settings } from './settings.js';
import { CheckPool } from './submissions/check-pool.js';
import { HandInService } from './submissions/hand-in.service.js';
import { SubmissionsController } from './submissions/submissions.controller.js';
import { SubmissionsService } from './submissions/submissions.service.js';
import { TodayService } from './works/today.service.js';
import { WorksController } from './works/works.controller.js';
import { WorksService } from './works/works.service.js';

const SERVICES = [
  AccountsService, SessionsService, SessionCookie, ClassesService, AssignmentsService, UpdateLog, LiveService, WorksService,
  TodayService, CheckPool, HandInService, SubmissionsService, MarkingService, PileService,
];

export interface Outside { settings: Settings; logger: Logger; clock: Clock; extras?: Type[] }

/** The whole server. `extras` are modules from outside it, such as the demo's sign-in. */
@Global()
@Module({})
export class AppModule {
  static with({ settings, logger, clock, extras = [] }: Outside): DynamicModule {
    return {
      module: AppModule,
      imports: [TypeOrmModule.forRoot(dataSourceOptions(settings)), ThrottlerModule.forRoot(throttling), ...extras],
      controllers: [
        AccountsController, ClassesController, AssignmentsController, WorksController, SubmissionsController, MarkingController,
      ],
      providers: [
        { provide: SETTINGS, useValue: settings }, { provide: LOGGER, useValue: logger }, { provide: Clock, useValue: clock },
        { provide: APP_GUARD, useClass: SessionGuard },
        { provide: APP_FILTER, useFactory: () => new ProblemFilter(logger) },
        ...SERVICES,
      ],
      exports: [...SERVICES, Clock, SETTINGS, LOGGER],
    };
  }
}
