import { Body, Controller, Delete, Get, HttpCode, Param, Post, Res } from '@nestjs/common';
import { NewSharedPage } from '@ichnograph/contract';
import type { SharedPageRow, SharedPages } from '@ichnograph/contract';
import type { Response } from 'express';
import { For, Open, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Id } from '../common/ids.js';
import { NOT_THERE, SharedPagesService } from './shared-pages.service.js';
import type { Form } from './shared-pages.service.js';

/** Pages of maps for others: made, listed and taken back by those whose maps they are, read by whoever has the link. */
@Controller()
export class SharedPagesController {
  constructor(private readonly pages: SharedPagesService) {}

  @For('student', 'teacher')
  @Get('own-maps/:id/pages')
  ofOwn(@Who() { account }: SignedIn, @Id() ownMapId: string): Promise<SharedPages> {
    return this.pages.of({ ownMapId }, account);
  }

  @For('student', 'teacher')
  @Post('own-maps/:id/pages')
  makeOfOwn(
    @Who() { account }: SignedIn,
    @Id() ownMapId: string,
    @Body() wanted: NewSharedPage,
  ): Promise<SharedPageRow> {
    return this.pages.make({ ownMapId }, wanted, account);
  }

  @Get('works/:id/pages')
  ofWork(@Who() { account }: SignedIn, @Id() workId: string): Promise<SharedPages> {
    return this.pages.of({ workId }, account);
  }

  @For('student')
  @Post('works/:id/pages')
  makeOfWork(
    @Who() { account }: SignedIn,
    @Id() workId: string,
    @Body() wanted: NewSharedPage,
  ): Promise<SharedPageRow> {
    return this.pages.make({ workId }, wanted, account);
  }

  @Delete('pages/:id')
  @HttpCode(204)
  takeBack(@Who() { account }: SignedIn, @Id() id: string): Promise<void> {
    return this.pages.takeBack(id, account);
  }

  @Open()
  @Get('shared/:token')
  page(@Param('token') token: string, @Res() response: Response): Promise<void> {
    return this.send(token, 'page', response);
  }

  /** The only page of all that may stand in a frame of somebody else's. */
  @Open()
  @Get('shared/:token/embed')
  embed(@Param('token') token: string, @Res() response: Response): Promise<void> {
    return this.send(token, 'embed', response);
  }

  private async send(token: string, form: Form, response: Response): Promise<void> {
    const html = await this.pages.read(token, form);
    if (form === 'embed') response.removeHeader('X-Frame-Options');
    response
      .status(html === null ? 404 : 200)
      .set({
        // It holds all it shows, and does nothing.
        'Content-Security-Policy': `default-src 'none'; style-src 'unsafe-inline'; img-src data:; font-src data:; base-uri 'none'; form-action 'none'; frame-ancestors ${form === 'embed' ? '*' : "'none'"}`,
        'X-Robots-Tag': 'noindex',
        'Cache-Control': 'no-store',
      })
      .type('html')
      .send(html ?? NOT_THERE);
  }
}
