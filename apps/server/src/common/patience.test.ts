import type { DataSource } from 'typeorm';
import { NoConnection, withPatience } from './patience.js';

interface Fake {
  driver: { obtainMasterConnection: () => Promise<{ release: () => void }> };
}
const asked = (source: Fake): Promise<unknown> => source.driver.obtainMasterConnection();

test('nobody waits for ever for a connection, and one that comes too late goes back', async () => {
  let give: (connection: { release: () => void }) => void = () => undefined;
  let released = 0;
  const source: Fake = {
    driver: { obtainMasterConnection: () => new Promise((resolve) => (give = resolve)) },
  };
  withPatience(source as unknown as DataSource, 20);
  await expect(asked(source)).rejects.toBeInstanceOf(NoConnection);
  give({ release: () => (released += 1) });
  await Promise.resolve();
  await Promise.resolve();
  expect(released).toBe(1);
});

test('one that is free is given at once, and what is wrong with the database is said as it is', async () => {
  const connection = { release: () => undefined };
  const free: Fake = { driver: { obtainMasterConnection: () => Promise.resolve(connection) } };
  withPatience(free as unknown as DataSource, 1000);
  expect(await asked(free)).toBe(connection);
  const away: Fake = { driver: { obtainMasterConnection: () => Promise.reject(new Error('away')) } };
  withPatience(away as unknown as DataSource, 1000);
  await expect(asked(away)).rejects.toThrow('away');
});
