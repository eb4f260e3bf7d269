import { createApplication, readSettings } from '@ichnograph/server';
import { pino } from 'pino';
import { DemoClock } from './demo-clock.js';
import { loadSchool } from './school.js';

/** Loads the made-up school into an empty database, through the same services as a person's actions. */
const clock = new DemoClock();
const app = await createApplication({
  settings: readSettings(process.env),
  logger: pino({ level: 'warn' }, pino.destination(2)),
  clock,
});
const loaded = await loadSchool(app, clock);
process.stdout.write(loaded ? 'The made-up school is loaded.\n' : 'There is data already; nothing was changed.\n');
await app.close();
