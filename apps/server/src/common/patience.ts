import type { DataSource } from 'typeorm';

/** Milliseconds that anything waits for a connection of the pool. */
const PATIENCE = 10_000;

/** All connections were taken for longer than anybody should wait. */
export class NoConnection extends Error {
  readonly code = 'NO_CONNECTION';
}

interface Connection {
  release(): void;
}
interface Driver {
  obtainMasterConnection(): Promise<Connection>;
}

/** The pool itself would let one wait for ever. A connection that comes too late goes back to it. */
export function withPatience(data: DataSource, patience = PATIENCE): DataSource {
  const driver = data.driver as unknown as Driver;
  const obtain = driver.obtainMasterConnection.bind(driver);
  driver.obtainMasterConnection = () =>
    new Promise((resolve, reject) => {
      let late = false;
      const timer = setTimeout(() => {
        late = true;
        reject(new NoConnection(`no connection of the database was free for ${patience} ms`));
      }, patience);
      obtain().then(
        (connection) => {
          clearTimeout(timer);
          if (late) connection.release();
          else resolve(connection);
        },
        (error: Error) => {
          clearTimeout(timer);
          reject(error);
        },
      );
    });
  return data;
}
