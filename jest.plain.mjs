import { fileURLToPath } from 'node:url';
import { register } from 'tsx/esm/api';

// Node.js reads TypeScript in this thread from now on, with the decorators our compiler is told of.
register({ tsconfig: fileURLToPath(new URL('tsconfig.base.json', import.meta.url)) });
