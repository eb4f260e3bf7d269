import { Body, Controller, Get, HttpCode, Put } from '@nestjs/common';
import { GiveSecondMark, SetSecondMarker } from '@ichnograph/contract';
import type { SecondMarking, SecondMarkRow } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Id } from '../common/ids.js';
import { SecondMarkingService } from './second-marking.service.js';

/** Marking a second time, blind to the first. */
@For('teacher')
@Controller()
export class SecondMarkingController {
  constructor(private readonly marking: SecondMarkingService) {}

  @Get('publications/:id/second-marking')
  of(@Who() { account }: SignedIn, @Id() id: string): Promise<SecondMarking> {
    return this.marking.of(id, account.id);
  }

  @Put('publications/:id/second-marker')
  @HttpCode(204)
  appoint(@Who() { account }: SignedIn, @Id() id: string, @Body() { accountId }: SetSecondMarker): Promise<void> {
    return this.marking.appoint(id, accountId, account.id);
  }

  @Get('submissions/:id/second-marks')
  given(@Who() { account }: SignedIn, @Id() id: string): Promise<SecondMarkRow[]> {
    return this.marking.given(id, account.id);
  }

  @Put('submissions/:id/second-marks')
  @HttpCode(204)
  give(@Who() { account }: SignedIn, @Id() id: string, @Body() wanted: GiveSecondMark): Promise<void> {
    return this.marking.give(id, wanted, account.id);
  }
}
