export { shippedPicture } from './drawings/pictures.js';
import { docx } from './documents/docx.js';
import { html } from './documents/html.js';
import { pdf } from './drawings/pdf.js';
import { jpg, png } from './drawings/raster.js';
import { svg } from './drawings/svg.js';
import type { Format } from './format.js';
import { amongBy, FORMATS } from './registry.js';

/** With what is drawn and set: that needs fonts and libraries that no browser has. */
export const ALL_FORMATS: readonly Format[] = [...FORMATS, svg, png, jpg, pdf, html, docx];

/** The format that a file's name tells by its ending, in any case. */
export const anyFormatOf = (fileName: string): Format | undefined => amongBy(ALL_FORMATS, fileName);

export { drawMap } from './paper/draw-map.js';
export type { LetterAt, Pictures } from './paper/draw-map.js';
export { libraryPicture } from './paper/library-picture.js';
export { readFontsFor } from './paper/paper-fonts.js';
export { pictureForPaper } from './paper/picture-for-paper.js';
export { MARGIN, QUIET, Typesetter } from './paper/typesetter.js';
