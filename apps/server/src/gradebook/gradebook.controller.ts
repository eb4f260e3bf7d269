import { Controller, Get, Res } from '@nestjs/common';
import type { Gradebook } from '@ichnograph/contract';
import type { Response } from 'express';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Id } from '../common/ids.js';
import { sendFile } from '../common/send-file.js';
import { GradebookService } from './gradebook.service.js';
import { gradebookCsv, gradebookXlsx } from './written-out.js';

@For('teacher')
@Controller('classes/:id')
export class GradebookController {
  constructor(private readonly gradebooks: GradebookService) {}

  @Get('gradebook')
  of(@Who() { account }: SignedIn, @Id() id: string): Promise<Gradebook> {
    return this.gradebooks.of(id, account.id);
  }

  @Get('gradebook.csv')
  async csv(@Who() { account }: SignedIn, @Id() id: string, @Res() response: Response): Promise<void> {
    const gradebook = await this.gradebooks.of(id, account.id);
    const name = `Marks, ${gradebook.className}.csv`;
    sendFile(response, { name, type: 'text/csv; charset=utf-8', content: gradebookCsv(gradebook) });
  }

  @Get('gradebook.xlsx')
  async xlsx(@Who() { account }: SignedIn, @Id() id: string, @Res() response: Response): Promise<void> {
    const gradebook = await this.gradebooks.of(id, account.id);
    sendFile(response, {
      name: `Marks, ${gradebook.className}.xlsx`,
      type: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
      content: await gradebookXlsx(gradebook),
    });
  }
}
