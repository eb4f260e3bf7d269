import { Body, Controller, Delete, Get, HttpCode, Post } from '@nestjs/common';
import { emptySheet, sheetOf } from '@ichnograph/core';
import { AmendRules, KeepReadyMade, NewSheet } from '@ichnograph/contract';
import type { ClassName, ReadyMadeRow, RulesPreview, SheetDetail } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Acting } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Id } from '../common/ids.js';
import { SheetsService } from '../sheets/index.js';
import { ReadyMadeService } from './ready-made.service.js';
import { StandingService } from './standing.service.js';

/** What an assignment begins with: nothing, a ready-made one, a copy, or what a class keeps. */
@For('teacher')
@Controller()
export class BeginningsController {
  constructor(
    private readonly sheets: SheetsService,
    private readonly readyMade: ReadyMadeService,
    private readonly standing: StandingService,
  ) {}

  @Post('assignments/sheets')
  async begin(@Who() { account }: SignedIn, @Acting() named: Named, @Body() wanted: NewSheet): Promise<SheetDetail> {
    return this.sheets.open(await this.begun(wanted, named), account);
  }

  private async begun({ copyOf, readyMade, forClass }: NewSheet, named: Named): Promise<string> {
    if (readyMade !== undefined) {
      const { sheet, maps } = await this.readyMade.beginning(readyMade);
      return this.sheets.begin(sheet, maps, named);
    }
    if (copyOf !== undefined) {
      const body = await this.sheets.copyable(copyOf, named.accountId);
      const title = `${body.title.slice(0, 290)} (copy)`;
      return this.sheets.begin(sheetOf({ ...body, title }), body, named);
    }
    if (forClass !== undefined) {
      const { sheet, follows } = await this.standing.beginning(forClass, named.accountId);
      return this.sheets.begin(sheet, NO_MAPS, named, { follows });
    }
    return this.sheets.begin(emptySheet(), NO_MAPS, named);
  }

  @Get('ready-made')
  readyMades(@Who() { account }: SignedIn): Promise<ReadyMadeRow[]> {
    return this.readyMade.list(account.id);
  }

  @Post('ready-made')
  async keep(@Acting() named: Named, @Body() wanted: KeepReadyMade): Promise<{ id: string }> {
    return { id: await this.readyMade.keep(wanted, named) };
  }

  @Delete('ready-made/:id')
  @HttpCode(204)
  remove(@Who() { account }: SignedIn, @Id() id: string): Promise<void> {
    return this.readyMade.remove(id, account.id);
  }

  @Get('standing-rules')
  inForce(@Who() { account }: SignedIn): Promise<ClassName[]> {
    return this.standing.inForce(account.id);
  }

  /** The sheet of a class's standing rules. */
  @Post('classes/:id/standing-rules')
  async rules(@Who() { account }: SignedIn, @Id() id: string): Promise<{ assignmentId: string }> {
    return { assignmentId: await this.standing.open(id, account) };
  }

  @Get('assignments/:id/amended-rules')
  preview(@Who() { account }: SignedIn, @Id() id: string): Promise<RulesPreview> {
    return this.standing.preview(id, account.id);
  }

  @Post('assignments/:id/amended-rules')
  @HttpCode(204)
  amend(@Acting() named: Named, @Id() id: string, @Body() { assignments }: AmendRules): Promise<void> {
    return this.standing.amend(id, assignments, named);
  }

  @Post('assignments/:id/follow-rules')
  @HttpCode(204)
  follow(@Acting() named: Named, @Id() id: string): Promise<void> {
    return this.standing.catchUp(id, named);
  }
}

const NO_MAPS = { starter: null, reference: null };
