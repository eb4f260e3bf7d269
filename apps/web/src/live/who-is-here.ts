import type { Here, LiveMessage, OneHere, Person } from '@ichnograph/contract';
import { createStore } from 'zustand/vanilla';

/** What a page says of the person before it. */
export type OwnHand = Omit<Here, 'type'>;

/** Pointers move as often as frames are drawn: so often is enough for those who look on. */
const PAUSE_MS = 60;

export interface WhoIsHere {
  store: ReturnType<typeof newStore>;
  /** Says something new of one's own hand; what is left out stays as it was. */
  say: (part: { [K in keyof OwnHand]?: OwnHand[K] | undefined }) => void;
}

const newStore = () =>
  createStore<{
    others: readonly OneHere[];
    /** each of them once; another list only when somebody comes or goes, and not when a hand moves */
    people: readonly Person[];
    /** the opening whose view is followed, by its key */
    followed: string | null;
    /** whether one who only reads is seen by the others */
    shown: boolean;
  }>(() => ({ others: [], people: [], followed: null, shown: false }));

const isSame = (a: readonly Person[], b: readonly Person[]): boolean =>
  a.length === b.length && a.every(({ id }, i) => id === b[i]!.id);

/**
 * Who else has this map open, and what they are told of this page. While nobody else is here nothing is said.
 * @param send gives a message to the connection, if there is one
 */
export function openWhoIsHere(accountId: string, send: (here: Here) => void) {
  const store = newStore();
  let mine: Here = { type: 'here', holds: [] };
  let timer: ReturnType<typeof setTimeout> | null = null;
  let isNew = false;

  const sendNow = (): void => {
    if (store.getState().others.length === 0 && !mine.shown) return;
    isNew = false;
    send(mine);
    timer = setTimeout(() => {
      timer = null;
      if (isNew) sendNow();
    }, PAUSE_MS);
  };
  const say: WhoIsHere['say'] = (part) => {
    // Fields without a value are left out of what is sent.
    mine = { ...mine, ...part };
    if (part.shown !== undefined) store.setState({ shown: part.shown });
    isNew = true;
    if (!timer) sendNow();
  };
  const setOthers = (others: readonly OneHere[]): void => {
    const { followed, others: before } = store.getState();
    const isThere = others.some(({ key }) => key === followed);
    const people = [...new Map(others.map(({ person }) => [person.id, person])).values()];
    store.setState({
      others,
      people: isSame(people, store.getState().people) ? store.getState().people : people,
      followed: isThere ? followed : null,
    });
    if (before.length === 0 && others.length > 0) say({});
  };
  return {
    store,
    say,
    hear: ({ people, gone, all }: Extract<LiveMessage, { type: 'here' }>): void => {
      // One's own other window is oneself.
      const others = people.filter(({ person }) => person.id !== accountId);
      const moved = new Map(others.map((one) => [one.key, one]));
      const left = all ? [] : store.getState().others.filter(({ key }) => !gone.includes(key));
      const known = new Set(left.map(({ key }) => key));
      setOthers([...left.map((one) => moved.get(one.key) ?? one), ...others.filter(({ key }) => !known.has(key))]);
      if (all) say({});
    },
    /** The way is lost: nobody is seen until it is there again. */
    lost: (): void => setOthers([]),
    destroy: (): void => clearTimeout(timer ?? undefined),
  };
}
