import { Command as Palette } from 'cmdk';
import { showChord } from '../../common/chords';
import { KeysDialog } from '../../common/page-keys';
import type { PageKey } from '../../common/page-keys';
import { Dialog } from '../../ui/dialog';
import type { View } from '../commands/command';
import { useCommands } from '../commands/list';
import { keysOfView } from '../lists/keys-of-lists';
import { useEditor } from '../editor';

/** Every command of the page by name, with its keys. */
export function CommandPalette({
  open,
  onOpenChange,
  onClosed,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onClosed: () => void;
}) {
  const { commands, desk } = useCommands();
  const { store } = useEditor();
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Find a command"
      onCloseAutoFocus={(event) => {
        event.preventDefault();
        onClosed();
      }}
    >
      <Palette label="Commands">
        <Palette.Input data-autofocus className="field mb-2" placeholder="Type a part of its name" />
        <Palette.List className="max-h-[50vh] overflow-y-auto">
          <Palette.Empty className="px-2 py-1 text-quiet">No command has these words.</Palette.Empty>
          {commands
            .filter(({ id }) => id !== 'palette')
            .map((command) => (
              <Palette.Item
                key={command.id}
                value={command.name}
                disabled={!(command.can?.(store.getState()) ?? true)}
                className="flex cursor-pointer items-center justify-between gap-4 rounded-sm px-2 py-1 data-[disabled=true]:cursor-not-allowed data-[selected=true]:bg-wash data-[disabled=true]:text-quiet"
                onSelect={() => {
                  onOpenChange(false);
                  // After the dialog has given the focus back: some commands ask for it themselves.
                  requestAnimationFrame(() => command.run(desk));
                }}
              >
                <span className="words">{command.name}</span>
                {command.keys[0] && <kbd className="shrink-0 font-mono text-xs">{showChord(command.keys[0])}</kbd>}
              </Palette.Item>
            ))}
        </Palette.List>
      </Palette>
    </Dialog>
  );
}

const WALKING: readonly PageKey[] = [
  { chords: ['Arrow keys'], name: 'Go to the next topic that way; with Shift, add it to the selection' },
  { chords: ['Alt+arrow keys'], name: 'Move the selected topics; with Shift, one unit at a time' },
  {
    chords: ['Mod+C', 'Mod+X'],
    name: 'Copy, cut: topics with the links between them; their words for pasting elsewhere',
  },
  { chords: ['Mod+V'], name: 'Paste: what was copied here, or text from elsewhere as topics, a branch or a table' },
  { chords: ['Alt+drag'], name: 'Move a topic with all that hangs from it; dropped on another it hangs there' },
  { chords: ['Any letter'], name: 'Type over the words of what is selected' },
  { chords: ['Ctrl+click', 'Shift+click'], name: 'Add to the selection' },
];

/** The keys of the page. */
export function MapKeysDialog({
  view,
  open,
  onOpenChange,
}: {
  view: View;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const { commands } = useCommands();
  const ofView = keysOfView(view);
  const keys = [
    ...(ofView ?? WALKING),
    // Keys of the canvas act there alone.
    ...commands
      .filter((command) => command.keys.length > 0 && (!ofView || command.where === 'page'))
      .map(({ keys: chords, name }) => ({ chords, name })),
  ];
  return <KeysDialog open={open} onOpenChange={onOpenChange} keys={keys} />;
}
