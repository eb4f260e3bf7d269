import { pino } from 'pino';
import type { Type } from '@nestjs/common';
import { createApplication } from './application.js';
import { briefly } from './common/briefly.js';
import { Clock } from './common/clock.js';
import { readSettings } from './settings.js';

const logger = pino({ level: process.env.ICHNOGRAPH_LOG ?? 'warn' }, pino.destination(2));

/** The demo's code is loaded only where the made-up school is. */
async function demoModules(demo: boolean): Promise<Type[]> {
  if (!demo) return [];
  const name = '@ichnograph/demo';
  const { DemoSignInModule } = (await import(name)) as { DemoSignInModule: Type };
  return [DemoSignInModule];
}

// A fault in one connection or request never ends the process: what is called stored is committed, so that nothing in
// memory is worth ending everyone's session for. It is logged as the bug it is.
for (const event of ['uncaughtException', 'unhandledRejection'] as const)
  process.on(event, (fault: unknown) => {
    logger.error(
      { ...briefly(fault), stack: (fault as Partial<Error> | null)?.stack },
      `the server goes on after an ${event}`,
    );
  });
// Libraries that write to the console say one line each in the log instead.
console.error = console.warn = (...words: unknown[]) => {
  const fault = words.find((word) => word instanceof Error);
  logger.info(briefly(fault ?? words.map(String).join(' ')), 'a library says');
};

try {
  const settings = readSettings(process.env);
  const app = await createApplication({
    settings,
    logger,
    clock: new Clock(),
    extras: await demoModules(settings.demo),
  });
  await app.listen(settings.port, settings.host);
  if (process.env.ICHNOGRAPH_TIED === '1') {
    // Started by a command that holds the other end of standard input: when it is gone, so are we.
    process.stdin.resume().once('end', () => void app.close().finally(() => process.exit(0)));
  }
  process.stdout.write(`listening on http://${settings.host}:${settings.port}\n`);
} catch (error) {
  const { code, message } = error as NodeJS.ErrnoException;
  const said = code === 'EADDRINUSE' ? 'that port is in use by another program' : message;
  process.stderr.write(`The server could not start: ${said}.\n`);
  process.exit(1);
}
