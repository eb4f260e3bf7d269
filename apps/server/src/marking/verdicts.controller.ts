import { Body, Controller, Get, HttpCode, Put } from '@nestjs/common';
import { GiveVerdict } from '@ichnograph/contract';
import type { ClassPropositions, MapProposition, VerdictGiven } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Id } from '../common/ids.js';
import { Verdicts } from './verdicts.service.js';

/** The teacher's word on what maps say. */
@Controller()
export class VerdictsController {
  constructor(private readonly verdicts: Verdicts) {}

  @For('teacher')
  @Get('publications/:id/propositions')
  ofClass(@Who() { account }: SignedIn, @Id() id: string): Promise<ClassPropositions> {
    return this.verdicts.ofClass(id, account.id);
  }

  @For('teacher')
  @Put('publications/:id/verdicts')
  judgeClass(@Who() { account }: SignedIn, @Id() id: string, @Body() wanted: GiveVerdict): Promise<VerdictGiven> {
    return this.verdicts.judgeClass(id, wanted, account.id);
  }

  @For('teacher')
  @Put('submissions/:id/verdicts')
  @HttpCode(204)
  judgeMap(@Who() { account }: SignedIn, @Id() id: string, @Body() wanted: GiveVerdict): Promise<void> {
    return this.verdicts.judgeMap(id, wanted, account.id);
  }

  @Get('submissions/:id/verdicts')
  ofMap(@Who() { account }: SignedIn, @Id() id: string): Promise<MapProposition[]> {
    return this.verdicts.ofMap(id, account.id);
  }
}
