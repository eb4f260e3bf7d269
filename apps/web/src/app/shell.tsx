import { DropdownMenu } from 'radix-ui';
import { Suspense, useState } from 'react';
import { Check, ChevronDown } from 'lucide-react';
import { Link, NavLink, Outlet, useNavigate } from 'react-router';
import type { Me } from '@ichnograph/contract';
import { FirstAdministratorPage, PasswordPage, SignInPage, useSignOut } from '../accounts';
import { HeadSlot, useHasMap, WithHead } from '../common/head-of-page';
import { useFocusHome } from '../common/focus-home';
import { Mark } from '../common/mark';
import { Loading } from '../common/page';
import { useWelcome } from '../common/queries';
import { useSingleLetters } from '../common/single-letters';
import { ToldLast } from '../common/told';
import { StaleNotice, Waiting } from '../common/waiting';

const PLACES: Record<Me['role'], [to: string, name: string][]> = {
  student: [
    ['/', 'Today'],
    ['/own-maps', 'Own maps'],
  ],
  teacher: [
    ['/', 'Today'],
    ['/assignments', 'Assignments'],
    ['/gradebook', 'Marks'],
    ['/own-maps', 'Own maps'],
    ['/people', 'People'],
  ],
  administrator: [['/people', 'People']],
};

/** The head of every page, and the doors before it: first administrator, sign-in. */
export function Shell() {
  const welcome = useWelcome();
  useFocusHome();
  if (welcome.data === undefined) return <Waiting of={welcome} what="Opening Ichnograph …" />;
  const { me, needsFirstAdministrator } = welcome.data;
  if (needsFirstAdministrator) return <FirstAdministratorPage />;
  if (!me) return <SignInPage />;
  return (
    <WithHead>
      <div className="flex min-h-screen flex-col">
        <nav aria-label="Skip">
          <a
            href="#main"
            className="sr-only focus:not-sr-only focus:absolute focus:left-2 focus:top-2 focus:z-50 focus:bg-white focus:p-2"
          >
            Skip to the page
          </a>
          <SkipToMap />
        </nav>
        <header className="no-print flex min-h-[46px] items-center gap-2 border-b border-rule bg-paper px-2 max-sm:flex-wrap max-sm:py-1 sm:gap-4 sm:px-4">
          <Link to="/" className="flex items-center gap-2 font-semibold">
            <Mark />
            <span className="max-md:sr-only">Ichnograph</span>
          </Link>
          {me.mustChangePassword ? <span className="flex-1" /> : <HeadSlot fallback={<Places me={me} />} />}
          <PersonMenu me={me} />
        </header>
        <Suspense fallback={<Loading what="Opening the page …" />}>
          {me.mustChangePassword ? <PasswordPage first /> : <Outlet />}
        </Suspense>
        <StaleNotice />
        <ToldLast />
      </div>
    </WithHead>
  );
}

/** On pages with a map, past everything to it. */
function SkipToMap() {
  if (!useHasMap()) return null;
  return (
    <a
      href="#canvas"
      className="sr-only focus:not-sr-only focus:absolute focus:left-2 focus:top-2 focus:z-50 focus:bg-white focus:p-2"
    >
      Skip to the map
    </a>
  );
}

function Places({ me }: { me: Me }) {
  return (
    <nav aria-label="Places" className="flex min-w-0 flex-1 gap-1 overflow-x-auto">
      {PLACES[me.role].map(([to, name]) => (
        <NavLink
          key={to}
          to={to}
          end
          className={({ isActive }) =>
            `whitespace-nowrap rounded-sm px-1.5 py-1.5 sm:px-3 ${isActive ? 'bg-wash font-semibold' : 'hover:bg-canvas'}`
          }
        >
          {name}
        </NavLink>
      ))}
    </nav>
  );
}

function PersonMenu({ me }: { me: Me }) {
  const navigate = useNavigate();
  const { signOut, dialog } = useSignOut(me);
  const letters = useSingleLetters();
  const [home, setHome] = useState<HTMLElement | null>(null);
  const item = 'flex min-h-9 cursor-pointer items-center rounded-sm px-3 outline-none data-[highlighted]:bg-wash';
  return (
    <>
      {/* The menu stands where its button does, for those who hear where they are. */}
      <div ref={setHome} className="contents" />
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger className="ml-auto flex max-w-[16rem] shrink-0 items-center whitespace-nowrap gap-1 rounded-sm px-2 py-1.5 hover:bg-canvas">
          <span className="truncate">
            {me.givenName}
            <span className="max-md:sr-only"> {me.familyName}</span>
          </span>
          <ChevronDown aria-hidden size={14} />
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
