import { useEffect, useRef, useState } from 'react';
import type { ChangeEvent, InputHTMLAttributes, KeyboardEvent, TextareaHTMLAttributes } from 'react';
import { WithWhy } from '../ui/with-why';
import { useDraft } from './drafts';
import { figureFault } from './figure-fault';
import type { Limits } from './figure-fault';

type TextField = HTMLInputElement | HTMLTextAreaElement;

interface Committing {
  /** what stands outside: shown, and followed, as long as nobody types here */
  value: string;
  /** takes what was typed; a sentence says why it is not taken, and then it stays to be mended */
  onCommit: (typed: string, field: TextField | null) => string | null | void;
  /** taken at every key that leaves what can be taken, not only when the field is left */
  live?: boolean | undefined;
  /** under which name the words outlive a reload until they are taken */
  draft?: string | undefined;
}

/**
 * A field that keeps to itself what is typed until that is done: when it is left or goes, and at Enter in one line, but not
 * while an input method composes. Escape gives back what was there; of many lines it loses none. Who only passes through
 * changes nothing, so that what somebody else wrote meanwhile stays.
 */
function useCommitted({ value, onCommit, live = false, draft }: Committing) {
  const [typed, setTyped] = useDraft<string>(draft);
  const [trouble, setTrouble] = useState('');
  const before = useRef(value);
  const field = useRef<TextField | null>(null);
  const finish = (): void => {
    if (typed === null) return;
    const fault = typed === value && !isUnread(field.current) ? null : onCommit(typed, field.current);
    setTrouble(fault ?? '');
    if (!fault) setTyped(null);
  };
  // What did not do here gives way to what is said elsewhere: a button beside it, or somebody else.
  const seen = useRef(value);
  useEffect(() => {
    if (seen.current === value) return;
    seen.current = value;
    if (document.activeElement === field.current) return;
    setTyped(null);
    setTrouble('');
    // eslint-disable-next-line react-hooks/exhaustive-deps -- when what stands outside becomes another
  }, [value]);
  const latest = useRef(finish);
  useEffect(() => {
    latest.current = finish;
  });
  useEffect(() => () => latest.current(), []);
  return {
    trouble,
    field: {
      ref: (one: TextField | null) => {
        if (one) field.current = one;
      },
      value: typed ?? value,
      onChange: ({ target }: ChangeEvent<TextField>): void => {
        if (typed === null) before.current = value;
        setTyped(target.value);
        setTrouble('');
        // What is not taken on the way to more leaves what was there.
        if (live && onCommit(target.value, target)) onCommit(before.current, null);
      },
      onBlur: finish,
      onKeyDown: (event: KeyboardEvent<TextField>): void => {
        if (event.nativeEvent.isComposing) return;
        const isOneLine = event.currentTarget instanceof HTMLInputElement;
        if (event.key === 'Enter' && isOneLine) {
          event.preventDefault();
          finish();
        }
        if (event.key === 'Escape' && isOneLine && typed !== null) {
          event.preventDefault();
          event.stopPropagation();
          if (live) onCommit(before.current, null);
          setTyped(null);
          setTrouble('');
        }
      },
    },
  };
}

/** Whether a browser could not read what stands in a field, and gives no text for it. */
const isUnread = (field: TextField | null): boolean => field?.validity.badInput ?? false;

type Rest<E> = Omit<E, 'value' | 'defaultValue' | 'onChange' | 'onBlur' | 'onKeyDown'>;

/** One line of words. */
export function CommittedInput({
  value,
  onCommit,
  live,
  draft,
  ...input
}: Committing & Rest<InputHTMLAttributes<HTMLInputElement>>) {
  const { field, trouble } = useCommitted({ value, onCommit, live, draft });
  return <WithWhy trouble={trouble}>{(says) => <input {...input} {...field} {...says} />}</WithWhy>;
}

/** Several lines of words. */
export function CommittedLines({
  value,
  onCommit,
  live,
  draft,
  ...area
}: Committing & Rest<TextareaHTMLAttributes<HTMLTextAreaElement>>) {
  const { field, trouble } = useCommitted({ value, onCommit, live, draft });
  return <WithWhy trouble={trouble}>{(says) => <textarea {...area} {...field} {...says} />}</WithWhy>;
}

/** A figure: taken with every digit that leaves one that may be, and said why where it may not. */
export function CommittedFigure({
  value,
  onCommit,
  limits = {},
  live = true,
  ...input
}: {
  value: number | undefined;
  onCommit: (figure: number | undefined) => void;
  limits?: Limits;
  live?: boolean;
} & Rest<InputHTMLAttributes<HTMLInputElement>>) {
  const { field, trouble } = useCommitted({
    value: value === undefined ? '' : String(value),
    live,
    onCommit: (typed, where) => {
      const fault = figureFault(typed, isUnread(where), limits);
      if (!fault) onCommit(typed.trim() === '' ? undefined : Number(typed));
      return fault;
    },
  });
  return (
    <WithWhy trouble={trouble}>
      {(says) => (
        <input
          type="number"
          step={limits.whole ? 1 : 'any'}
          min={limits.least}
          max={limits.most}
          {...input}
          {...field}
          {...says}
        />
      )}
    </WithWhy>
  );
}
