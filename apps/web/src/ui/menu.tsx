import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';

/** A few acts behind one button. */
export function Menu({ trigger, children }: { trigger: ReactNode; children: ReactNode }) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          className="card z-50 min-w-44 p-1"
          // What an act brought up to be filled in keeps the focus it was given.
          onCloseAutoFocus={(event) => {
            if (document.activeElement?.matches('input, textarea, select')) event.preventDefault();
          }}
        >
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

export function MenuItem({ onSelect, children }: { onSelect: () => void; children: ReactNode }) {
  return (
    <DropdownMenu.Item
      className="flex min-h-8 pointer-coarse:min-h-11 cursor-pointer items-center gap-2 rounded-sm px-2.5 outline-none data-[highlighted]:bg-wash"
      onSelect={onSelect}
    >
      {children}
    </DropdownMenu.Item>
  );
}
