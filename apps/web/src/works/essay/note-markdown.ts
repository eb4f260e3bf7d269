import { getSchema } from '@tiptap/core';
import type { JSONContent } from '@tiptap/core';
import StarterKit from '@tiptap/starter-kit';
import MarkdownIt from 'markdown-it';
import { defaultMarkdownSerializer, MarkdownParser, MarkdownSerializer } from 'prosemirror-markdown';

/**
 * What a note may hold while it is written: what Markdown has (CommonMark), and nothing else, since that is how notes are
 * kept. What it cannot say, such as underlining, is not offered.
 */
export const NOTE_EXTENSIONS = [StarterKit.configure({ underline: false, strike: false, trailingNode: false })];

const schema = getSchema(NOTE_EXTENSIONS);

const parser = new MarkdownParser(schema, MarkdownIt('commonmark', { html: false }), {
  paragraph: { block: 'paragraph' },
  heading: { block: 'heading', getAttrs: ({ tag }) => ({ level: Number(tag.slice(1)) }) },
  blockquote: { block: 'blockquote' },
  list_item: { block: 'listItem' },
  bullet_list: { block: 'bulletList' },
  ordered_list: { block: 'orderedList', getAttrs: (token) => ({ start: Number(token.attrGet('start') ?? 1) }) },
  code_block: { block: 'codeBlock', noCloseToken: true },
  fence: { block: 'codeBlock', getAttrs: ({ info }) => ({ language: info || null }), noCloseToken: true },
  hr: { node: 'horizontalRule' },
  hardbreak: { node: 'hardBreak' },
  // A line that was broken by hand stays broken: so notes are shown where they are not set.
  softbreak: { node: 'hardBreak' },
  em: { mark: 'italic' },
  strong: { mark: 'bold' },
  code_inline: { mark: 'code', noCloseToken: true },
  link: { mark: 'link', getAttrs: (token) => ({ href: token.attrGet('href') }) },
  // Pictures from elsewhere are not fetched: their words stay.
  image: { ignore: true, noCloseToken: true },
});

/** Text with a backslash before what Markdown would take for its own sign, and before nothing else: notes are read plain too. */
function plain(text: string, atLineStart: boolean): string {
  const signs = text
    .replace(/[`*\\~[\]]|(?<![\p{L}\p{N}])_|_(?![\p{L}\p{N}])/gu, '\\$&')
    .replace(/&(?=#?\w{1,31};)/g, '\\&')
    .replace(/<(?=[^\s<>]*[:@])/g, '\\<');
  if (!atLineStart) return signs;
  return signs
    .replace(/^(\s*)(?=[-+>]|#{1,6}(?:\s|$)|=+\s*$)/, '$1\\')
    .replace(/^(\s*\d{1,9})(?=[.)](?:\s|$))/, '$1\\');
}

const { nodes, marks } = defaultMarkdownSerializer;
const serializer = new MarkdownSerializer(
  {
    paragraph: nodes['paragraph']!,
    text: (state, node, parent, index) => {
      const atLineStart = index === 0 || parent.child(index - 1).type.name === 'hardBreak';
      state.text(plain(node.text ?? '', atLineStart), false);
    },
    heading: nodes['heading']!,
    blockquote: nodes['blockquote']!,
    horizontalRule: nodes['horizontal_rule']!,
    listItem: nodes['list_item']!,
    bulletList: (state, node) => state.renderList(node, '  ', () => '- '),
    orderedList: (state, node) => {
      const start = (node.attrs['start'] as number | undefined) ?? 1;
      state.renderList(node, '   ', (i) => `${start + i}. `);
    },
    codeBlock: (state, node) => {
      state.write(`\`\`\`${(node.attrs['language'] as string | null) ?? ''}\n`);
      state.text(node.textContent, false);
      state.ensureNewLine();
      state.write('```');
      state.closeBlock(node);
    },
    hardBreak: (state, node, parent, index) => {
      // At the end of a paragraph there is nothing to break.
      for (let i = index + 1; i < parent.childCount; i++)
        if (parent.child(i).type !== node.type) return state.write('  \n');
    },
  },
  { bold: marks['strong']!, italic: marks['em']!, code: marks['code']!, link: marks['link']! },
  { hardBreakNodeName: 'hardBreak' },
);

/** A note as the editor has it. */
export const noteDocument = (note: string): JSONContent => parser.parse(note).toJSON() as JSONContent;

/** What the editor has as a note. */
export const noteOf = (document: JSONContent): string =>
  serializer.serialize(schema.nodeFromJSON(document), { tightLists: true }).replace(/\n+$/, '');
