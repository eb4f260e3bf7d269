import { isBlank } from '@ichnograph/core';
import type { List, PhrasingContent, RootContent } from 'mdast';
import { fromMarkdown } from 'mdast-util-from-markdown';

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

type Looks = Omit<NoteRun, 'text'>;
const PLAIN: Looks = { bold: false, italic: false };

/** A note (CommonMark) as documents set it: signs become looks and lists; what HTML stands in it is text like all other. */
export const noteBlocks = (note: string | undefined): NoteBlock[] =>
  isBlank(note) ? [] : blocksOf(fromMarkdown(note!.trim()).children, -1);

function blocksOf(nodes: readonly RootContent[], level: number): NoteBlock[] {
  return nodes.flatMap((node): NoteBlock[] => {
    switch (node.type) {
      case 'paragraph':
        return [{ runs: runsOf(node.children, PLAIN), item: null }];
      case 'heading':
        return [{ runs: runsOf(node.children, { ...PLAIN, bold: true }), item: null }];
      case 'blockquote':
        return blocksOf(node.children, level);
      case 'list':
        return itemsOf(node, level + 1);
      case 'code':
      case 'html':
        return [{ runs: [{ text: node.value, ...PLAIN }], item: null }];
      default:
        return [];
    }
  });
}

/** The first paragraph of an item bears its mark; what else is in it stands below. */
function itemsOf({ children, ordered, start }: List, level: number): NoteBlock[] {
  return children.flatMap((item, i) =>
    blocksOf(item.children, level).map((block, at) =>
      at === 0 && block.item === null
        ? { ...block, item: { level, number: ordered ? `${(start ?? 1) + i}.` : null } }
        : block,
    ),
  );
}

function runsOf(nodes: readonly PhrasingContent[], looks: Looks): NoteRun[] {
  return nodes.flatMap((node): NoteRun[] => {
    switch (node.type) {
      case 'text':
      case 'inlineCode':
      case 'html':
        return [{ text: node.value, ...looks }];
      case 'break':
        return [{ text: '\n', ...looks }];
      case 'strong':
        return runsOf(node.children, { ...looks, bold: true });
      case 'emphasis':
        return runsOf(node.children, { ...looks, italic: true });
      case 'link': {
        const runs = runsOf(node.children, looks);
        const said = runs.map(({ text }) => text).join('');
        // Where it leads is said, since a page on paper is not pressed.
        return said === node.url ? runs : [...runs, { text: ` (${node.url})`, ...looks }];
      }
      case 'image':
        return [{ text: node.alt ?? '', ...looks }];
      default:
        return [];
    }
  });
}
