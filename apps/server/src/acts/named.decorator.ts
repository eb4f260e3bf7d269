import { randomUUID } from 'node:crypto';
import { createParamDecorator } from '@nestjs/common';
import type { ExecutionContext } from '@nestjs/common';
import { ACT_HEADER } from '@ichnograph/contract';
import type { Request } from 'express';
import { ID_FORM } from '../common/ids.js';
import { refused, signedOut } from '../common/problem.js';
import type { Named } from './acts.service.js';

/** Who asks, and the name their client gave what it asks for. One without a name is an act of its own each time. */
export const Acting = createParamDecorator((_: unknown, context: ExecutionContext): Named => {
  const request = context.switchToHttp().getRequest<Request & { signedIn?: { account: { id: string } } }>();
  if (!request.signedIn) throw signedOut();
  const name = request.headers[ACT_HEADER];
  if (name !== undefined && (typeof name !== 'string' || !ID_FORM.test(name)))
    throw refused('The name of this act is not a proper one. Load the page again.');
  return { accountId: request.signedIn.account.id, act: name ?? randomUUID() };
});

/** An act of the server's own making, such as the demo's. */
export const actOf = (accountId: string): Named => ({ accountId, act: randomUUID() });
