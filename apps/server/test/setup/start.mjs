import { Stack } from '../../../../scripts/lib/stack.mjs';

export default async function start() {
  const stack = new Stack('server', { env: { ICHNOGRAPH_HAND_IN_PATIENCE_MS: '1200', ICHNOGRAPH_LOG: 'fatal' } });
  globalThis.ichnographStack = stack;
  try {
    await stack.start();
  } catch (error) {
    await stack.remove();
    throw error;
  }
  process.env.ICHNOGRAPH_TEST_URL = stack.url;
}
