import { Controller, Get } from '@nestjs/common';
import type { ClassInsight, Growth } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Id } from '../common/ids.js';
import { ClassInsightService } from './class-insight.service.js';

/** What the maps of a class say together. */
@Controller()
export class ClassInsightController {
  constructor(private readonly insight: ClassInsightService) {}

  @For('teacher')
  @Get('publications/:id/insight')
  of(@Who() { account }: SignedIn, @Id() id: string): Promise<ClassInsight> {
    return this.insight.of(id, account.id);
  }

  @For('teacher')
  @Get('publications/:id/growth')
  growth(@Who() { account }: SignedIn, @Id() id: string): Promise<Growth[]> {
    return this.insight.growth(id, account.id);
  }
}
