import type { Facts, Keeps } from './format.js';

/** What is to be seen; what lies behind a topic is told by a document alone. */
const seen: Keeps = { arrows: 'all', kinds: 'all', regions: 'all', groups: 'all', pictures: 'all' };
const read: Keeps = { ...seen, notes: 'all' };

const drawn = { topics: 'drawn', links: 'drawn', titles: 'title', looks: 'drawn', bearing: 'drawn', more: 'drawn' };
const told = {
  ...drawn,
  topics: 'drawn, and as an outline',
  links: 'drawn, and as sentences',
  titles: 'title, question',
  bearing: 'notes',
};

/** What is drawn and set, as menus know it; how it is written needs Node (`./node`). */
export const DRAWN_FORMATS = {
  svg: {
    name: 'svg',
    label: 'Picture that scales',
    endings: ['svg'],
    mediaType: 'image/svg+xml',
    keeps: seen,
    carries: drawn,
    wishes: ['block'],
  },
  png: {
    name: 'png',
    label: 'Picture',
    endings: ['png'],
    mediaType: 'image/png',
    keeps: seen,
    carries: { ...drawn, titles: 'none' },
    wishes: ['block', 'scale', 'clear'],
  },
  jpg: {
    name: 'jpg',
    label: 'Picture, smaller file',
    endings: ['jpg', 'jpeg'],
    mediaType: 'image/jpeg',
    keeps: seen,
    carries: { ...drawn, titles: 'none' },
    wishes: ['block', 'scale'],
  },
  pdf: {
    name: 'pdf',
    label: 'PDF',
    endings: ['pdf'],
    mediaType: 'application/pdf',
    keeps: seen,
    carries: drawn,
    wishes: ['paper', 'tiles', 'grey'],
  },
  html: {
    name: 'html',
    label: 'Web page',
    endings: ['html', 'htm'],
    mediaType: 'text/html',
    keeps: read,
    carries: told,
  },
  docx: {
    name: 'docx',
    label: 'Text document',
    endings: ['docx'],
    mediaType: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
    keeps: read,
    carries: told,
    wishes: ['with'],
  },
} as const satisfies Record<string, Facts>;
