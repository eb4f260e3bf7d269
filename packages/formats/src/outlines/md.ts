import { isBlank } from '@ichnograph/core';
import type { Link, TopicMap } from '@ichnograph/core';
import type { BlockContent, DefinitionContent, ListItem, Paragraph, PhrasingContent, Root, RootContent } from 'mdast';
import { toMarkdown } from 'mdast-util-to-markdown';
import type { Join } from 'mdast-util-to-markdown';
import { droppedOf } from '../dropped.js';
import { mapOfDraft } from '../draft/map-of-draft.js';
import { onOneLine } from '../draft/words.js';
import { textOf, utf8 } from '../files/text.js';
import type { Format, Keeps } from '../format.js';
import { linesOf } from './lines.js';
import type { Line } from './lines.js';
import { draftOfMarkdown, TIE } from './md-read.js';

const keeps: Keeps = { notes: 'all' };

/** An outline in Markdown (CommonMark 0.31): headings at the margin, all else as nested lists, notes as quotations. */
export const md: Format = {
  name: 'md',
  label: 'Markdown',
  endings: ['md', 'markdown'],
  mediaType: 'text/markdown',
  keeps,
  carries: {
    topics: 'text, outline order',
    links: 'outline and ties, phrase',
    titles: 'title, question',
    looks: 'dropped',
    bearing: 'notes',
    more: 'dropped',
  },
  write: (map, { legend }) => {
    const said = droppedOf(map, legend, keeps);
    const lines = linesOf(map, (about, reason) => said.push({ about, reason }));
    return { content: utf8(markdownOf(map, lines)), said };
  },
  read: (content, reading) => {
    const said: { about: string; reason: string }[] = [];
    const draft = draftOfMarkdown(textOf(content), (about, reason) => said.push({ about, reason }));
    return mapOfDraft(draft, reading, said);
  },
};

function markdownOf(map: TopicMap, lines: readonly Line[]): string {
  const textOfId = new Map(map.topics.map(({ id, text }) => [id, onOneLine(text)]));
  const root: Root = { type: 'root', children: [...titlesOf(map), ...linesIn(lines, textOfId)] };
  return toMarkdown(root, { bullet: '-', emphasis: '*', listItemIndent: 'one', join: [aboutNotes] });
}

function titlesOf({ title, focusQuestion }: TopicMap): RootContent[] {
  const [name, question] = [onOneLine(title), onOneLine(focusQuestion)];
  if (name === '' && question === '') return [];
  const heading: RootContent = { type: 'heading', depth: 1, children: name === '' ? [] : [words(name)] };
  return question === '' ? [heading] : [heading, paragraph([emphasised(question)])];
}

type Content = RootContent | BlockContent | DefinitionContent;

/** Lines from the margin on: what is deeper is nested in the list of the line above. */
function linesIn(lines: readonly Line[], textOfId: ReadonlyMap<string, string>): RootContent[] {
  const top: RootContent[] = [];
  /** by depth, what the lists of the last line at that depth are put into */
  const open: Content[][] = [top];
  /** ties still to be written, where what hangs from the same topic is */
  const waiting: { depth: number; inside: Content[]; ties: readonly Link[] }[] = [];
  const writeTies = (depth: number): void => {
    while ((waiting.at(-1)?.depth ?? -1) >= depth) {
      const { inside, ties } = waiting.pop()!;
      for (const { phrase, to } of ties)
        addItem(inside, item([paragraph([...tied(phrase), words(textOfId.get(to)!)])]));
    }
  };
  for (const { topic, depth, by, ties } of lines) {
    // After all that hangs: read again, a topic hangs by the first link that leads to it.
    writeTies(depth);
    const note = isBlank(topic.note) ? [] : [noteOf(topic.note!)];
    open.length = depth + 1;
    if (depth === 0) {
      top.push({ type: 'heading', depth: 2, children: worded(onOneLine(topic.text)) }, ...note);
      open.push(top);
    } else {
      const own = item([paragraph([...said(by?.phrase ?? ''), ...worded(onOneLine(topic.text))]), ...note]);
      addItem(open[depth]!, own);
      open.push(own.children);
    }
    waiting.push({ depth, inside: open[depth + 1]!, ties });
  }
  writeTies(0);
  return top;
}

/** To the list at the end of some content, or to a new one. */
function addItem(content: Content[], own: ListItem): void {
  const last = content.at(-1);
  if (last?.type === 'list') last.children.push(own);
  else content.push({ type: 'list', ordered: false, spread: false, children: [own] });
}

/** A topic of its own that begins with the sign of ties has it spelled out. */
const worded = (text: string): PhrasingContent[] =>
  text.startsWith(TIE) ? [{ type: 'html', value: '&rarr;' }, words(text.slice(TIE.length))] : [words(text)];
const words = (value: string): PhrasingContent => ({ type: 'text', value });
const emphasised = (value: string): PhrasingContent => ({ type: 'emphasis', children: [words(value)] });
const paragraph = (children: PhrasingContent[]): Paragraph => ({ type: 'paragraph', children });
const item = (children: ListItem['children']): ListItem => ({ type: 'listItem', spread: false, children });

const said = (phrase: string): PhrasingContent[] =>
  isBlank(phrase) ? [] : [emphasised(onOneLine(phrase)), words(' ')];
const tied = (phrase: string): PhrasingContent[] => [words(`${TIE} `), ...said(phrase)];

/** A blank line before and after a note, in lists too. */
const aboutNotes: Join = (left, right) => (left.type === 'blockquote' || right.type === 'blockquote' ? 1 : undefined);

/** A note is Markdown already, so it is taken as it is. */
const noteOf = (note: string): BlockContent => ({
  type: 'blockquote',
  children: [{ type: 'html', value: note.replace(/\r\n?/g, '\n') }],
});
