import { createStore } from 'zustand/vanilla';
import { useStore } from 'zustand';
import { api, sentenceOfError } from './api';

/** Pictures that could not be had, why, and how often all of them have been asked for again. */
interface Lost {
  srcs: ReadonlySet<string>;
  why: string | null;
  tries: number;
}

const AGAIN_MS = 15_000;
const store = createStore<Lost>(() => ({ srcs: new Set(), why: null, tries: 0 }));
let waiting: ReturnType<typeof setTimeout> | undefined;

/** A picture did not come: its words are drawn meanwhile, the reason is said, and it is asked for again. */
export function pictureIsLost(src: string, href: string): void {
  store.setState({ srcs: new Set([...store.getState().srcs, src]) });
  if (href.startsWith('/api/'))
    void api
      .head(href.slice('/api/'.length))
      .catch((error: unknown) => store.setState({ why: sentenceOfError(error) }));
  waiting ??= setTimeout(() => {
    waiting = undefined;
    store.setState({ srcs: new Set(), tries: store.getState().tries + 1 });
  }, AGAIN_MS);
}

/** A picture came after all. */
export function pictureIsThere(): void {
  if (store.getState().srcs.size === 0 && store.getState().why !== null) store.setState({ why: null });
}

export const useLostPictures = <T>(select: (lost: Lost) => T): T => useStore(store, select);
