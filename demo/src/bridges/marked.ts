import type { Verdict } from '@ichnograph/core';

/** What the teacher thinks of sentences on Kofi's map: by the drawn ids of their ends; some are true and say too little. */
export const KOFI_JUDGED: readonly { link: [from: string, to: string]; verdict: Verdict; thin?: boolean }[] = [
  { link: ['arch', 'keystone'], verdict: 'sound' },
  { link: ['cable', 'tower'], verdict: 'sound' },
  { link: ['deck', 'pier'], verdict: 'sound' },
  { link: ['pier', 'foundation'], verdict: 'sound' },
  { link: ['arch', 'abutment'], verdict: 'sound' },
  { link: ['compression', 'beam'], verdict: 'sound', thin: true },
  { link: ['tension', 'cable'], verdict: 'sound', thin: true },
  { link: ['live', 'compression'], verdict: 'shaky' },
  { link: ['dead', 'tension'], verdict: 'wrong' },
];

/** Remarks that the teacher keeps for use again. */
export const KEPT_REMARKS: readonly string[] = [
  'Read this link aloud, {name}: is it a sentence, and is it true?',
  'Follow a load from {topic} down to the ground. Where does it go next?',
  '“Has” and “is” say little. Which verb says what it does?',
  'You have {points} of {outOf} points here. What would bring you the rest?',
];
