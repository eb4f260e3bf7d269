import { Controller, Get, HttpCode, Post, Res } from '@nestjs/common';
import type { Response } from 'express';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Id } from '../common/ids.js';
import { PersonsService } from './persons.service.js';

@For('administrator')
@Controller('accounts')
export class PersonsController {
  constructor(private readonly persons: PersonsService) {}

  @Get(':id/kept')
  async kept(@Id() id: string, @Res() response: Response): Promise<void> {
    const kept = await this.persons.kept(id);
    response.attachment('what is kept.json');
    response.type('application/json').send(`${JSON.stringify(kept, null, 2)}\n`);
  }

  @Post(':id/erase')
  @HttpCode(204)
  erase(@Who() { account }: SignedIn, @Id() id: string): Promise<void> {
    return this.persons.erase(id, account);
  }
}
