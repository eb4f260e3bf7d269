import { Global, Module } from '@nestjs/common';
import type { DynamicModule, Type } from '@nestjs/common';
import { APP_FILTER, APP_GUARD } from '@nestjs/core';
import { ThrottlerModule } from '@nestjs/throttler';
import { TypeOrmModule } from '@nestjs/typeorm';
import type { Logger } from 'pino';
import {
  AccountsController,
  AccountsService,
  SessionCookie,
  SessionGuard,
  SessionsService,
  throttling,
} from './accounts/index.js';
import { AssignmentsController, AssignmentsService } from './assignments/index.js';
import { ClassesController, ClassesService } from './classes/index.js';
import { Clock } from './common/clock.js';
import { ProblemFilter } from './common/problem.filter.js';
import { LOGGER, SETTINGS } from './common/tokens.js';
import { dataSourceOptions } from './database/data-source.js';
import { LiveService, UpdateLog } from './live/index.js';
import { MarkingController, MarkingService, PileService } from './marking/index.js';
import type { Settings } from './settings.js';
import { CheckPool, HandInService, SubmissionsController, SubmissionsService } from './submissions/index.js';
import { TodayController, TodayService } from './today/index.js';
import { WorksController, WorksService } from './works/index.js';

const SERVICES = [
  AccountsService,
  SessionsService,
  SessionCookie,
  ClassesService,
  AssignmentsService,
  UpdateLog,
  LiveService,
  WorksService,
  TodayService,
  CheckPool,
  HandInService,
  SubmissionsService,
  MarkingService,
  PileService,
];

export interface Outside {
  settings: Settings;
  logger: Logger;
  clock: Clock;
  extras?: Type[];
}

/** The whole server. `extras` are modules from outside it, such as the demo's sign-in. */
@Global()
@Module({})
export class AppModule {
  static with({ settings, logger, clock, extras = [] }: Outside): DynamicModule {
    return {
      module: AppModule,
      imports: [
        TypeOrmModule.forRoot({ ...dataSourceOptions(settings), retryAttempts: 2, retryDelay: 1000 }),
        ThrottlerModule.forRoot(throttling),
        ...extras,
      ],
      controllers: [
        AccountsController,
        ClassesController,
        AssignmentsController,
        WorksController,
        SubmissionsController,
        MarkingController,
        TodayController,
      ],
      providers: [
        { provide: SETTINGS, useValue: settings },
        { provide: LOGGER, useValue: logger },
        { provide: Clock, useValue: clock },
        { provide: APP_GUARD, useClass: SessionGuard },
        { provide: APP_FILTER, useFactory: () => new ProblemFilter(logger) },
        ...SERVICES,
      ],
      exports: [...SERVICES, Clock, SETTINGS, LOGGER],
    };
  }
}
