import type { Blockquote, ListItem, Nodes, Paragraph, PhrasingContent, RootContent } from 'mdast';
import { fromMarkdown } from 'mdast-util-from-markdown';
import { toString } from 'mdast-util-to-string';
import { emptyDraft } from '../draft/draft.js';
import type { Draft, DraftTopic } from '../draft/draft.js';
import { named, onOneLine } from '../draft/words.js';
import type { Say } from '../format.js';

/** What an item begins with that leads to a topic elsewhere. */
export const TIE = '→';

/** What Markdown says as an outline: headings and items are topics, all else is the note of what stands above it. */
export function draftOfMarkdown(text: string, say: Say): Draft {
  const plain = text.replace(/\r\n?/g, '\n');
  return new Reader(plain, say).draft(fromMarkdown(plain).children);
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

  constructor(
    private readonly source: string,
    private readonly say: Say,
  ) {}

  draft(blocks: readonly RootContent[]): Draft {
    for (const block of this.withoutTitle(blocks)) {
      if (block.type === 'heading') this.heading(block.depth, toString(block));
      else this.block(block, this.open.at(-1)?.key ?? null);
    }
    this.lead();
    return this.result;
  }

  /** What is left when the title and the question below it are taken. */
  private withoutTitle(blocks: readonly RootContent[]): readonly RootContent[] {
    const [first, second] = blocks;
    const headings = blocks.filter((block) => block.type === 'heading');
    const isOnly = headings.filter(({ depth }) => depth === 1).length === 1;
    if (first?.type !== 'heading' || first.depth !== 1 || !isOnly) return blocks;
    const question = second?.type === 'paragraph' ? questionOf(second) : null;
    const rest = blocks.slice(question === null ? 1 : 2);
    if (headings[1]?.depth !== 2 && rest.length > 0) return blocks;
    this.result.title = toString(first);
    this.result.focusQuestion = question ?? '';
    return rest;
  }

  private heading(depth: number, text: string): void {
    while (this.open.length > 0 && this.open.at(-1)!.depth >= depth) this.open.pop();
    if (onOneLine(text) === '') return;
    const key = this.topic(text, this.open.at(-1)?.key ?? null, '');
    this.open.push({ depth, key });
  }

  private block(block: RootContent, from: string | null): void {
    if (block.type === 'list') for (const item of block.children) this.item(item, from);
    else this.note(block);
  }

  private item({ children }: ListItem, from: string | null): void {
    const [first, ...rest] = children;
    const isSaid = first?.type === 'paragraph' || first?.type === 'heading';
    if (!isSaid || onOneLine(toString(first)) === '') {
      // Nothing stands for it: what is in it hangs one higher.
      for (const block of isSaid ? rest : children) this.block(block, from);
      return;
    }
    if (this.sourceOf(first).startsWith(TIE) && from !== null) {
      const { phrase, text } = parts(withoutTie(first.children));
      if (text !== '') {
        this.ties.push({ from, phrase, text, at: this.result.links.length });
        for (const block of rest) this.block(block, from);
        return;
      }
    }
    const { phrase, text } = parts(first.children);
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

  private note(block: RootContent): void {
    const words = block.type === 'blockquote' ? this.quoted(block) : this.sourceOf(block);
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

  private sourceOf({ position }: Nodes): string {
    const { start, end } = position!;
    return dedented(this.source.slice(start.offset, end.offset), start.column - 1);
  }

  private quoted(quote: Blockquote): string {
    return this.sourceOf(quote)
      .split('\n')
      .map((line) => line.replace(/^ {0,3}> ?/, ''))
      .join('\n');
  }
}

/** Lines of a block within others without what indents them there. */
const dedented = (source: string, by: number): string => {
  const indent = new RegExp(`^[ \\t]{0,${by}}`);
  return source
    .split('\n')
    .map((line, i) => (i === 0 ? line : line.replace(indent, '')))
    .join('\n');
};

/** A paragraph wholly in italics. */
function questionOf({ children }: Paragraph): string | null {
  const [only, ...more] = children;
  return only?.type === 'emphasis' && more.length === 0 ? toString(only) : null;
}

/** The phrase in italics that an item begins with, and its text. */
function parts(children: readonly PhrasingContent[]): { phrase: string; text: string } {
  const [first, ...rest] = children;
  const text = onOneLine(rest.map((one) => toString(one)).join(''));
  return first?.type === 'emphasis' && text !== ''
    ? { phrase: onOneLine(toString(first)), text }
    : { phrase: '', text: onOneLine(children.map((one) => toString(one)).join('')) };
}

function withoutTie([first, ...rest]: readonly PhrasingContent[]): PhrasingContent[] {
  if (first?.type !== 'text') return rest;
  const value = first.value.slice(TIE.length).trimStart();
  return value === '' ? rest : [{ ...first, value }, ...rest];
}
