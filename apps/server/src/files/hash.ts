import { Param } from '@nestjs/common';
import type { PipeTransform } from '@nestjs/common';
import { isUpload } from '@ichnograph/core';
import { notFound } from '../common/problem.js';

class HashPipe implements PipeTransform<string, string> {
  transform(value: string): string {
    if (!isUpload(value)) throw notFound('file');
    return value;
  }
}

/** The hash in an address; what is none names no file. */
export const HashParam = (): ParameterDecorator => Param('hash', new HashPipe());
