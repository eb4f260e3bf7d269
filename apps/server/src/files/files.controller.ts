import { Body, Controller, Delete, Get, HttpCode, Post, Put, Query, Req, Res } from '@nestjs/common';
import { FileName } from '@ichnograph/contract';
import type { FileRow } from '@ichnograph/contract';
import type { Request, Response } from 'express';
import { Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { refused } from '../common/problem.js';
import { HashParam } from './hash.js';
import { FilesService } from './files.service.js';

@Controller('files')
export class FilesController {
  constructor(private readonly files: FilesService) {}

  @Get()
  mine(@Who() { account }: SignedIn): Promise<FileRow[]> {
    return this.files.of(account.id);
  }

  /** The body is the file, as `application/octet-stream`, whatever it is. */
  @Post()
  bring(@Who() { account }: SignedIn, @Query() { name }: FileName, @Req() request: Request): Promise<FileRow> {
    const bytes: unknown = request.body;
    if (!Buffer.isBuffer(bytes)) throw refused('Send the file itself, as application/octet-stream.');
    return this.files.bring(bytes, name, account.id);
  }

  @Post('sketches')
  sketch(@Who() { account }: SignedIn, @Query() { name }: FileName, @Body() body: object): Promise<FileRow> {
    return this.files.sketch(body, name, account.id);
  }

  @Get(':hash')
  async content(@HashParam() hash: string, @Req() request: Request, @Res() response: Response): Promise<void> {
    // Named by its content, it never changes; but who asks is looked at every time.
    const tag = `"${hash}"`;
    response.set({ 'Cache-Control': 'private, no-cache', ETag: tag });
    if (request.headers['if-none-match'] === tag) return void response.status(304).end();
    const { type, content, isPicture } = await this.files.content(hash);
    response.set({
      'Content-Type': type,
      'X-Content-Type-Options': 'nosniff',
      'Content-Security-Policy': "default-src 'none'; sandbox",
      'Content-Disposition': isPicture ? 'inline' : 'attachment',
    });
    response.end(content);
  }

  @Put(':hash/away')
  @HttpCode(204)
  putAway(@Who() { account }: SignedIn, @HashParam() hash: string): Promise<void> {
    return this.files.putAway(hash, true, account.id);
  }

  @Delete(':hash/away')
  @HttpCode(204)
  putBack(@Who() { account }: SignedIn, @HashParam() hash: string): Promise<void> {
    return this.files.putAway(hash, false, account.id);
  }

  @Get(':hash/sketch')
  strokes(@HashParam() hash: string): Promise<unknown> {
    return this.files.strokes(hash);
  }
}
