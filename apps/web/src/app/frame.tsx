import { lazy, Suspense, useState } from 'react';
import { Link, NavLink, Outlet } from 'react-router';
import type { Me } from '@ichnograph/contract';
import { HeadSlot, useHasMap, WithHead } from '../common/head-of-page';
import { Mark } from '../common/mark';
import { Loading } from '../common/page';
import { useTold } from '../common/told';
import { StaleNotice } from '../common/waiting';
import { afterwards, loadPage } from './load-page';
import { NAME_BUTTON, NameOf } from './name-of';

const PasswordPage = lazy(async () => ({
  default: (await loadPage(() => import('../accounts/password-page'))).PasswordPage,
}));

const ToldLast = afterwards(async () => (await import('../common/told-last')).ToldLast);
const PersonMenu = afterwards(async () => (await import('./person-menu')).PersonMenu);

const PLACES: Record<Me['role'], [to: string, name: string][]> = {
  student: [
    ['/', 'Today'],
    ['/own-maps', 'Own maps'],
  ],
  teacher: [
    ['/', 'Today'],
    ['/assignments', 'Assignments'],
    ['/gatherings', 'Questions'],
    ['/gradebook', 'Marks'],
    ['/own-maps', 'Own maps'],
    ['/people', 'People'],
  ],
  administrator: [['/people', 'People']],
};

/** The head of every page of somebody who is signed in, and the page below it. */
export function Frame({ me }: { me: Me }) {
  const [asked, ask] = useState(false);
  const isTold = useTold(({ count }) => count > 0);
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
        <header className="no-print flex min-h-[46px] items-center gap-2 border-b border-rule bg-paper px-2 max-md:flex-wrap max-md:py-1 sm:gap-4 sm:px-4">
          <Link to="/" className="flex items-center gap-2 font-semibold">
            <Mark />
            <span className="max-md:sr-only">Ichnograph</span>
          </Link>
          {me.mustChangePassword ? <span className="flex-1" /> : <HeadSlot fallback={<Places me={me} />} />}
          <Suspense
            fallback={
              <button type="button" data-waiting aria-haspopup="menu" className={NAME_BUTTON} onClick={() => ask(true)}>
                <NameOf me={me} />
              </button>
            }
          >
            <PersonMenu me={me} defaultOpen={asked} />
          </Suspense>
        </header>
        <Suspense fallback={<Loading what="Opening the page …" />}>
          {me.mustChangePassword ? <PasswordPage first /> : <Outlet />}
        </Suspense>
        <StaleNotice />
        <Suspense fallback={null}>{isTold && <ToldLast />}</Suspense>
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
