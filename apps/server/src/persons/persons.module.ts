import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { FilesModule } from '../files/index.js';
import { LiveModule } from '../live/index.js';
import { OwnMapsModule } from '../own-maps/index.js';
import { PersonsController } from './persons.controller.js';
import { PersonsService } from './persons.service.js';

@Module({
  imports: [FilesModule, OwnMapsModule, AccountsModule, LiveModule],
  controllers: [PersonsController],
  providers: [PersonsService],
})
export class PersonsModule {}
