import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { FilesController } from './files.controller.js';
import { Drawing } from './drawing.js';
import { FilesService } from './files.service.js';
import { Store } from './store.js';
import { FilesKeeper } from './files.keeper.js';

@Module({
  imports: [AccountsModule],
  controllers: [FilesController],
  providers: [FilesKeeper, Drawing, FilesService, Store],
  exports: [FilesKeeper, FilesService],
})
export class FilesModule {}
