// Makes the library of pictures from openly licensed sets: a drawing each, an index with categories and words, and words in
// other languages. Output: packages/library/generated/, remade when this or a set changes, never edited.
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { getIconData, iconToHTML, iconToSVG } from '@iconify/utils';
import { CATEGORIES, SETS } from './sets.mjs';

const here = path.dirname(fileURLToPath(import.meta.url));
const out = path.join(here, 'generated');
const require = createRequire(import.meta.url);
const read = (name) => JSON.parse(readFileSync(require.resolve(name), 'utf8'));
const INK = '#16202e';
/** Side of the square a drawing without a size of its own is shown in. */
const SIDE = 128;

/** Drawings stand still, and what would have come into sight only by moving is seen. */
const still = (body) => body.replaceAll(' opacity="0"', '').replace(/<(animate\w*|set)\b[^>]*?(\/>|>.*?<\/\1>)/gs, '');

function drawingOf(icons, name) {
  const { attributes, body } = iconToSVG(getIconData(icons, name), { height: SIDE });
  return iconToHTML(still(body).replaceAll('currentColor', INK), attributes);
}

const tokens = (words) => [...new Set(words.toLowerCase().split(/[^\p{L}\p{N}]+/u))].filter((word) => word.length > 1);

const emoji = (language) => read(`emojibase-data/${language}/data.json`);
const english = new Map(emoji('en').map((one) => [one.hexcode, one]));
const LANGUAGES = 'da de es et fi fr hu it lt nb nl pl pt ru sv uk'.split(' ');

rmSync(out, { recursive: true, force: true });
mkdirSync(path.join(out, 'words'), { recursive: true });

const sets = [];
const pictures = [];
for (const set of SETS) {
  const package_ = `@iconify-json/${set.id}`;
  const icons = read(`${package_}/icons.json`);
  const { name, license, author } = read(`${package_}/info.json`);
  sets.push({ id: set.id, title: name, licence: license.title, author: author.name, url: author.url });
  const { categories = {} } = read(`${package_}/metadata.json`);
  const categoryOf = new Map(
    Object.entries(categories).flatMap(([category, names]) => names.map((one) => [one, category])),
  );
  const hexOf = new Map(Object.entries(read(`${package_}/chars.json`)).map(([hex, one]) => [one, hex.toUpperCase()]));
  mkdirSync(path.join(out, 'pictures', set.id), { recursive: true });
  for (const icon of Object.keys(icons.icons)) {
    const category = set.category(icon, categoryOf.get(icon));
    if (category === null || icons.icons[icon].hidden) continue;
    if (!CATEGORIES.includes(category)) throw new Error(`${set.id}/${icon}: no such category: ${category}`);
    const plain = set.plain?.(icon) ?? icon;
    const hex = hexOf.get(icon);
    const known = hex && english.get(hex);
    const words = tokens([plain, known?.label ?? '', ...(known?.tags ?? [])].join(' '));
    const said = plain.replaceAll('-', ' ');
    pictures.push({ id: `${set.id}/${icon}`, name: said[0].toUpperCase() + said.slice(1), category, words, hex });
    writeFileSync(path.join(out, 'pictures', set.id, `${icon}.svg`), drawingOf(icons, icon));
  }
}

// By name, so that the sets lie among each other and none gives the library its look.
pictures.sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : a.id < b.id ? -1 : 1));
const index = {
  sets,
  categories: CATEGORIES,
  pictures: pictures.map(({ hex: _hex, words, ...one }) => ({ ...one, words: words.join(' ') })),
};
writeFileSync(path.join(out, 'index.json'), JSON.stringify(index));

// In another language: what its speakers call the sign, and for other pictures what they call each English word that is
// the name of one.
for (const language of LANGUAGES) {
  const own = new Map(emoji(language).map((one) => [one.hexcode, one]));
  const wordFor = new Map();
  for (const [hex, { label }] of english) {
    const there = own.get(hex)?.label;
    if (there && !/\s/.test(label)) wordFor.set(label.toLowerCase(), there);
  }
  const words = {};
  for (const { id, hex, words: known } of pictures) {
    const one = hex && own.get(hex);
    const said = one ? [one.label, ...(one.tags ?? [])] : known.flatMap((word) => wordFor.get(word) ?? []);
    if (said.length > 0) words[id] = tokens(said.join(' ')).join(' ');
  }
  writeFileSync(path.join(out, 'words', `${language}.json`), JSON.stringify(words));
}
