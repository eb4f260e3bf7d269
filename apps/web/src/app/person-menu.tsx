import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { Check } from 'lucide-react';
import { useNavigate } from 'react-router';
import type { Me } from '@ichnograph/contract';
import { useSignOut } from '../accounts';
import { useSingleLetters } from '../common/single-letters';
import { NAME_BUTTON, NameOf } from './name-of';

/** What somebody can do about themselves. @param defaultOpen whether it was asked for before it was there */
export function PersonMenu({ me, defaultOpen }: { me: Me; defaultOpen: boolean }) {
  const navigate = useNavigate();
  const { signOut, dialog } = useSignOut(me);
  const letters = useSingleLetters();
  const [home, setHome] = useState<HTMLElement | null>(null);
  const item = 'flex min-h-9 cursor-pointer items-center rounded-sm px-3 outline-none data-[highlighted]:bg-wash';
  return (
    <>
      {/* The menu stands where its button does, for those who hear where they are. */}
      <div ref={setHome} className="contents" />
      <DropdownMenu.Root modal={false} defaultOpen={defaultOpen}>
        <DropdownMenu.Trigger className={NAME_BUTTON}>
          <NameOf me={me} />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal container={home}>
          <DropdownMenu.Content align="end" sideOffset={4} className="z-50 min-w-48 card p-1">
            <DropdownMenu.CheckboxItem className={item} checked={letters.on} onCheckedChange={letters.set}>
              <span className="w-5">
                <DropdownMenu.ItemIndicator>
                  <Check aria-hidden size={14} />
                </DropdownMenu.ItemIndicator>
              </span>
              Single letters as keys
            </DropdownMenu.CheckboxItem>
            <DropdownMenu.Item className={item} onSelect={() => void navigate('/password')}>
              Change password
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={() => void signOut()}>
              Sign out
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {dialog}
    </>
  );
}
