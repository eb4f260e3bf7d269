import type { Grey } from '@ichnograph/core';
import { SaidError } from '../common/api';

/** A page of paper before it is laid under a map: as it came, and how it is to be turned. */
export interface Page {
  key: string;
  name: string;
  image: HTMLCanvasElement;
  /** whole quarters, clockwise */
  quarters: number;
  /** degrees more, for what was not held straight */
  degrees: number;
}

const MOST_PAGES = 20;
/** Longest side a page is kept with, pixels: enough for handwriting. */
const LONGEST = 2000;

const canvasOf = (width: number, height: number): HTMLCanvasElement => {
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width));
  canvas.height = Math.max(1, Math.round(height));
  return canvas;
};

/** The pages of pictures and PDF files, in their order. Throws a sentence for a person. */
export async function pagesOf(files: readonly File[]): Promise<Page[]> {
  const pages: Page[] = [];
  for (const file of files) {
    const images = /pdf$/i.test(file.type) || /\.pdf$/i.test(file.name) ? await pdfPages(file) : [await picture(file)];
    for (const [i, image] of images.entries()) {
      const name = images.length > 1 ? `${file.name}, page ${i + 1}` : file.name;
      pages.push({ key: crypto.randomUUID(), name, image, quarters: 0, degrees: 0 });
      if (pages.length === MOST_PAGES) return pages;
    }
  }
  return pages;
}

async function picture(file: File): Promise<HTMLCanvasElement> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    throw new SaidError(`“${file.name}” cannot be read as a picture. Photos (JPEG, PNG, WebP) and PDF can.`);
  }
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const canvas = canvasOf(bitmap.width * scale, bitmap.height * scale);
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return canvas;
}

async function pdfPages(file: File): Promise<HTMLCanvasElement[]> {
  const pdf = await import('pdfjs-dist/legacy/build/pdf.mjs');
  pdf.GlobalWorkerOptions.workerSrc = new URL('pdfjs-dist/legacy/build/pdf.worker.min.mjs', import.meta.url).href;
  const loading = pdf.getDocument({ data: new Uint8Array(await file.arrayBuffer()), isEvalSupported: false });
  try {
    const document_ = await loading.promise;
    const images: HTMLCanvasElement[] = [];
    for (let n = 1; n <= Math.min(MOST_PAGES, document_.numPages); n++) {
      const page = await document_.getPage(n);
      const plain = page.getViewport({ scale: 1 });
      const viewport = page.getViewport({ scale: LONGEST / Math.max(plain.width, plain.height) });
      const canvas = canvasOf(viewport.width, viewport.height);
      await page.render({ canvas, viewport }).promise;
      images.push(canvas);
    }
    return images;
  } catch (fault) {
    console.warn('a PDF could not be read', fault);
    throw new SaidError(`“${file.name}” cannot be read. It is broken, or locked with a password.`, { cause: fault });
  } finally {
    await loading.destroy();
  }
}

/** A page as it was turned. What a slanted page leaves free is white. */
export function straightened({ image, quarters, degrees }: Page): HTMLCanvasElement {
  const isLying = quarters % 2 !== 0;
  const [width, height] = isLying ? [image.height, image.width] : [image.width, image.height];
  const canvas = canvasOf(width, height);
  const context = canvas.getContext('2d')!;
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, width, height);
  context.translate(width / 2, height / 2);
  context.rotate(((quarters * 90 + degrees) * Math.PI) / 180);
  context.drawImage(image, -image.width / 2, -image.height / 2);
  return canvas;
}

/** A page in shades of grey (ITU-R BT.601). */
export function greyOf(canvas: HTMLCanvasElement): Grey {
  const { width, height } = canvas;
  const { data } = canvas.getContext('2d')!.getImageData(0, 0, width, height);
  const shades = new Uint8Array(width * height);
  for (let i = 0; i < shades.length; i++)
    shades[i] = 0.299 * data[4 * i]! + 0.587 * data[4 * i + 1]! + 0.114 * data[4 * i + 2]!;
  return { width, height, shades };
}

export const fileOf = (canvas: HTMLCanvasElement, name: string): Promise<File> =>
  new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) =>
        blob
          ? resolve(new File([blob], name, { type: blob.type }))
          : reject(new SaidError('A page could not be prepared. Try again.')),
      'image/jpeg',
      0.9,
    ),
  );
