import { useStore } from 'zustand';
import type { WhoIsHere } from '../../live';
import { Button } from '../../ui/button';

/** Whose view is followed, and the way out of it. */
export function Following({ here: { store } }: { here: WhoIsHere }) {
  const leader = useStore(store, ({ others, followed }) => others.find(({ key }) => key === followed)?.person);
  if (!leader) return null;
  return (
    <div className="card absolute left-1/2 top-3 z-20 flex -translate-x-1/2 items-center gap-3 px-2.5 py-1.5 text-sm">
      <p className="words">You see what {leader.givenName} sees. Move the map, and you have let go.</p>
      <Button small onClick={() => store.setState({ followed: null })}>
        Let go
      </Button>
    </div>
  );
}
