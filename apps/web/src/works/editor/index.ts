/** What the rest of this room may use of the editor. */
export { createEditor, EditorProvider, useEditor, useEditorState } from './editor';
export type { Editor } from './editor';
export type { EditorState, PictureTab, Spot, Typing } from './state';
