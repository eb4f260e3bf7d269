import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { FilesController } from './files.controller.js';
import { FilesService } from './files.service.js';
import { Store } from './store.js';

@Module({
  imports: [AccountsModule],
  controllers: [FilesController],
  providers: [FilesService, Store],
  exports: [FilesService],
})
export class FilesModule {}
