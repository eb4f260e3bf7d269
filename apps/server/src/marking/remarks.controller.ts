import { Body, Controller, Delete, Get, HttpCode, Patch, Post } from '@nestjs/common';
import { ChangeRemark, KeepRemark, RemarkOnMany, UseRemark } from '@ichnograph/contract';
import type { RemarkRow, RemarksGiven } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Acting } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Id } from '../common/ids.js';
import { Remarks } from './remarks.service.js';

/** Comments kept for use again. */
@For('teacher')
@Controller()
export class RemarksController {
  constructor(private readonly remarks: Remarks) {}

  @Get('publications/:id/remarks')
  ofPublication(@Who() { account }: SignedIn, @Id() id: string): Promise<RemarkRow[]> {
    return this.remarks.ofPublication(id, account.id);
  }

  @Post('remarks')
  async keep(@Acting() named: Named, @Body() wanted: KeepRemark): Promise<{ id: string }> {
    return { id: await this.remarks.keep(wanted, named) };
  }

  @Patch('remarks/:id')
  @HttpCode(204)
  change(@Who() { account }: SignedIn, @Id() id: string, @Body() { text }: ChangeRemark): Promise<void> {
    return this.remarks.change(id, text, account.id);
  }

  @Delete('remarks/:id')
  @HttpCode(204)
  remove(@Who() { account }: SignedIn, @Id() id: string): Promise<void> {
    return this.remarks.remove(id, account.id);
  }

  @Post('remarks/:id/uses')
  @HttpCode(204)
  used(@Who() { account }: SignedIn, @Id() id: string, @Body() wanted: UseRemark): Promise<void> {
    return this.remarks.used(id, wanted, account.id);
  }

  @Post('publications/:id/remarks-on-many')
  @HttpCode(200)
  onMany(@Acting() named: Named, @Id() id: string, @Body() wanted: RemarkOnMany): Promise<RemarksGiven> {
    return this.remarks.onMany(id, wanted, named);
  }

  @Post('remark-batches/:id/take-back')
  @HttpCode(200)
  takeBack(@Who() { account }: SignedIn, @Id() id: string): Promise<{ taken: number }> {
    return this.remarks.takeBack(id, account.id);
  }
}
