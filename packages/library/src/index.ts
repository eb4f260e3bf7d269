export { librarySearch } from './search.js';
export type { Library, LibraryPicture } from './search.js';
