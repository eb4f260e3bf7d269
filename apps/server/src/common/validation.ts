import { ValidationPipe } from '@nestjs/common';
import type { ValidationError } from 'class-validator';
import { refused } from './problem.js';
import type { Place } from './problem.js';

function placesOf(errors: readonly ValidationError[], at = '$'): Place[] {
  return errors.flatMap((error) => [
    ...Object.entries(error.constraints ?? {}).map(([rule, reason]) => ({
      path: `${at}.${error.property}`,
      reason: rule === 'whitelistValidation' ? 'is not known here' : reason,
    })),
    ...placesOf(error.children ?? [], `${at}.${error.property}`),
  ]);
}

/** A list of faults that nobody would read to its end helps nobody. */
const MOST_SAID = 20;

/** Request classes are closed: unknown properties are refused with their path. */
export const validation = (): ValidationPipe =>
  new ValidationPipe({
    whitelist: true,
    forbidNonWhitelisted: true,
    transform: true,
    exceptionFactory: (errors) => {
      const places = placesOf(errors).slice(0, MOST_SAID);
      return refused(
        places.map(({ reason }) => sentence(reason)).join(' ') || 'Something in the form is wrong.',
        places,
      );
    },
  });

const sentence = (reason: string): string => `${reason.charAt(0).toUpperCase()}${reason.slice(1)}.`;
