import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ActsModule } from '../acts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassesModule } from '../classes/index.js';
import { LiveModule } from '../live/index.js';
import { OwnMapsModule } from '../own-maps/index.js';
import { SharesModule } from '../shares/index.js';
import { SheetsModule } from '../sheets/index.js';
import { GatheringsController } from './gatherings.controller.js';
import { GatheringsKeeper } from './gatherings.keeper.js';
import { GatheringsService } from './gatherings.service.js';
import { Ideas } from './ideas.service.js';
import { IdeasTold } from './ideas-told.service.js';
import { MadeOfIdeasService } from './made-of-ideas.service.js';

@Module({
  imports: [
    AccountsModule,
    ActsModule,
    AssignmentsModule,
    ClassesModule,
    LiveModule,
    OwnMapsModule,
    SharesModule,
    SheetsModule,
  ],
  controllers: [GatheringsController],
  providers: [GatheringsKeeper, GatheringsService, Ideas, IdeasTold, MadeOfIdeasService],
  exports: [GatheringsKeeper, GatheringsService, Ideas],
})
export class GatheringsModule {}
