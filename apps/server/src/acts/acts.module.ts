import { Module } from '@nestjs/common';
import { Acts } from './acts.service.js';

@Module({ providers: [Acts], exports: [Acts] })
export class ActsModule {}
