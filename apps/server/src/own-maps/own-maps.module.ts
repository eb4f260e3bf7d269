import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ActsModule } from '../acts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassesModule } from '../classes/index.js';
import { LiveModule } from '../live/index.js';
import { SharesModule } from '../shares/index.js';
import { VersionsModule } from '../versions/index.js';
import { WorksModule } from '../works/index.js';
import { OwnMapsController } from './own-maps.controller.js';
import { OwnMapsService } from './own-maps.service.js';
import { OwnMapsKeeper } from './own-maps.keeper.js';

@Module({
  imports: [
    ClassesModule,
    AccountsModule,
    ActsModule,
    AssignmentsModule,
    LiveModule,
    SharesModule,
    VersionsModule,
    WorksModule,
  ],
  controllers: [OwnMapsController],
  providers: [OwnMapsKeeper, OwnMapsService],
  exports: [OwnMapsKeeper, OwnMapsService],
})
export class OwnMapsModule {}
