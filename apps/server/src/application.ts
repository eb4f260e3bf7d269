import path from 'node:path';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { libraryFolder } from '@ichnograph/library/folder';
import cookieParser from 'cookie-parser';
import express from 'express';
import type { NextFunction, Request, Response } from 'express';
import helmet from 'helmet';
import { AppModule } from './app.module.js';
import type { Outside } from './app.module.js';
import { SessionsService, whoItIs } from './accounts/index.js';
import { bodies } from './common/bodies.js';
import { onlySameOrigin } from './common/same-origin.js';
import { validation } from './common/validation.js';
import { LiveService } from './live/index.js';

/** Builds the application without listening. With services in place it can be used with no port at all (the demo does). */
export async function createApplication(outside: Outside): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(outside), {
    // Nest's own log shows stack traces where a person reads; ours has what it knows.
    bodyParser: false,
    logger: false,
    abortOnError: false,
  });
  // Whose word on where a request comes from is believed: nobody's, unless something stands before the server.
  app.set('trust proxy', outside.settings.trustProxy);
  // What is shown to others is read by a short link.
  app.setGlobalPrefix('api', { exclude: ['shared/:token', 'shared/:token/embed'] });
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'upgrade-insecure-requests': null,
          'worker-src': ["'self'"],
          'connect-src': ["'self'", 'ws:', 'wss:'],
        },
      },
      strictTransportSecurity: outside.settings.secureCookie,
    }),
  );
  // First of all, so that refusals bear it too.
  app.use('/api', (_request: Request, response: Response, next: NextFunction) => {
    response.setHeader('Cache-Control', 'no-store');
    next();
  });
  app.use(cookieParser(), onlySameOrigin);
  app.use('/api', whoItIs(app.get(SessionsService)), bodies);
  app.useGlobalPipes(validation());
  app.enableShutdownHooks();
  if (outside.settings.webFolder) serveWeb(app, outside.settings.webFolder);
  await app.init();
  app.get(LiveService).attach(app.getHttpServer());
  return app;
}

/** The built web application; every address that is no file is one of its pages. */
function serveWeb(app: NestExpressApplication, folder: string): void {
  app.use(
    '/assets',
    express.static(path.join(folder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
  );
  app.use(
    '/library',
    // A drawing opened by itself is a document; it may do nothing.
    (_request: Request, response: Response, next: NextFunction) => {
      response.setHeader('Content-Security-Policy', "default-src 'none'; style-src 'unsafe-inline'; sandbox");
      next();
    },
    express.static(libraryFolder, { maxAge: '1d', fallthrough: false }),
  );
  app.use(express.static(folder, { index: false }));
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (request.method !== 'GET' || /^\/(?:api|shared)\//.test(request.path) || !request.accepts('html')) return next();
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(path.join(folder, 'index.html'));
  });
}
