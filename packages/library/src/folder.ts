import { fileURLToPath } from 'node:url';

/** Where the library lies: `index.json`, `words/LANGUAGE.json`, `pictures/SET/NAME.svg`. */
export const libraryFolder = fileURLToPath(new URL('../generated', import.meta.url));
