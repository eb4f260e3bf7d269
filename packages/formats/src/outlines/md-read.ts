import type Token from 'markdown-it/lib/token.mjs';
import { emptyDraft } from '../draft/draft.js';
import type { Draft, DraftTopic } from '../draft/draft.js';
import { named, onOneLine } from '../draft/words.js';
import { blocksOf, wordsOf } from '../files/markdown.js';
import type { Block } from '../files/markdown.js';
import type { Say } from '../format.js';

/** What an item begins with that leads to a topic elsewhere. */
export const TIE = '→';

/** What Markdown says as an outline: headings and items are topics, all else is the note of what stands above it. */
export function draftOfMarkdown(text: string, say: Say): Draft {
  const plain = text.replace(/\r\n?/g, '\n');
  const blocks = blocksOf(plain, (label) =>
    say(named(`[${label.toLowerCase()}]`), 'left out: where a link leads is not kept'),
  );
  return new Reader(plain, say).draft(blocks);
}

interface Tie {
  from: string;
  phrase: string;
  text: string;
  /** how many links there were before it */
  at: number;
}

class Reader {
  private readonly result = emptyDraft(false);
  private readonly ties: Tie[] = [];
  /** headings that are open, the deepest last */
  private readonly open: { depth: number; key: string }[] = [];
  /** what the next paragraph is a note of */
  private last: DraftTopic | null = null;

  private readonly source: readonly string[];

  constructor(
    text: string,
    private readonly say: Say,
  ) {
    this.source = text.split('\n');
  }

  draft(blocks: readonly Block[]): Draft {
    for (const block of this.withoutTitle(blocks)) {
      if (block.type === 'heading') this.heading(block.depth, wordsOf(block.inline));
      else this.block(block, this.open.at(-1)?.key ?? null);
    }
    this.lead();
    return this.result;
  }

  /** What is left when the title and the question below it are taken. */
  private withoutTitle(blocks: readonly Block[]): readonly Block[] {
    const [first, second] = blocks;
    const headings = blocks.filter((block) => block.type === 'heading');
    const isOnly = headings.filter(({ depth }) => depth === 1).length === 1;
    if (first?.type !== 'heading' || first.depth !== 1 || !isOnly) return blocks;
    const question = second?.type === 'paragraph' ? questionOf(second.inline) : null;
    const rest = blocks.slice(question === null ? 1 : 2);
    if (headings[1]?.depth !== 2 && rest.length > 0) return blocks;
    this.result.title = wordsOf(first.inline);
    this.result.focusQuestion = question ?? '';
    return rest;
  }

  private heading(depth: number, text: string): void {
    while (this.open.length > 0 && this.open.at(-1)!.depth >= depth) this.open.pop();
    if (onOneLine(text) === '') return;
    const key = this.topic(text, this.open.at(-1)?.key ?? null, '');
    this.open.push({ depth, key });
  }

  private block(block: Block, from: string | null): void {
    if (block.type === 'list') for (const item of block.children) this.item(item, from);
    else this.note(block);
  }

  private item({ children }: Block, from: string | null): void {
    const [first, ...rest] = children;
    const isSaid = first?.type === 'paragraph' || first?.type === 'heading';
    if (!isSaid || onOneLine(wordsOf(first.inline)) === '') {
      // Nothing stands for it: what is in it hangs one higher.
      for (const block of isSaid ? rest : children) this.block(block, from);
      return;
    }
    if (first.content.startsWith(TIE) && from !== null) {
      const { phrase, text } = parts(withoutTie(first.inline));
      if (text !== '') {
        this.ties.push({ from, phrase, text, at: this.result.links.length });
        for (const block of rest) this.block(block, from);
        return;
      }
    }
    const { phrase, text } = parts(first.inline);
    const key = this.topic(text, from, phrase);
    for (const block of rest) this.block(block, key);
  }

  private topic(text: string, from: string | null, phrase: string): string {
    const topic: DraftTopic = { key: `line ${this.result.topics.length + 1}`, text: onOneLine(text) };
    this.result.topics.push(topic);
    if (from !== null) this.result.links.push({ from, to: topic.key, phrase });
    this.last = topic;
    return topic.key;
  }

  private note(block: Block): void {
    const words = block.type === 'quote' ? this.quoted(block) : this.sourceOf(block);
    if (!this.last) this.say(named(words), 'left out: it stands above every topic');
    else this.last.note = this.last.note === undefined ? words : `${this.last.note}\n\n${words}`;
  }

  /** Ties lead to the first topic of their text, or to a new one; each where it stands among the links. */
  private lead(): void {
    const { topics, links } = this.result;
    const first = new Map<string, string>();
    for (const { key, text } of topics) if (!first.has(text)) first.set(text, key);
    this.ties.forEach(({ from, phrase, text, at }, before) => {
      let to = first.get(text);
      if (to === undefined) {
        to = `line ${topics.length + 1}`;
        topics.push({ key: to, text });
        first.set(text, to);
      }
      links.splice(at + before, 0, { from, to, phrase });
    });
  }

  /** What was written, without what indents it or stands before it on its line. */
  private sourceOf({ type, content, markup, lines: [from, to] }: Block): string {
    if (type === 'paragraph') return content;
    if (type === 'rule') return markup;
    // Code that is set in and has no signs.
    if (type === 'code' && markup === '') return content.trimEnd().replace(/^(?=.)/gm, '    ');
    const lines = this.source.slice(from, to);
    while (lines.at(-1)?.trim() === '') lines.pop();
    const [first = ''] = lines;
    const sign = type === 'quote' ? '>' : type === 'html' ? '<' : markup;
    // A heading that is underlined begins with its words.
    const isUnderlined = type === 'heading' && !markup.startsWith('#');
    const by = Math.max(0, first.indexOf(isUnderlined ? first.trimStart() : sign));
    const indent = new RegExp(`^[ \\t]{0,${by}}`);
    return [first.slice(by), ...lines.slice(1).map((line) => line.replace(indent, ''))].join('\n');
  }

  private quoted(quote: Block): string {
    return this.sourceOf(quote)
      .split('\n')
      .map((line) => line.replace(/^ {0,3}> ?/, ''))
      .join('\n');
  }
}

/** How many words at the beginning are set off in italics, the signs around them counted; 0 for none. */
function italics(inline: readonly Token[]): number {
  if (inline[0]?.type !== 'em_open') return 0;
  let depth = 0;
  return 1 + inline.findIndex(({ nesting }) => (depth += nesting) === 0);
}

/** A paragraph wholly in italics. */
const questionOf = (inline: readonly Token[]): string | null =>
  inline.length > 0 && italics(inline) === inline.length ? wordsOf(inline) : null;

/** The phrase in italics that an item begins with, and its text. */
function parts(inline: readonly Token[]): { phrase: string; text: string } {
  const end = italics(inline);
  const text = onOneLine(wordsOf(inline.slice(end)));
  return end > 0 && text !== ''
    ? { phrase: onOneLine(wordsOf(inline.slice(0, end))), text }
    : { phrase: '', text: onOneLine(wordsOf(inline)) };
}

function withoutTie([first, ...rest]: readonly Token[]): Token[] {
  if (first?.type !== 'text') return rest;
  const content = first.content.slice(TIE.length).trimStart();
  return content === '' ? rest : [{ ...first, content } as Token, ...rest];
}
