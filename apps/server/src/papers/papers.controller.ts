import { Body, Controller, Delete, Get, HttpCode, Post, Query, Res } from '@nestjs/common';
import { BeginExport, DrawMap } from '@ichnograph/contract';
import type { ExportState } from '@ichnograph/contract';
import type { Response } from 'express';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { sendFile } from '../common/send-file.js';
import { Id } from '../common/ids.js';
import { Drawings } from './drawings.service.js';
import { Exports } from './exports.service.js';
import { Papers } from './papers.service.js';

const TYPES = { zip: 'application/zip', maps: 'application/zip', pdf: 'application/pdf' } as const;

/** Papers to print and to keep. */
@Controller()
export class PapersController {
  constructor(
    private readonly papers: Papers,
    private readonly exports: Exports,
    private readonly drawings: Drawings,
  ) {}

  /** A map as a picture, a page or a document; whoever sends it has it. */
  @Post('drawings')
  @HttpCode(200)
  async draw(@Who() { account }: SignedIn, @Body() wanted: DrawMap, @Res() response: Response): Promise<void> {
    sendFile(response, await this.drawings.draw(wanted, account.id));
  }

  /** A marked map as PDF; with `pages=one` the map alone, on a single page with nothing cut. */
  @Get('submissions/:id/paper')
  async paper(
    @Who() { account }: SignedIn,
    @Id() id: string,
    @Query('pages') pages: unknown,
    @Res() response: Response,
  ): Promise<void> {
    const { name, content } = await this.papers.pdf(id, account, pages === 'one');
    sendFile(response, { name: `${name}.pdf`, type: TYPES.pdf, content });
  }

  @For('teacher')
  @Post('publications/:id/exports')
  begin(@Who() { account }: SignedIn, @Id() id: string, @Body() { as }: BeginExport): Promise<ExportState> {
    return this.exports.begin(id, as, account);
  }

  @For('teacher')
  @Get('exports/:id')
  state(@Who() { account }: SignedIn, @Id() id: string): ExportState {
    return this.exports.state(id, account.id);
  }

  @For('teacher')
  @Delete('exports/:id')
  @HttpCode(204)
  cancel(@Who() { account }: SignedIn, @Id() id: string): void {
    this.exports.cancel(id, account.id);
  }

  @For('teacher')
  @Get('exports/:id/file')
  file(@Who() { account }: SignedIn, @Id() id: string, @Res() response: Response): void {
    const { name, as, content } = this.exports.content(id, account.id);
    sendFile(response, { name: `${name}.${as === 'pdf' ? 'pdf' : 'zip'}`, type: TYPES[as], content });
  }
}
