import { mentionBegun, mentionOf } from '@ichnograph/core';
import type { Person } from '@ichnograph/contract';
import { useId, useLayoutEffect, useRef, useState } from 'react';
import type { ComponentProps, KeyboardEvent } from 'react';
import { Writing } from '../../ui/writing';

const plain = (words: string): string => words.normalize('NFC').toLocaleLowerCase();
/** Names offered at once. */
const MOST = 6;

/** A few lines of one's own words; after an @ the names of those who read them are offered. A field of several lines may not be a combobox; it points at its list as one does. */
export function MentionWriting({
  people,
  ...rest
}: ComponentProps<typeof Writing> & {
  /** who may be mentioned */
  people: readonly Person[];
}) {
  const { onText } = rest;
  const value: string = rest.value;
  const list = useId();
  const box = useRef<HTMLDivElement>(null);
  const [caret, setCaret] = useState<number | null>(null);
  const [at, setAt] = useState(0);
  /** where one goes on writing, as soon as the name stands there: before the next letter comes */
  const [behind, setBehind] = useState<number | null>(null);
  useLayoutEffect(() => {
    if (behind !== null) box.current!.querySelector('textarea')!.setSelectionRange(behind, behind);
  }, [behind]);
  const begun = caret === null ? null : mentionBegun(value, caret);
  const offered = begun
    ? people
        .filter(({ givenName, familyName }) => {
          const name = plain(`${givenName} ${familyName}`);
          const wanted = plain(begun.name);
          return name.startsWith(wanted) && mentionOfIsOpen(begun.name, people);
        })
        .slice(0, MOST)
    : [];
  const chosen = Math.min(at, offered.length - 1);
  const take = (person: Person): void => {
    if (!begun) return;
    const mention = `${mentionOf(person, people)} `;
    onText(value.slice(0, begun.at) + mention + value.slice(caret!));
    setCaret(null);
    setBehind(begun.at + mention.length);
  };
  const onKey = (event: KeyboardEvent): void => {
    if (offered.length === 0 || event.nativeEvent.isComposing) return;
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    const takes = (event.key === 'Enter' && !event.ctrlKey && !event.metaKey) || event.key === 'Tab';
    if (step === 0 && !takes && event.key !== 'Escape') return;
    event.preventDefault();
    event.stopPropagation();
    if (step !== 0) setAt((chosen + step + offered.length) % offered.length);
    else if (takes) take(offered[chosen]!);
    else setCaret(null);
  };
  const isOpen = offered.length > 0;
  return (
    <div ref={box} className="relative" onKeyDownCapture={onKey}>
      <Writing
        {...rest}
        {...(people.length > 0 && {
          'aria-autocomplete': 'list',
          'aria-haspopup': 'listbox',
          'aria-controls': list,
        })}
        {...(isOpen && { 'aria-activedescendant': `${list}-${chosen}` })}
        onSelect={({ currentTarget }) => {
          setBehind(null);
          setCaret(currentTarget.selectionStart);
          setAt(0);
        }}
        onBlur={() => setCaret(null)}
      />
      <ul
        id={list}
        role="listbox"
        aria-label="Who is meant"
        hidden={!isOpen}
        className="card absolute left-0 right-0 top-full z-30 max-h-56 overflow-y-auto p-1"
      >
        {offered.map((person, i) => (
          <li
            key={person.id}
            id={`${list}-${i}`}
            role="option"
            aria-selected={i === chosen}
            className={`words min-h-7 cursor-pointer px-2 py-1 ${i === chosen ? 'bg-wash' : ''}`}
            // The field keeps the focus.
            onPointerDown={(event) => {
              event.preventDefault();
              take(person);
            }}
          >
            {person.givenName} {person.familyName}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Whether a name that was begun is not a whole mention already, behind which one goes on writing. */
const mentionOfIsOpen = (name: string, people: readonly Person[]): boolean =>
  !people.some((person) => plain(name).startsWith(`${plain(mentionOf(person, people)).slice(1)} `));
