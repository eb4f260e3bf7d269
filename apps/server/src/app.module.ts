import { Global, Module } from '@nestjs/common';
import type { DynamicModule, Type } from '@nestjs/common';
import { APP_FILTER } from '@nestjs/core';
import { TypeOrmModule } from '@nestjs/typeorm';
import type { Logger } from 'pino';
import { DataSource } from 'typeorm';
import { AccountsModule } from './accounts/index.js';
import { ActsModule } from './acts/index.js';
import { AssignmentsModule } from './assignments/index.js';
import { BeginningsModule } from './beginnings/index.js';
import { ClassInsightModule } from './class-insight/index.js';
import { ClassesModule } from './classes/index.js';
import { Clock } from './common/clock.js';
import { Database } from './common/database.js';
import { ProblemFilter } from './common/problem.filter.js';
import { withPatience } from './common/patience.js';
import { LOGGER, SETTINGS } from './common/tokens.js';
import { dataSourceOptions } from './database/data-source.js';
import { FilesModule } from './files/index.js';
import { GatheringsModule } from './gatherings/index.js';
import { GradebookModule } from './gradebook/index.js';
import { LiveModule } from './live/index.js';
import { MarkingModule } from './marking/index.js';
import type { Settings } from './settings.js';
import { OwnMapsModule } from './own-maps/index.js';
import { PapersModule } from './papers/index.js';
import { PersonsModule } from './persons/index.js';
import { ReviewsModule } from './reviews/index.js';
import { RevisingModule } from './revising/index.js';
import { SharedPagesModule } from './shared-pages/index.js';
import { SharesModule } from './shares/index.js';
import { SheetsModule } from './sheets/index.js';
import { ShowingsModule } from './showings/index.js';
import { SubmissionsModule } from './submissions/index.js';
import { TodayModule } from './today/index.js';
import { VersionsModule } from './versions/index.js';
import { WorksModule } from './works/index.js';

export interface Outside {
  settings: Settings;
  logger: Logger;
  clock: Clock;
  extras?: Type[];
}

/** What every feature may ask for and none makes: settings, the log, the present. */
@Global()
@Module({})
class OutsideModule {
  static with({ settings, logger, clock }: Outside): DynamicModule {
    return {
      module: OutsideModule,
      providers: [
        { provide: SETTINGS, useValue: settings },
        { provide: LOGGER, useValue: logger },
        { provide: Clock, useValue: clock },
        Database,
        { provide: APP_FILTER, useFactory: () => new ProblemFilter(logger) },
      ],
      exports: [SETTINGS, LOGGER, Clock, Database],
    };
  }
}

/** The whole server, a module a feature. `extras` are modules from outside it, such as the demo's sign-in. */
@Module({})
export class AppModule {
  static with(outside: Outside): DynamicModule {
    return {
      module: AppModule,
      imports: [
        OutsideModule.with(outside),
        TypeOrmModule.forRootAsync({
          useFactory: () => ({ ...dataSourceOptions(outside.settings), retryAttempts: 2, retryDelay: 1000 }),
          dataSourceFactory: async (options) => withPatience(await new DataSource(options!).initialize()),
        }),
        ActsModule,
        AccountsModule,
        ClassesModule,
        AssignmentsModule,
        LiveModule,
        FilesModule,
        SheetsModule,
        BeginningsModule,
        WorksModule,
        SubmissionsModule,
        VersionsModule,
        OwnMapsModule,
        GatheringsModule,
        ShowingsModule,
        MarkingModule,
        ReviewsModule,
        ClassInsightModule,
        PapersModule,
        SharesModule,
        SharedPagesModule,
        GradebookModule,
        RevisingModule,
        PersonsModule,
        TodayModule,
        ...(outside.extras ?? []),
      ],
    };
  }
}
