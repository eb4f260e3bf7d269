import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ClassesModule } from '../classes/index.js';
import { LiveModule } from '../live/index.js';
import { SharesController } from './shares.controller.js';
import { SharesKeeper } from './shares.keeper.js';
import { SharesService } from './shares.service.js';

@Module({
  imports: [AccountsModule, ClassesModule, LiveModule],
  controllers: [SharesController],
  providers: [SharesKeeper, SharesService],
  exports: [SharesKeeper, SharesService],
})
export class SharesModule {}
