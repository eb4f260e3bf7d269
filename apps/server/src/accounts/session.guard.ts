import { createParamDecorator, Injectable, SetMetadata } from '@nestjs/common';
import type { CanActivate, ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Role } from '@ichnograph/contract';
import type { Request } from 'express';
import { forbidden, signedOut } from '../common/problem.js';
import type { SignedIn } from './sessions.service.js';

type SignedInRequest = Request & { signedIn?: SignedIn };

const OPEN = 'open to everyone';
const FOR = 'for roles';
const BEFORE_NEW_PASSWORD = 'before a first password is changed';
/** Routes that need no session. */
export const Open = (): MethodDecorator & ClassDecorator => SetMetadata(OPEN, true);
/** The routes that are there for those who still have a first password. */
export const BeforeNewPassword = (): MethodDecorator => SetMetadata(BEFORE_NEW_PASSWORD, true);
/** Routes for some roles only. Which things of theirs a person may see is decided where the things are. */
export const For = (...roles: Role[]): MethodDecorator & ClassDecorator => SetMetadata(FOR, roles);

/** Who asks: the account and session of the request's cookie. */
export const Who = createParamDecorator((_: unknown, context: ExecutionContext): SignedIn => {
  const { signedIn } = context.switchToHttp().getRequest<SignedInRequest>();
  if (!signedIn) throw signedOut();
  return signedIn;
});

@Injectable()
export class SessionGuard implements CanActivate {
  constructor(private readonly reflector: Reflector) {}

  canActivate(context: ExecutionContext): boolean {
    const request = context.switchToHttp().getRequest<SignedInRequest>();
    const targets = [context.getHandler(), context.getClass()];
    const { signedIn } = request;
    if (this.reflector.getAllAndOverride<boolean>(OPEN, targets)) return true;
    if (!signedIn) throw signedOut();
    if (
      signedIn.account.mustChangePassword &&
      !this.reflector.getAllAndOverride<boolean | undefined>(BEFORE_NEW_PASSWORD, targets)
    )
      throw forbidden('Choose a password of your own first.');
    const roles = this.reflector.getAllAndOverride<Role[] | undefined>(FOR, targets);
    if (roles && !roles.includes(signedIn.account.role)) throw forbidden(`This is for ${roles.join(' or ')}s.`);
    return true;
  }
}
