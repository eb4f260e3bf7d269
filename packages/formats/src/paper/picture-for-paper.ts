import sharp from 'sharp';

/** Pixels across that a picture on paper has at most: what is more nobody sees in print. */
const WIDEST = 1400;

/** A picture of whatever kind as a PNG that a document can hold. */
export async function pictureForPaper(content: Uint8Array, isGrey = false): Promise<Uint8Array> {
  const fitted = sharp(content, { density: 200 }).resize({
    width: WIDEST,
    height: WIDEST,
    fit: 'inside',
    withoutEnlargement: true,
  });
  return new Uint8Array(await (isGrey ? fitted.greyscale() : fitted).png().toBuffer());
}
