import { Popover } from 'radix-ui';
import { useId } from 'react';
import type { ReactNode } from 'react';

/**
 * A field or a button, and beneath it why what was typed or asked for is not done: over the page, so that nothing moves from
 * under a hand.
 * @param children gets what its element says of the trouble
 */
export function WithWhy({ trouble, children }: { trouble: string; children: (says: object) => ReactNode }) {
  const id = useId();
  return (
    <Popover.Root open={trouble !== ''}>
      <Popover.Anchor asChild>
        {children(trouble ? { 'aria-invalid': true, 'aria-describedby': id } : {})}
      </Popover.Anchor>
      <Popover.Portal>
        <Popover.Content
          id={id}
          role="alert"
          align="start"
          sideOffset={2}
          className="card z-50 border-madder bg-madder-wash px-2 py-0.5 text-sm text-madder"
          onOpenAutoFocus={(event) => event.preventDefault()}
          onCloseAutoFocus={(event) => event.preventDefault()}
          onInteractOutside={(event) => event.preventDefault()}
          onEscapeKeyDown={(event) => event.preventDefault()}
        >
          {trouble}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
