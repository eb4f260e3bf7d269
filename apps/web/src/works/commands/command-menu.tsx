import { ChevronDown } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { showChord } from '../../common/chords';
import { buttonClass } from '../../ui/button';
import { LEADER } from './arranging';
import { BarName } from './bar-name';
import type { Command } from './command';
import { useCommands } from './list';
import { useEditor, useEditorState } from '../editor';

/** The commands of one group behind one button of the bar, each with its key. What cannot be done now is greyed. */
export function CommandMenu({
  group,
  name,
  sign,
  bare = false,
}: {
  group: Command['group'];
  name: string;
  sign: ReactNode;
  /** shows the sign alone, and tells the name */
  bare?: boolean;
}) {
  const { commands, desk } = useCommands();
  const { store } = useEditor();
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger className={buttonClass('plain', true)} title={name}>
        {sign}
        {bare ? <span className="sr-only">{name}</span> : <BarName first>{name}</BarName>}
        {!bare && <ChevronDown aria-hidden size={12} />}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={4}
          collisionPadding={8}
          className="card z-50 max-h-[min(70vh,36rem)] min-w-72 overflow-y-auto p-1"
        >
          {group === 'arrange' && (
            <p className="border-b border-rule px-2.5 pb-1.5 pt-1 text-sm text-quiet">
              {showChord(LEADER)}, then the letter. Tidying takes what is selected, or the whole map.
            </p>
          )}
          {commands
            .filter((command) => command.group === group)
            .map((command) => (
              <DropdownMenu.Item
                key={command.id}
                disabled={!(command.can?.(store.getState()) ?? true)}
                className="flex min-h-7 cursor-pointer items-center justify-between gap-4 rounded-sm px-2.5 outline-none pointer-coarse:min-h-11 data-[disabled]:cursor-not-allowed data-[highlighted]:bg-wash data-[disabled]:text-quiet"
                // After the menu has given the focus back.
                onSelect={() => requestAnimationFrame(() => command.run(desk))}
              >
                {command.name}
                {(command.leader ?? command.keys[0]) && (
                  <kbd className="whitespace-nowrap font-mono text-xs">
                    {command.leader ?? showChord(command.keys[0]!)}
                  </kbd>
                )}
              </DropdownMenu.Item>
            ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

/** While the leader key has been pressed: which letter does what. */
export function LeaderCard() {
  const leading = useEditorState((state) => state.leading);
  const { commands } = useCommands();
  const { store } = useEditor();
  if (!leading) return null;
  const led = commands.filter(({ leader }) => leader !== undefined);
  return (
    <div role="status" className="card absolute inset-x-3 bottom-3 z-30 max-w-[46rem] p-2.5">
      <p className="caption mb-1.5">Arrange: press a letter, or Escape</p>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(17rem,1fr))] gap-x-4 gap-y-0.5 text-sm">
        {led.map(({ id, leader, name, can }) => (
          <li key={id} className={(can?.(store.getState()) ?? true) ? '' : 'text-quiet'}>
            <kbd className="mr-2 inline-block w-4 text-center font-mono font-semibold">{leader}</kbd>
            {name}
          </li>
        ))}
      </ul>
    </div>
  );
}
