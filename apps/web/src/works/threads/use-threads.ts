import { mentionedIn } from '@ichnograph/core';
import type { CommentRow, Person, WorkComments } from '@ichnograph/contract';
import { useEffect, useMemo, useRef } from 'react';
import { announce } from '../../common/announcer';
import { useMe, useWorkComments } from '../../common/queries';

/** One thing that was said in a thread. */
interface Utterance {
  by: Person;
  at: string;
  text: string;
}
export const utterancesOf = (comment: CommentRow): Utterance[] => [comment, ...comment.answers];

/** What others said since somebody read last, oldest first. @param until ISO instant; null: nothing was read yet */
export const newIn = (comment: CommentRow, until: string | null, meId: string): Utterance[] =>
  utterancesOf(comment).filter(({ by, at }) => by.id !== meId && (until === null || at > until));

export interface Threads {
  all: readonly CommentRow[];
  people: readonly Person[];
  mayBegin: boolean;
  readUntil: string | null;
  unread: number;
  /** of those unread, how many name the one who reads */
  forMe: number;
}

const NOTHING: Threads = { all: [], people: [], mayBegin: false, readUntil: null, unread: 0, forMe: 0 };

/** The threads on a map that is drawn, as they are now; what is new is told to those who do not see it. */
export function useThreads(workId: string | null): Threads {
  const { id: me } = useMe();
  const { data } = useWorkComments(workId);
  const threads = useMemo(() => (data ? threadsOf(data, me) : NOTHING), [data, me]);
  const heard = useRef<ReadonlySet<string> | null>(null);
  useEffect(() => {
    if (!data) return;
    const all = data.comments.flatMap(utterancesOf);
    const known = heard.current;
    heard.current = new Set(all.map(keyOf));
    // What was there when the page opened is counted, not read out.
    const fresh = known ? all.filter((one) => one.by.id !== me && !known.has(keyOf(one))) : [];
    const [last] = fresh.slice(-1);
    if (last) announce(fresh.length > 1 ? `${fresh.length} new comments.` : `${last.by.givenName} says: ${last.text}`);
  }, [data, me]);
  return threads;
}

const keyOf = ({ by, at }: Utterance): string => `${by.id} ${at}`;

function threadsOf({ comments, people, mayBegin, readUntil }: WorkComments, me: string): Threads {
  const fresh = comments.flatMap((comment) => newIn(comment, readUntil, me));
  return {
    all: comments,
    people,
    mayBegin,
    readUntil,
    unread: fresh.length,
    forMe: fresh.filter(({ text }) => mentionedIn(text, people).has(me)).length,
  };
}
