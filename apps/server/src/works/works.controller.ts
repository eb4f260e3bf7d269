import { Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import type { WorkDetail } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { WorksService } from './works.service.js';

@Controller()
export class WorksController {
  constructor(private readonly works: WorksService) {}

  @For('student')
  @Post('publications/:id/work')
  async begin(@Who() { account }: SignedIn, @Param('id') id: string): Promise<WorkDetail> {
    return this.works.detail(await this.works.begin(id, account), account);
  }

  @Get('works/:id')
  detail(@Who() { account }: SignedIn, @Param('id') id: string): Promise<WorkDetail> {
    return this.works.detail(id, account);
  }

  @For('student')
  @Post('works/:id/revise')
  @HttpCode(204)
  revise(@Who() { account }: SignedIn, @Param('id') id: string): Promise<void> {
    return this.works.revise(id, account);
  }
}
