import MarkdownIt from 'markdown-it';
import type { Options } from 'markdown-it';
import type Token from 'markdown-it/lib/token.mjs';

/** A block of a document in Markdown, as CommonMark 0.31 names them, with the blocks in it. */
export interface Block {
  type: 'paragraph' | 'heading' | 'list' | 'item' | 'quote' | 'code' | 'html' | 'rule';
  children: Block[];
  /** what stands in a paragraph or a heading, as it looks */
  inline: readonly Token[];
  /** the same as it is written; of code and HTML what is in it */
  content: string;
  /** its own lines in the source, from the first up to, not including, the last */
  lines: readonly [from: number, to: number];
  /** of a heading, 1 to 6 */
  depth: number;
  /** number of the first item of a list that counts; null for one with bullets */
  start: number | null;
  /** the signs it is set off by: a fence with its word, a rule */
  markup: string;
}

// Deeper than any map is: the library leaves out what is nested deeper than that, and says nothing.
const parser = new MarkdownIt('commonmark', { maxNesting: 100_000 } as Options);

const TYPES: Readonly<Record<string, Block['type']>> = {
  paragraph_open: 'paragraph',
  heading_open: 'heading',
  bullet_list_open: 'list',
  ordered_list_open: 'list',
  list_item_open: 'item',
  blockquote_open: 'quote',
  code_block: 'code',
  fence: 'code',
  html_block: 'html',
  hr: 'rule',
};

/** Reads Markdown (CommonMark 0.31). Where links lead that are defined apart is asked of `definition`. */
export function blocksOf(text: string, definition: (label: string) => void = () => undefined): Block[] {
  const top: Block[] = [];
  const open: Block[] = [];
  const env: { references?: Record<string, unknown> } = {};
  for (const token of parser.parse(text, env)) {
    if (token.type === 'inline') Object.assign(open.at(-1)!, { inline: looks(token), content: token.content });
    else if (token.nesting < 0) open.pop();
    else {
      const block = blockOf(token);
      (open.at(-1)?.children ?? top).push(block);
      if (token.nesting > 0) open.push(block);
    }
  }
  Object.keys(env.references ?? {}).forEach(definition);
  return top;
}

const blockOf = (token: Token): Block => ({
  type: TYPES[token.type]!,
  children: [],
  inline: [],
  content: token.content,
  lines: token.map ?? [0, 0],
  depth: token.type === 'heading_open' ? Number(token.tag.slice(1)) : 0,
  start: token.type === 'ordered_list_open' ? Number(token.attrGet('start') ?? 1) : null,
  markup: token.markup + token.info,
});

/** Signs leave empty words behind. */
const looks = ({ children }: Token): Token[] =>
  (children ?? []).filter(({ type, content }) => type !== 'text' || content !== '');

/** The words of what stands in a line, without signs; a line break is a line break. */
export const wordsOf = (inline: readonly Token[]): string =>
  inline.map(({ type, content }) => (type.endsWith('break') ? '\n' : content)).join('');
