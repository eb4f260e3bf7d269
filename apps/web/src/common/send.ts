import { useRef, useState } from 'react';
import { announce } from './announcer';
import { api, SaidError, sentenceOfError } from './api';
import { refresh } from './queries';
import type { Changed } from './queries';

/** `api.post` whose answer is kept until the whole act has worked: what was done of it is not done again at a second try. */
export type Post = typeof api.post;

export interface Sending {
  /** empties the field the words stand in as they are sent; what it answers gives them back */
  takes?: () => () => void;
  /** what this one act changed, where that is something else than what is changed here at most times */
  changes?: Changed;
  /** tells one act from another, where what is said does not */
  as?: string;
}

export type Send = (work: (post: Post) => Promise<unknown>, said?: string, sending?: Sending) => Promise<boolean>;

/**
 * The one way to send. An act that is asked for again while it is under way, or before what it changed is on the screen, is
 * not done twice; words are taken from their field at once and given back where it failed; of two requests that belong
 * together the first is not repeated when the second failed.
 * @param changed what is changed from here, and so is asked for again
 * @returns `send`, which answers whether it worked (`said` is told to those who do not see the screen, and tells one act from
 * another); what went wrong last: the `fault` and its `trouble` in words; and `refuse`, which says so before anything is sent
 */
export function useSend(changed: Changed) {
  const [fault, setFault] = useState<unknown>(null);
  const [underWay, setUnderWay] = useState(0);
  const going = useRef(new Set<string>());
  const done = useRef(new Map<string, Map<string, unknown>>());
  const send: Send = async (work, said = '', { takes, changes = changed, as = said } = {}) => {
    if (going.current.has(as)) return false;
    going.current.add(as);
    setUnderWay((count) => count + 1);
    setFault(null);
    const giveBack = takes?.();
    try {
      await work(remembering(done.current, as));
      done.current.delete(as);
      if (said) announce(said);
      await refresh(changes);
      return true;
    } catch (error) {
      giveBack?.();
      // What has no words for a person is a fault of ours.
      if (!(error instanceof SaidError)) console.error(error);
      setFault(error);
      return false;
    } finally {
      setUnderWay((count) => count - 1);
      setTimeout(() => going.current.delete(as));
    }
  };
  return {
    send,
    fault,
    trouble: fault === null ? '' : sentenceOfError(fault),
    isSending: underWay > 0,
    refuse: setFault as (fault: Error | null) => void,
  };
}

function remembering(done: Map<string, Map<string, unknown>>, act: string): Post {
  const answers = done.get(act) ?? new Map<string, unknown>();
  done.set(act, answers);
  return async <T>(path: string, body?: unknown): Promise<T> => {
    const words = `${path} ${JSON.stringify(body)}`;
    if (!answers.has(words)) answers.set(words, await api.post<T>(path, body));
    return answers.get(words) as T;
  };
}
