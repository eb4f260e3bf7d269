import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { FilesController } from './files.controller.js';
import { Drawing } from './drawing.js';
import { FilesService } from './files.service.js';
import { Store } from './store.js';

@Module({
  imports: [AccountsModule],
  controllers: [FilesController],
  providers: [Drawing, FilesService, Store],
  exports: [FilesService],
})
export class FilesModule {}
