import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { BeginningsModule } from '../beginnings/index.js';
import { ClassesModule } from '../classes/index.js';
import { GatheringsModule } from '../gatherings/index.js';
import { MarkingModule } from '../marking/index.js';
import { ReviewsModule } from '../reviews/index.js';
import { SharedPagesModule } from '../shared-pages/index.js';
import { SharesModule } from '../shares/index.js';
import { SheetsModule } from '../sheets/index.js';
import { ShowingsModule } from '../showings/index.js';
import { SubmissionsModule } from '../submissions/index.js';
import { VersionsModule } from '../versions/index.js';
import { WorksModule } from '../works/index.js';
import { FilesModule } from '../files/index.js';
import { OwnMapsModule } from '../own-maps/index.js';
import { PersonsController } from './persons.controller.js';
import { PersonsService } from './persons.service.js';

@Module({
  imports: [
    AccountsModule,
    AssignmentsModule,
    BeginningsModule,
    ClassesModule,
    FilesModule,
    GatheringsModule,
    MarkingModule,
    OwnMapsModule,
    ReviewsModule,
    SharedPagesModule,
    SharesModule,
    SheetsModule,
    ShowingsModule,
    SubmissionsModule,
    VersionsModule,
    WorksModule,
  ],
  controllers: [PersonsController],
  providers: [PersonsService],
})
export class PersonsModule {}
