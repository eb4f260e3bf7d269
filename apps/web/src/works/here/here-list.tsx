import type { PersonMark, TopicMap } from '@ichnograph/core';
import type { OneHere } from '@ichnograph/contract';
import { Popover } from 'radix-ui';
import { useStore } from 'zustand';
import type { WhoIsHere } from '../../live';
import { Button } from '../../ui/button';
import { useEditor, useEditorState } from '../editor';
import { Badge } from '../../ui/badge';
import { nameOf } from './use-people';

/** Badges beside one another before the rest is a count. */
const MOST = 4;

/** Who has this map open now: their initials, and at a press who they are, what they do, and following one of them. */
export function HereList({
  here,
  marks,
  isReader,
  isShared,
  onMap,
}: {
  here: WhoIsHere;
  marks: ReadonlyMap<string, PersonMark>;
  /** whether this person only looks on */
  isReader: boolean;
  /** whether several draw on this map, here or not */
  isShared: boolean;
  /** brings the map into sight, where another view is shown */
  onMap: () => void;
}) {
  const people = useStore(here.store, (state) => state.people);
  const { actions } = useEditor();
  const makers = useEditorState((state) => state.makers);
  if (people.length === 0 && !isReader && !isShared) return null;
  const names = people.map(nameOf).join(', ');
  return (
    <Popover.Root>
      <Popover.Trigger
        className="flex min-h-8 items-center gap-0.5 rounded-sm px-1 hover:bg-wash pointer-coarse:min-h-11"
        aria-label={people.length === 0 ? 'Who is here: nobody else' : `Who is here: ${names}`}
        title={people.length === 0 ? 'Nobody else is here' : `Here: ${names}`}
      >
        {people.slice(0, MOST).map((person) => (
          <Badge key={person.id} mark={marks.get(person.id)!} />
        ))}
        {people.length > MOST && <span className="font-mono text-xs font-bold">+{people.length - MOST}</span>}
        {people.length === 0 && <span className="text-sm text-quiet">Alone here</span>}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content align="end" sideOffset={4} className="card z-50 grid w-80 gap-2 p-3" aria-label="Who is here">
          <h2 className="font-semibold">Who is here</h2>
          {people.length === 0 && <p className="text-quiet">Nobody else has this map open.</p>}
          <Doings here={here} marks={marks} onMap={onMap} />
          {isShared && (
            <Button
              small
              className="justify-self-start"
              aria-pressed={makers}
              onClick={() => {
                onMap();
                actions.toggleMakers();
              }}
            >
              {makers ? 'Hide who made what' : 'Who made what'}
            </Button>
          )}
          {isReader && <SeenByOthers here={here} />}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** What each of them does, as it is now: drawn anew with every hand that moves, while the list is open. */
function Doings({
  here,
  marks,
  onMap,
}: {
  here: WhoIsHere;
  marks: ReadonlyMap<string, PersonMark>;
  onMap: () => void;
}) {
  const others = useStore(here.store, (state) => state.others);
  const followed = useStore(here.store, (state) => state.followed);
  return (
    <ul className="grid max-h-80 gap-1.5 overflow-y-auto">
      {others.map((one) => (
        <Row
          key={one.key}
          one={one}
          mark={marks.get(one.person.id)!}
          isFollowed={one.key === followed}
          onFollow={() => {
            onMap();
            here.store.setState({ followed: one.key === followed ? null : one.key });
          }}
        />
      ))}
    </ul>
  );
}

function Row({
  one,
  mark,
  isFollowed,
  onFollow,
}: {
  one: OneHere;
  mark: PersonMark;
  isFollowed: boolean;
  onFollow: () => void;
}) {
  const does = useEditorState(({ map }) => doingOf(one, map));
  return (
    <li className="grid grid-cols-[auto_1fr_auto] items-start gap-2">
      <Badge mark={mark} />
      <span className="words">
        {nameOf(one.person)}
        <span className="block text-sm text-quiet">{does}</span>
      </span>
      {one.view && (
        <Button small aria-pressed={isFollowed} onClick={onFollow}>
          {isFollowed ? (
            'Let go'
          ) : (
            <>
              Follow<span className="sr-only"> {one.person.givenName}</span>
            </>
          )}
        </Button>
      )}
    </li>
  );
}

function SeenByOthers({ here }: { here: WhoIsHere }) {
  const shown = useStore(here.store, (state) => state.shown);
  return (
    <label className="flex items-start gap-2 border-t border-rule pt-2">
      <input
        type="checkbox"
        className="mt-1 accent-action"
        checked={shown}
        onChange={({ target }) => here.say({ shown: target.checked })}
      />
      <span>
        Show those who draw that I am here
        <span className="block text-sm text-quiet">Until you say so, nobody sees that you look on.</span>
      </span>
    </label>
  );
}

/** What somebody does just now, for those who do not see it on the map. */
export function doingOf({ types, holds, view, reads }: OneHere, map: TopicMap): string {
  const wordsAt = (id: string): string | undefined => {
    const words = map.topics.find((one) => one.id === id)?.text ?? map.links.find((one) => one.id === id)?.phrase;
    return words === '' ? undefined : words;
  };
  if (types !== undefined) {
    const words = wordsAt(types);
    return words === undefined ? 'is writing' : `is writing in “${words}”`;
  }
  if (holds.length > 1) return `has chosen ${holds.length} things`;
  const words = holds[0] === undefined ? undefined : wordsAt(holds[0]);
  if (words !== undefined) return `has chosen “${words}”`;
  return reads ? 'is looking on' : view ? 'is on the map' : 'is in another view';
}
