/** What the rest of this room may use of the editor. */
export { createEditor, EditorProvider, useEditor, useEditorState } from './editor';
export type { Editor } from './editor';
export type { Asking, EditorState, Listed, PictureTab, Spot, Typing } from './state';
export { heldIn } from './asking-actions';
