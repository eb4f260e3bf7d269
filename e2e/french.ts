import type { CDPSession, Page } from '@playwright/test';

/** What the keys of a French keyboard (AZERTY) write: by place, plain, with Shift, with AltGr. */
const KEYS: readonly (readonly [code: string, plain: string, shift: string, altGr?: string])[] = [
  ...'&1 é2~ "3# \'4{ (5[ -6| è7` _8\\ ç9^ à0@'
    .split(' ')
    .map(([plain, shift, altGr], i) => [`Digit${(i + 1) % 10}`, plain!, shift!, altGr] as const),
  ['Minus', ')', '°', ']'],
  ['Equal', '=', '+', '}'],
  ...'QA WZ EE RR TT YY UU II OO PP AQ SS DD FF GG HH JJ KK LL ZW XX CC VV BB NN'
    .split(' ')
    .map(([place, letter]) => [`Key${place}`, letter!.toLowerCase(), letter!] as const),
  ['Semicolon', 'm', 'M'],
  ['KeyM', ',', '?'],
  ['Comma', ';', '.'],
  ['Period', ':', '/'],
  ['Slash', '!', '§'],
  ['Space', ' ', ' '],
  ['Enter', '\n', '\n'],
];
const [SHIFT, ALT_GR] = [8, 2 | 1];

interface Stroke {
  code: string;
  modifiers: number;
}
const strokes = new Map<string, Stroke>();
for (const [code, plain, shift, altGr] of KEYS) {
  if (altGr) strokes.set(altGr, { code, modifiers: ALT_GR });
  strokes.set(shift, { code, modifiers: SHIFT });
  strokes.set(plain, { code, modifiers: 0 });
}

const sessions = new WeakMap<Page, Promise<CDPSession>>();

/** Types key by key, each as such a keyboard sends it: digits with Shift, the bar with AltGr, letters in other places. */
export async function typeFrench(page: Page, text: string): Promise<void> {
  if (!sessions.has(page)) sessions.set(page, page.context().newCDPSession(page));
  const session = await sessions.get(page)!;
  for (const sign of text) {
    const stroke = strokes.get(sign);
    if (!stroke) throw new Error(`no key of this keyboard writes ${sign}`);
    const key = sign === '\n' ? 'Enter' : sign;
    const written = sign === '\n' ? '\r' : sign;
    await session.send('Input.dispatchKeyEvent', { type: 'keyDown', key, text: written, ...stroke });
    await session.send('Input.dispatchKeyEvent', { type: 'keyUp', key, ...stroke });
  }
}
