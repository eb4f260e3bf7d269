/** What other folders may use of this one. */
export { bring, shownSize } from './bring';
export { carriedPicture } from './carried';
export type { Chosen } from './choice';
export { Credits, LibraryPanel } from './library-panel';
export { fileOf, greyOf, pagesOf, straightened } from './pages';
export type { Page } from './pages';
export { OwnPanel } from './own-panel';
export { SketchPanel } from './sketch-panel';
