/** What a map is read in: a part of a screen, or a paper; canvas units at full size. */
export interface Frame {
  width: number;
  height: number;
}

/** What is left for a map on a screen of 1280 × 800. */
export const SCREEN: Frame = { width: 1126, height: 662 };

/** What of its width the word bank takes while terms wait in it. */
const BANK = 164;

/** What is left for the map on the screen of a student who begins. */
export const frameBeside = (terms: readonly { place?: string }[]): Frame =>
  terms.some(({ place }) => place !== 'map') ? { ...SCREEN, width: SCREEN.width - BANK } : SCREEN;

/** The size of ordinary letters, canvas units. */
const LETTERS = 14;

/** How tall the letters of a map are that is seen whole in a frame; never taller than it has them. */
export const lettersIn = (size: { width: number; height: number }, frame: Frame): number =>
  LETTERS * Math.min(1, frame.width / size.width, frame.height / size.height);
