import { randomInt } from 'node:crypto';

/** Short plain words that are read off a card and typed without a second look. */
const WORDS =
  'amber anchor apple arrow autumn basket beacon birch bottle bridge bronze button candle canyon carpet castle cedar cellar chalk cherry circle clover cobalt copper corner cotton crystal desert dragon eagle ember engine falcon feather fennel fiddle forest fossil garden ginger granite harbour hazel heron hollow island ivory jasmine jungle juniper kettle ladder lantern lemon linen lizard magnet maple marble meadow mirror morning mosaic needle nickel ocean olive onion orchid otter paper pebble pencil pepper pillow planet pocket pollen pottery prism puzzle quartz rabbit ribbon river rocket saddle saffron sailor salmon satin shadow shelter silver spindle spruce stable summit sunset tablet temple thistle thunder timber tulip tunnel turtle valley velvet violet walnut willow window winter yellow zebra'.split(
    ' ',
  );

/** Two words and four figures: over 25 bits, guarded by the ceilings of the door, changed at the first sign-in. */
export const firstPassword = (): string =>
  `${WORDS[randomInt(WORDS.length)]}-${WORDS[randomInt(WORDS.length)]}-${String(randomInt(10_000)).padStart(4, '0')}`;
