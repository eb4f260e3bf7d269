import { ContextMenu } from 'radix-ui';
import { useReactFlow } from '@xyflow/react';
import { useRef, useState } from 'react';
import type { MouseEvent, ReactNode } from 'react';
import { showChord } from '../../common/chords';
import type { DeskHand } from '../commands/command';
import { useCommands } from '../commands/list';
import { useEditor } from '../editor';
import type { Spot } from '../editor';

/** What is done most with what one points at, each part after a line. */
const PARTS = [
  [
    'grow',
    'sibling',
    'words',
    'about',
    'look-large',
    'as-topic',
    'picture',
    'sketch',
    'link',
    'turn',
    'between',
    'from',
    'to',
  ],
  ['hang', 'cut-loose', 'fold', 'alone', 'region', 'group', 'ungroup'],
  ['choose-branch', 'choose-links that leave', 'choose-links that arrive', 'choose-same kind'],
  ['row', 'stack', 'clear', 'copy-looks', 'give-looks', 'as-its-kind'],
  ['copy', 'copy-branch', 'cut', 'cut-branch', 'duplicate', 'delete', 'delete-branch'],
] as const;

/** How commands are called, and what they do, where one points at a place. */
const HERE: Readonly<Record<string, { name: string; run?: (desk: DeskHand, at: Spot) => void }>> = {
  make: { name: 'Make a topic here' },
  paste: { name: 'Paste here', run: ({ editor }, at) => editor.actions.pasteAt(at) },
};

/** What can be done where nothing is. */
const ON_EMPTY = [
  ['paste', 'picture', 'sketch'],
  ['tidy-downward', 'tidy-outward', 'uncross', 'unfold'],
  ['select-all', 'find', 'fit', 'overview', 'print', 'palette'],
] as const;

/**
 * The menu of what one points at, or of the empty place there: by the other button of a mouse, by the menu key, by a finger
 * that stays. What is not selected is, before it opens.
 */
export function CanvasMenu({ onClosed, children }: { onClosed: () => void; children: ReactNode }) {
  const { commands, desk } = useCommands();
  const { store, actions } = useEditor();
  const flow = useReactFlow();
  /** the empty place that was pointed at; null on a mark */
  const [place, setPlace] = useState<Spot | null>(null);
  const pressed = useRef<{ target: Element; clientX: number; clientY: number } | null>(null);
  const choose = ({ target, button, clientX, clientY }: MouseEvent): void => {
    // The canvas itself stands for an empty place of it; the menu key on it is for what is selected.
    const isEmpty = (target as Element).id === 'canvas' && button === 2;
    pointAt({ target: target as Element, clientX, clientY }, isEmpty);
  };
  const pointAt = ({ target, clientX, clientY }: NonNullable<typeof pressed.current>, isEmpty: boolean): void => {
    const id = target.closest('[data-id]')?.getAttribute('data-id');
    setPlace(isEmpty ? flow.screenToFlowPosition({ x: clientX, y: clientY }) : null);
    if (isEmpty) actions.select([]);
    else if (id && !store.getState().selection.includes(id)) actions.select([id]);
  };
  const parts = (): (readonly [string, typeof commands])[] =>
    (place ? [['make'] as const, ...ON_EMPTY] : PARTS)
      .map(
        (ids) =>
          [
            ids[0],
            ids.flatMap((id) => {
              const command = commands.find((one) => one.id === id);
              return command && (command.can?.(store.getState()) ?? true) ? [command] : [];
            }),
          ] as const,
      )
      .filter(([, own]) => own.length > 0);
  return (
    <ContextMenu.Root
      modal={false}
      onOpenChange={(isOpen) => {
        // A finger that stays opens it without an event of its own.
        const at = pressed.current;
        if (isOpen && at) pointAt(at, at.target.classList.contains('react-flow__pane'));
      }}
    >
      <ContextMenu.Trigger
        asChild
        onContextMenu={choose}
        onPointerDownCapture={({ pointerType, target, clientX, clientY }) => {
          pressed.current = pointerType === 'touch' ? { target: target as Element, clientX, clientY } : null;
        }}
      >
        <div className="h-full w-full">{children}</div>
      </ContextMenu.Trigger>
      <ContextMenu.Portal>
        <ContextMenu.Content
          collisionPadding={8}
          className="card z-50 max-h-[80vh] min-w-64 overflow-y-auto p-1"
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            onClosed();
          }}
        >
          <Items
            parts={parts}
            nameOf={({ id, name }) => (place && HERE[id]?.name) ?? name}
            run={(command) =>
              requestAnimationFrame(() => {
                const here = place && HERE[command.id]?.run;
                if (here) here(desk, place);
                else command.run(place ? { ...desk, centre: () => place } : desk);
              })
            }
          />
        </ContextMenu.Content>
      </ContextMenu.Portal>
    </ContextMenu.Root>
  );
}

type Commands = ReturnType<typeof useCommands>['commands'];

/** Asked for when the menu opens, so that it shows what can be done then. */
function Items({
  parts,
  nameOf,
  run,
}: {
  parts: () => (readonly [string, Commands])[];
  nameOf: (command: Commands[number]) => string;
  run: (command: Commands[number]) => void;
}) {
  return parts().map(([part, own], i) => (
    <ContextMenu.Group key={part} className={i > 0 ? 'mt-1 border-t border-rule pt-1' : ''}>
      {own.map((command) => (
        <ContextMenu.Item
          key={command.id}
          className="flex min-h-7 cursor-pointer items-center justify-between gap-4 rounded-sm px-2.5 outline-none data-[highlighted]:bg-wash pointer-coarse:min-h-11"
          onSelect={() => run(command)}
        >
          {nameOf(command)}
          {command.keys[0] && <kbd className="font-mono text-xs text-quiet">{showChord(command.keys[0])}</kbd>}
        </ContextMenu.Item>
      ))}
    </ContextMenu.Group>
  ));
}
