import { REVIEW_LIMITS } from '@ichnograph/contract';
import type { ReviewDetail, ReviewGiven } from '@ichnograph/contract';
import { useEffect, useRef, useState } from 'react';
import { api } from '../common/api';
import { readDraft, writeDraft } from '../common/drafts';
import { isPassing, useMe } from '../common/queries';

/** So long the hand rests before what it gave is kept. */
const RESTS_MS = 600;
const AGAIN_MS = 2000;

export interface SavedReview {
  given: ReviewGiven;
  change: (part: Partial<ReviewGiven>) => void;
  /** everything is kept by the server */
  isSaved: boolean;
  /** why it is not, in the server's words */
  fault: unknown;
  /** keeps at once what is not kept yet. @returns whether all is kept */
  settle: () => Promise<boolean>;
}

/** What is given in a review: shown at once, kept when the hand rests, one sending after the other. */
export function useSavedReview(detail: ReviewDetail): SavedReview {
  const { id, version } = detail;
  const account = useMe().id;
  const draft = `review ${id}`;
  const [begun] = useState(() => begunWith(detail, readDraft<Draft>(account, draft)));
  const [given, setGiven] = useState(begun);
  const [isSaved, setSaved] = useState(true);
  const [fault, setFault] = useState<unknown>(null);
  const [keeper] = useState(
    () =>
      new Keeper(
        id,
        version,
        (is) => {
          if (is) writeDraft(account, draft, null);
          setSaved(is);
        },
        setFault,
      ),
  );
  const latest = useRef(given);
  useEffect(() => {
    // What a reload in the middle of a word left in this browser alone.
    if (begun !== detail.given) keeper.keep(begun);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, as it is opened
  }, []);
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent): void => {
      if (!keeper.isSaved) event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    return () => {
      window.removeEventListener('beforeunload', warn);
      // Who leaves within the page takes nothing along that is not kept.
      void keeper.settle();
    };
  }, [keeper]);
  const change = (part: Partial<ReviewGiven>): void => {
    latest.current = { ...latest.current, ...part };
    setGiven(latest.current);
    writeDraft(account, draft, { version: keeper.version, given: latest.current } satisfies Draft);
    keeper.keep(latest.current);
  };
  return { given, change, isSaved, fault, settle: () => keeper.settle() };
}

/** What was given over a version and not kept by the server yet. */
interface Draft {
  version: number;
  given: ReviewGiven;
}

/** What was given elsewhere since stands; words that are in this browser alone are put behind it. */
function begunWith({ given, version, state, open }: ReviewDetail, draft: Draft | null): ReviewGiven {
  if (!draft || state === 'sent' || !open) return given;
  if (draft.version === version) return draft.given;
  const { words } = draft.given;
  if (words.trim() === '' || given.words.includes(words)) return given;
  return { ...given, words: [given.words, words].filter(Boolean).join('\n').slice(0, REVIEW_LIMITS.words) };
}

class Keeper {
  private next: ReviewGiven | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private turn: Promise<boolean> = Promise.resolve(true);

  constructor(
    private readonly id: string,
    public version: number,
    private readonly onSaved: (is: boolean) => void,
    private readonly onFault: (fault: unknown) => void,
  ) {}

  get isSaved(): boolean {
    return this.next === null;
  }

  keep(given: ReviewGiven): void {
    this.next = given;
    this.onSaved(false);
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.settle(), RESTS_MS);
  }

  settle(): Promise<boolean> {
    clearTimeout(this.timer);
    this.turn = this.turn.then(() => this.send());
    return this.turn;
  }

  private async send(): Promise<boolean> {
    const given = this.next;
    if (!given) return true;
    try {
      const { version } = await api.put<{ version: number }>(`reviews/${this.id}`, { ...given, version: this.version });
      this.version = version;
      this.onFault(null);
    } catch (error) {
      this.onFault(error);
      // Where there was no way it is tried again by itself; what was refused waits for a change.
      if (isPassing(error)) this.timer = setTimeout(() => void this.settle(), AGAIN_MS);
      return false;
    }
    if (this.next !== given) return this.send();
    this.next = null;
    this.onSaved(true);
    return true;
  }
}
