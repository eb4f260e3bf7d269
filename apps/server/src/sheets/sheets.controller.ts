import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put, Res } from '@nestjs/common';
import { BringInAssignment, NewPublication, NewTrialMap, SavePart } from '@ichnograph/contract';
import type { AssignmentDetail, SheetDetail, SheetNow, TrialMapDetail } from '@ichnograph/contract';
import type { Response } from 'express';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Acting } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Id } from '../common/ids.js';
import { PublicationsService } from './publications.service.js';
import { SheetsService } from './sheets.service.js';
import { TrialMapsService } from './trial-maps.service.js';

@For('teacher')
@Controller('assignments')
export class SheetsController {
  constructor(
    private readonly sheets: SheetsService,
    private readonly publications: PublicationsService,
    private readonly trialMaps: TrialMapsService,
  ) {}

  @Post()
  async bringIn(
    @Who() { account }: SignedIn,
    @Acting() named: Named,
    @Body() { file }: BringInAssignment,
  ): Promise<AssignmentDetail> {
    return this.sheets.detail(await this.sheets.bringIn(file, named), account);
  }

  @Get(':id')
  detail(@Who() { account }: SignedIn, @Id() id: string): Promise<AssignmentDetail> {
    return this.sheets.detail(id, account);
  }

  /** The assignment written out again, as a file to keep or pass on. */
  @Get(':id/file')
  async file(@Who() { account }: SignedIn, @Id() id: string, @Res() response: Response): Promise<void> {
    const { file, title } = await this.sheets.detail(id, account);
    response.attachment(`${title.replace(/[^\p{L}\p{Nd} -]/gu, '').trim() || 'assignment'}.json`);
    response.type('application/json').send(`${JSON.stringify(file, null, 2)}\n`);
  }

  /** Asked from a pile, too, whose maps were checked with an earlier revision. */
  @Get(':id/ahead')
  async ahead(@Who() { account }: SignedIn, @Id() id: string): Promise<Pick<SheetNow, 'ahead'>> {
    return { ahead: await this.sheets.isAheadFor(id, account.id) };
  }

  @Get(':id/sheet')
  sheet(@Who() { account }: SignedIn, @Id() id: string): Promise<SheetDetail> {
    return this.sheets.open(id, account);
  }

  @Put(':id/sheet/:part')
  async save(
    @Who() { account }: SignedIn,
    @Id() id: string,
    @Param('part') part: string,
    @Body() wanted: SavePart,
  ): Promise<{ version: number }> {
    return { version: await this.sheets.save(id, part, wanted, account) };
  }

  @Post(':id/here')
  @HttpCode(200)
  here(@Who() { account }: SignedIn, @Id() id: string): Promise<SheetNow> {
    return this.sheets.here(id, account);
  }

  @Get(':id/trials')
  trials(@Who() { account }: SignedIn, @Id() id: string): Promise<TrialMapDetail[]> {
    return this.trialMaps.list(id, account);
  }

  @Post(':id/trials')
  async addTrial(@Acting() named: Named, @Id() id: string, @Body() wanted: NewTrialMap): Promise<{ id: string }> {
    return { id: await this.trialMaps.add(id, wanted, named) };
  }

  @Delete(':id/trials/:trialId')
  @HttpCode(204)
  removeTrial(@Who() { account }: SignedIn, @Id() id: string, @Id('trialId') trialId: string): Promise<void> {
    return this.trialMaps.remove(id, trialId, account);
  }

  @Post(':id/publications')
  async publish(
    @Who() { account }: SignedIn,
    @Acting() named: Named,
    @Id() id: string,
    @Body() wanted: NewPublication,
  ): Promise<AssignmentDetail> {
    await this.publications.publish(id, wanted, named);
    return this.sheets.detail(id, account);
  }
}
