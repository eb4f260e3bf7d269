import { Body, Controller, Delete, Get, HttpCode, Patch, Post, Put } from '@nestjs/common';
import {
  ArrangeIdeas,
  ChangeGathering,
  FindGathering,
  MakeOfIdeas,
  NewGathering,
  SendIdea,
} from '@ichnograph/contract';
import type { GatheringDetail, GatheringRow, MadeRow } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Acting } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Id } from '../common/ids.js';
import { GatheringsService } from './gatherings.service.js';
import { Ideas } from './ideas.service.js';
import { MadeOfIdeasService } from './made-of-ideas.service.js';

@For('student', 'teacher')
@Controller('gatherings')
export class GatheringsController {
  constructor(
    private readonly gatherings: GatheringsService,
    private readonly ideas: Ideas,
    private readonly made: MadeOfIdeasService,
  ) {}

  @Get()
  list(@Who() { account }: SignedIn): Promise<GatheringRow[]> {
    return this.gatherings.list(account.id);
  }

  @For('teacher')
  @Post()
  async begin(@Acting() named: Named, @Body() wanted: NewGathering): Promise<{ id: string }> {
    return { id: await this.gatherings.begin(wanted, named) };
  }

  @Post('find')
  @HttpCode(200)
  async find(@Who() { account }: SignedIn, @Body() { code }: FindGathering): Promise<{ id: string }> {
    return { id: await this.gatherings.find(code, account.id) };
  }

  @Get(':id')
  detail(@Who() { account }: SignedIn, @Id() id: string): Promise<GatheringDetail> {
    return this.gatherings.detail(id, account);
  }

  @For('teacher')
  @Patch(':id')
  @HttpCode(204)
  change(@Who() { account }: SignedIn, @Id() id: string, @Body() wanted: ChangeGathering): Promise<void> {
    return this.gatherings.change(id, wanted, account.id);
  }

  @For('teacher')
  @Delete(':id')
  @HttpCode(204)
  remove(@Who() { account }: SignedIn, @Id() id: string): Promise<void> {
    return this.gatherings.remove(id, account.id);
  }

  @Post(':id/ideas')
  async send(@Acting() named: Named, @Id() id: string, @Body() wanted: SendIdea): Promise<{ id: string }> {
    return { id: await this.ideas.send(id, wanted, named) };
  }

  @Delete(':id/ideas/:sentId')
  @HttpCode(204)
  takeBack(@Who() { account }: SignedIn, @Id() id: string, @Id('sentId') sentId: string): Promise<void> {
    return this.ideas.takeBack(id, sentId, account.id);
  }

  @For('teacher')
  @Put(':id/ideas')
  @HttpCode(204)
  arrange(@Who() { account }: SignedIn, @Id() id: string, @Body() wanted: ArrangeIdeas): Promise<void> {
    return this.ideas.arrange(id, wanted, account.id);
  }

  @For('teacher')
  @Post(':id/made')
  make(
    @Who() { account }: SignedIn,
    @Acting() named: Named,
    @Id() id: string,
    @Body() wanted: MakeOfIdeas,
  ): Promise<MadeRow> {
    return this.made.make(id, wanted, account, named);
  }
}
