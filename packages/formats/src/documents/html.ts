import { isBlank, mend, propositionOf } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { escapeUTF8 } from 'entities';
import { onOneLine } from '../draft/words.js';
import { descriptionOf, drawnAlone, nameOf } from '../drawings/svg.js';
import { utf8 } from '../files/text.js';
import { fitForXml } from '../files/xml.js';
import { DRAWN_FORMATS } from '../drawn-formats.js';
import type { Format } from '../format.js';
import { linesOf } from '../outlines/lines.js';
import { noteBlocks } from './note-blocks.js';
import type { NoteBlock } from './note-blocks.js';

const STYLE = `body{font:16px/1.5 system-ui,sans-serif;color:#16202e;background:#fff;max-width:70rem;margin:2rem auto;padding:0 1rem}
figure{margin:0}figure svg{max-width:100%;height:auto}figcaption,.phrase{color:#4d5867}.note{white-space:pre-wrap;margin:.2rem 0 .4rem}
table{border-collapse:collapse}th,td{border:1px solid #c9cdc4;padding:.3rem .6rem;text-align:left;vertical-align:top}`;

/** One page that stands alone (HTML Living Standard): picture, outline with notes, table of sentences; no script. */
export const html: Format = {
  ...DRAWN_FORMATS.html,
  write: async (one, writing) => {
    const { map } = mend(one);
    const name = text(nameOf(map));
    const question = onOneLine(map.focusQuestion);
    const body = [
      `<h1>${name}</h1>`,
      isBlank(map.author) ? '' : `<p>${text(onOneLine(map.author))}</p>`,
      question === '' ? '' : `<p><em>${text(question)}</em></p>`,
      `<section aria-labelledby="picture"><h2 id="picture">Picture</h2><figure>${await drawnAlone(map, writing)}<figcaption>${text(descriptionOf(map))}</figcaption></figure></section>`,
      `<section aria-labelledby="outline"><h2 id="outline">Outline</h2>${outlineOf(map)}</section>`,
      `<section aria-labelledby="sentences"><h2 id="sentences">Sentences</h2>${sentencesOf(map, writing.legend)}</section>`,
    ];
    const head = `<meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${name}</title><style>${STYLE}</style>`;
    const page = `<!doctype html>\n<html lang="en"><head>${head}</head>\n<body><main>\n${body.join('\n')}\n</main></body></html>\n`;
    return { content: utf8(page), said: [] };
  },
};

const text = (words: string): string => escapeUTF8(fitForXml(words));

function outlineOf(map: TopicMap): string {
  const lines = linesOf(map, () => undefined);
  if (lines.length === 0) return '<p>Nothing is on the map.</p>';
  const textOf = new Map(map.topics.map((topic) => [topic.id, onOneLine(topic.text)]));
  const said = (phrase: string): string =>
    isBlank(phrase) ? '' : `<span class="phrase">${text(onOneLine(phrase))}</span> `;
  const parts = lines.map(({ topic, by, ties, depth }, i) => {
    const note = noteBlocks(topic.note).map(blockOf).join('');
    const across = ties
      .map(({ phrase, to }) => `<p class="note">→ ${said(phrase)}${text(textOf.get(to)!)}</p>`)
      .join('');
    const next = lines[i + 1]?.depth ?? -1;
    const start = `<li>${said(by?.phrase ?? '')}${text(onOneLine(topic.text))}${note}${across}`;
    return start + (next > depth ? '<ul>' : `</li>${'</ul></li>'.repeat(Math.max(0, depth - Math.max(0, next)))}`);
  });
  return `<ul>${parts.join('')}</ul>`;
}

/** A paragraph of a note; an item of a list in it stands set in behind its mark. */
function blockOf({ runs, item }: NoteBlock): string {
  const words = runs.map(({ text: said, bold, italic }) => {
    const marked = italic ? `<em>${text(said)}</em>` : text(said);
    return bold ? `<strong>${marked}</strong>` : marked;
  });
  const mark = item ? `${item.number ?? '•'} ` : '';
  const set = item ? ` style="margin-left:${1 + item.level}rem"` : '';
  return `<p class="note"${set}>${mark}${words.join('')}</p>`;
}

function sentencesOf(map: TopicMap, legend: Legend | undefined): string {
  if (map.links.length === 0) return '<p>No sentences yet.</p>';
  const byId = new Map(map.topics.map((topic) => [topic.id, topic]));
  const rows = map.links.map((link) => {
    const { from, phrase, to } = propositionOf(link, byId.get(link.from)!, byId.get(link.to)!, legend);
    return `<tr>${[from, phrase, to].map((cell) => `<td>${text(onOneLine(cell))}</td>`).join('')}</tr>`;
  });
  const head = ['From', 'Phrase', 'To'].map((name) => `<th scope="col">${name}</th>`).join('');
  return `<table><thead><tr>${head}</tr></thead><tbody>${rows.join('')}</tbody></table>`;
}
