import path from 'node:path';

/** Everything the server is told from outside, read once. */
export interface Settings {
  port: number;
  host: string;
  database: { socketPath: string; user: string; password: string; name: string };
  /** the built web application; null serves the API alone */
  webFolder: string | null;
  /** whether the made-up school is loaded; without it none of the demo's code is */
  demo: boolean;
  secureCookie: boolean;
  /** which proxies are believed about where a request comes from (Express's `trust proxy`); none by default */
  trustProxy: string | number | false;
  /** where pictures and files that people bring are kept */
  filesFolder: string;
  /** how long hand-in waits for a client's last changes, milliseconds */
  handInPatience: number;
}

export function readSettings(env: NodeJS.ProcessEnv): Settings {
  const needed = (name: string): string => {
    const value = env[name];
    if (!value) throw new Error(`the setting ${name} is missing`);
    return value;
  };
  return {
    port: Number(needed('ICHNOGRAPH_PORT')),
    host: env.ICHNOGRAPH_HOST ?? '127.0.0.1',
    database: {
      socketPath: needed('ICHNOGRAPH_DB_SOCKET'),
      user: env.ICHNOGRAPH_DB_USER ?? 'ichnograph',
      password: needed('ICHNOGRAPH_DB_PASSWORD'),
      name: env.ICHNOGRAPH_DB_NAME ?? 'ichnograph',
    },
    webFolder: env.ICHNOGRAPH_WEB ? path.resolve(env.ICHNOGRAPH_WEB) : null,
    demo: env.ICHNOGRAPH_DEMO === '1',
    filesFolder: path.resolve(needed('ICHNOGRAPH_FILES')),
    trustProxy: proxies(env.ICHNOGRAPH_TRUST_PROXY),
    secureCookie: env.ICHNOGRAPH_SECURE_COOKIE === '1',
    handInPatience: Number(env.ICHNOGRAPH_HAND_IN_PATIENCE_MS ?? 10_000),
  };
}

/** A number of proxies between here and people, or their addresses. */
const proxies = (value: string | undefined): string | number | false => {
  if (!value) return false;
  return /^\d+$/.test(value) ? Number(value) : value;
};
