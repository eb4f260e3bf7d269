import { isBlank } from '@ichnograph/core';
import type Token from 'markdown-it/lib/token.mjs';
import { blocksOf } from '../files/markdown.js';
import type { Block } from '../files/markdown.js';

/** A run of words of a note that look alike; a line break is a line break. */
export interface NoteRun {
  text: string;
  bold: boolean;
  italic: boolean;
}

/** A paragraph of a note, or an item of a list in it. */
export interface NoteBlock {
  runs: NoteRun[];
  /** what stands before an item: a number with its point, or nothing but a bullet; null for a paragraph */
  item: { level: number; number: string | null } | null;
}

/** A note (CommonMark) as documents set it: signs become looks and lists; what HTML stands in it is text like all other. */
export const noteBlocks = (note: string | undefined): NoteBlock[] =>
  isBlank(note) ? [] : setOut(blocksOf(note!.trim()), -1);

function setOut(blocks: readonly Block[], level: number): NoteBlock[] {
  return blocks.flatMap((block): NoteBlock[] => {
    switch (block.type) {
      case 'paragraph':
        return [{ runs: runsOf(block.inline, false), item: null }];
      case 'heading':
        return [{ runs: runsOf(block.inline, true), item: null }];
      case 'quote':
      case 'item':
        return setOut(block.children, level);
      case 'list':
        return itemsOf(block, level + 1);
      case 'code':
      case 'html':
        return [{ runs: [{ text: block.content.replace(/\n$/, ''), bold: false, italic: false }], item: null }];
      case 'rule':
        return [];
    }
  });
}

/** The first paragraph of an item bears its mark; what else is in it stands below. */
function itemsOf({ children, start }: Block, level: number): NoteBlock[] {
  return children.flatMap((item, i) =>
    setOut(item.children, level).map((block, at) =>
      at === 0 && block.item === null
        ? { ...block, item: { level, number: start === null ? null : `${start + i}.` } }
        : block,
    ),
  );
}

/** Words by their looks: signs that open and close are counted, since they may stand within each other. */
function runsOf(inline: readonly Token[], isHeading: boolean): NoteRun[] {
  const runs: NoteRun[] = [];
  let [strong, emphasis] = [isHeading ? 1 : 0, 0];
  const links: { href: string; said: string }[] = [];
  const add = (text: string): void => {
    for (const link of links) link.said += text;
    const run = { text, bold: strong > 0, italic: emphasis > 0 };
    const last = runs.at(-1);
    // A line break is no run of its own.
    const isOne = last?.bold === run.bold && last.italic === run.italic && (text === '\n' || last.text.endsWith('\n'));
    if (isOne) last.text += text;
    else if (text !== '') runs.push(run);
  };
  for (const token of inline) {
    const { type, nesting, content } = token;
    if (type.startsWith('strong')) strong += nesting;
    else if (type.startsWith('em_')) emphasis += nesting;
    else if (type === 'link_open') links.push({ href: token.attrGet('href') ?? '', said: '' });
    else if (type === 'link_close') {
      const { href, said } = links.pop()!;
      // Where it leads is said, since a page on paper is not pressed.
      if (said !== href) add(` (${href})`);
    } else add(type.endsWith('break') ? '\n' : content);
  }
  return runs;
}
