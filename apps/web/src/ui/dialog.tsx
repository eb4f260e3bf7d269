import { AlertDialog, Dialog as RadixDialog } from 'radix-ui';
import { X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import type { ReactNode } from 'react';
import { giveBackFocus } from '../common/focus-home';
import { Button, buttonClass } from './button';

const OVERLAY = 'fixed inset-0 z-40 bg-ink/30';
const WIDTH = { normal: 'w-[min(92vw,34rem)]', wide: 'w-[min(94vw,60rem)]' };
const PANEL =
  'fixed left-1/2 top-1/2 z-50 max-h-[90vh] -translate-x-1/2 -translate-y-1/2 overflow-y-auto border border-ink bg-paper p-5';

export function Dialog({
  open,
  onOpenChange,
  title,
  description,
  children,
  wide = false,
  onCloseAutoFocus,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  description?: ReactNode;
  children: ReactNode;
  /** for what has to be seen large */
  wide?: boolean;
  onCloseAutoFocus?: (event: Event) => void;
}) {
  const opener = useRef<HTMLElement | null>(null);
  return (
    <RadixDialog.Root open={open} onOpenChange={onOpenChange}>
      <RadixDialog.Portal>
        <RadixDialog.Overlay data-veil className={OVERLAY} />
        <RadixDialog.Content
          data-over-all
          className={`${PANEL} ${WIDTH[wide ? 'wide' : 'normal']}`}
          onOpenAutoFocus={(event) => {
            opener.current = document.activeElement as HTMLElement | null;
            // What is to be typed first has the focus, not the button that closes.
            const first = (event.currentTarget as HTMLElement).querySelector<HTMLElement>('[data-autofocus]');
            if (!first) return;
            event.preventDefault();
            first.focus();
          }}
          onCloseAutoFocus={(event) => giveBackFocus(event, opener.current, onCloseAutoFocus)}
          {...(!description && { 'aria-describedby': undefined })}
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <RadixDialog.Title className="words text-lg font-semibold">{title}</RadixDialog.Title>
            <RadixDialog.Close className={buttonClass('quiet', true)} aria-label="Close">
              <X aria-hidden size={16} />
            </RadixDialog.Close>
          </div>
          {description && (
            <RadixDialog.Description asChild>
              <div className="words mb-4 text-quiet">{description}</div>
            </RadixDialog.Description>
          )}
          {children}
        </RadixDialog.Content>
      </RadixDialog.Portal>
    </RadixDialog.Root>
  );
}

/** Asks before something that is not easily undone. The safe answer has the focus. */
export function Confirm({
  open,
  title,
  children,
  yes,
  no = 'Cancel',
  danger = false,
  onAnswer,
  onCloseAutoFocus,
}: {
  open: boolean;
  title: string;
  children: ReactNode;
  yes: string;
  no?: string;
  danger?: boolean;
  onAnswer: (answer: boolean) => void;
  onCloseAutoFocus?: (event: Event) => void;
}) {
  const opener = useRef<HTMLElement | null>(null);
  // A yes closes it too, which is no answer of its own.
  const said = useRef(false);
  useEffect(() => {
    if (open) said.current = false;
  }, [open]);
  const answer = (isYes: boolean): void => {
    if (said.current) return;
    said.current = true;
    onAnswer(isYes);
  };
  return (
    <AlertDialog.Root
      open={open}
      onOpenChange={(next) => {
        if (!next) answer(false);
      }}
    >
      <AlertDialog.Portal>
        <AlertDialog.Overlay className={OVERLAY} />
        <AlertDialog.Content
          data-over-all
          className={`${PANEL} ${WIDTH.normal}`}
          onOpenAutoFocus={() => (opener.current = document.activeElement as HTMLElement | null)}
          onCloseAutoFocus={(event) => giveBackFocus(event, opener.current, onCloseAutoFocus)}
        >
          <AlertDialog.Title className="words text-lg font-semibold">{title}</AlertDialog.Title>
          <AlertDialog.Description asChild>
            <div className="words my-3">{children}</div>
          </AlertDialog.Description>
          <div className="flex justify-end gap-2">
            <AlertDialog.Cancel asChild>
              <Button>{no}</Button>
            </AlertDialog.Cancel>
            <AlertDialog.Action asChild>
              <Button look={danger ? 'danger' : 'action'} onClick={() => answer(true)}>
                {yes}
              </Button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
