// Which pictures of which sets a school's library holds, and in which of its categories each stands. Several sets together,
// so that none gives the product its look; all openly licensed, each credited where its pictures are chosen.

export const CATEGORIES = [
  'People',
  'Feelings',
  'Animals and plants',
  'Food and drink',
  'Places and travel',
  'Weather and sky',
  'Things',
  'Body and health',
  'Activities',
  'Work and charts',
  'Signs',
];

const NOTO = {
  Activities: 'Activities',
  'Animals & Nature': 'Animals and plants',
  'Food & Drink': 'Food and drink',
  Objects: 'Things',
  'People & Body': 'People',
  'Smileys & Emotion': 'Feelings',
  Symbols: 'Signs',
  'Travel & Places': 'Places and travel',
};
const NOT_IN_CLASS =
  /skin-tone|middle-finger|cigarette|no-one-under|kiss-mark|pile-of-poo|pistol|water-pistol|syringe|zombie/;

const HEALTH = {
  Body: 'Body and health',
  Conditions: 'Body and health',
  Devices: 'Things',
  Emotions: 'Feelings',
  Exercise: 'Activities',
  Graphs: 'Work and charts',
  Nutrition: 'Food and drink',
  Objects: 'Things',
  People: 'People',
  Places: 'Places and travel',
  Ppe: 'Things',
  Specialties: 'Body and health',
  Symbols: 'Signs',
  Vehicles: 'Places and travel',
  Zoonoses: 'Animals and plants',
};
const A_VARIANT =
  /-(outline|negative|\d+px|\d+)\b|sexual|condom|breast|abortion|genital|penis|vagin|vulva|rape|sti-|hiv/;

/** `category(name, theirs)`: one of ours, or null where the picture is left out; `plain(name)`: its name in words. */
export const SETS = [
  { id: 'noto', category: (name, theirs) => (NOT_IN_CLASS.test(name) ? null : (NOTO[theirs] ?? null)) },
  { id: 'healthicons', category: (name, theirs) => (A_VARIANT.test(name) ? null : (HEALTH[theirs] ?? null)) },
  { id: 'flat-color-icons', category: () => 'Work and charts' },
  { id: 'maki', category: (name) => (/-\d+$/.test(name) ? null : 'Places and travel') },
  {
    id: 'meteocons',
    category: (name) => (/-fill$/.test(name) ? 'Weather and sky' : null),
    plain: (name) => name.replace(/-fill$/, ''),
  },
];
