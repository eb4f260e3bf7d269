import { lazy, Suspense } from 'react';
import { Loading } from '../common/page';
import { useFocusHome } from '../common/focus-home';
import { useWelcome } from '../common/queries';
import { Waiting } from '../common/waiting';
import { loadPage } from './load-page';

/** Who comes for the first time loads nothing of what is behind the door, and who is inside nothing of the door. */
const FirstAdministratorPage = lazy(async () => ({
  default: (await loadPage(() => import('../accounts/first-administrator-page'))).FirstAdministratorPage,
}));
const SignInPage = lazy(async () => ({
  default: (await loadPage(() => import('../accounts/sign-in-page'))).SignInPage,
}));
const Frame = lazy(async () => ({ default: (await loadPage(() => import('./frame'))).Frame }));

/** The doors before all pages: first administrator, sign-in. */
export function Shell() {
  const welcome = useWelcome();
  useFocusHome();
  if (welcome.data === undefined) return <Waiting of={welcome} what="Opening Ichnograph …" />;
  const { me, needsFirstAdministrator } = welcome.data;
  return (
    <Suspense fallback={<Loading what="Opening Ichnograph …" />}>
      {needsFirstAdministrator ? <FirstAdministratorPage /> : me ? <Frame me={me} /> : <SignInPage />}
    </Suspense>
  );
}
