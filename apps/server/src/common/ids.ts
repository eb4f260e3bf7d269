import { Param } from '@nestjs/common';
import type { PipeTransform } from '@nestjs/common';
import { notFound } from './problem.js';

/** The one exact form of an id, as `randomUUID` makes it: anything else names nothing. */
export const ID_FORM = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;

class IdPipe implements PipeTransform<string, string> {
  transform(value: string): string {
    if (!ID_FORM.test(value)) throw notFound('thing');
    return value;
  }
}

/** An id in the address. One of another form never reaches the database, which forgives blanks and letters' cases. */
export const Id = (name = 'id'): ParameterDecorator => Param(name, new IdPipe());
