import { MOST_AT_ONCE } from '@ichnograph/contract';
import type { Card, ClassRow } from '@ichnograph/contract';
import { useId, useMemo, useState } from 'react';
import { api, SaidError } from '../common/api';
import { useWords } from '../common/drafts';
import { useKnownNames } from '../common/queries';
import { useSend } from '../common/send';
import { useRested } from '../common/use-rested';
import { Button } from '../ui/button';
import { ChooseFile } from '../ui/choose-file';
import { Trouble } from '../ui/field';
import { namesIn, readNames, textOfFile } from './read-names';
import type { Columns, NameRow } from './read-names';
import { Table } from '../ui/table';

const TROUBLE: Record<NonNullable<NameRow['trouble']>, string> = {
  'no name': 'has no name',
  'too long': 'is longer than a name may be',
  formula: 'looks like a formula',
  twice: 'stands further up already',
};
const ODD: Record<NonNullable<NameRow['odd']>, string> = {
  'one word': 'one word only',
  digits: 'has figures in it',
  'in the class': 'somebody of this name is in the class already',
};

/** What the names that are written for a class and not made yet are kept under. */
export const namesDraft = (classId: string): string => `names for ${classId}`;

/** Names pasted or from a file, and before anything is made what will be. */
export function AddNames({
  of,
  known,
  onMade,
  onCancel,
}: {
  of: ClassRow;
  known: readonly string[];
  onMade: (cards: Card[]) => void;
  onCancel: () => void;
}) {
  const id = useId();
  const { trouble, isSending, send } = useSend('everything');
  const { text, setText } = useWords(namesDraft(of.id));
  const [chosen, setChosen] = useState<Columns | null>(null);
  // Whoever stands twice, or seems to be in the class, is taken or left by hand.
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const table = useMemo(() => readNames(text), [text]);
  const columns = chosen ?? table.columns;
  const names = useMemo(() => namesIn(table, columns, known), [table, columns, known]);
  const asked = useRested(useMemo(() => names.filter(({ trouble: wrong }) => wrong === null), [names]));
  const { data: there } = useKnownNames(
    of.id,
    useMemo(() => asked.map(({ givenName, familyName }) => ({ givenName, familyName })), [asked]),
  );
  const elsewhere = new Set((there?.known ?? []).map((i) => asked[i]?.line));
  const taken = names.filter(({ trouble: wrong, line }) => wrong === null && !left.has(line));
  const read = (file: File): void =>
    void send(async () => {
      setChosen(null);
      try {
        setText(textOfFile(new Uint8Array(await file.arrayBuffer())));
      } catch (error) {
        if (!(error instanceof RangeError)) throw error;
        throw new SaidError(`“${file.name}” is larger than a list of names can be, so it was not read.`);
      }
    });
  const make = (): void =>
    void send(async () => {
      const cards = await api.post<Card[]>(`classes/${of.id}/students`, {
        people: taken.map(({ givenName, familyName }) => ({ givenName, familyName })),
      });
      setText('');
      onMade(cards);
    }, `${taken.length} accounts are made.`);
  return (
    <section aria-labelledby={`${id}-title`} className="min-w-0">
      <h2 id={`${id}-title`} className="words mb-1 text-lg font-semibold">
        Add names to {of.name}
      </h2>
      <p className="mb-3 max-w-[70ch] text-quiet">
        One a line, or CSV with a heading. Nothing is made before you have seen what will be.
      </p>
      <label htmlFor={`${id}-text`} className="mb-1 block font-semibold">
        Names
      </label>
      <textarea
        id={`${id}-text`}
        className="field min-h-28 font-mono text-sm"
        autoFocus
        value={text}
        placeholder={'Noor Halvorsen\nKofi Lund'}
        onChange={({ target }) => {
          setChosen(null);
          setText(target.value);
        }}
      />
      <div className="my-2 flex flex-wrap items-center gap-2">
        <ChooseFile small accept=".csv,.txt,text/csv,text/plain" onFile={read}>
          Choose a file
        </ChooseFile>
        {table.heading && (
          <>
            <ColumnChoice
              label="Given name"
              heading={table.heading}
              value={columns.given}
              onChange={(given) => setChosen({ ...columns, given })}
            />
            <ColumnChoice
              label="Family name"
              heading={table.heading}
              value={columns.family}
              none="in the same column"
              onChange={(family) => setChosen({ ...columns, family })}
            />
          </>
        )}
      </div>
      <Trouble>{trouble}</Trouble>
      {names.length > MOST_AT_ONCE && (
        <Trouble>
          {`There are ${names.length} names. A class takes ${MOST_AT_ONCE} at once: is this the list of one class?`}
        </Trouble>
      )}
      {names.length > 0 && names.length <= MOST_AT_ONCE && (
        <Table
          className="mb-3 w-full text-sm"
          columns={[{ name: 'Line', className: 'w-14' }, 'Given name', 'Family name', 'What will be']}
        >
          {names.map(({ line, givenName, familyName, trouble: wrong, odd }) => (
            <tr key={line} className={`border-b border-rule ${wrong || left.has(line) ? 'text-quiet' : ''}`}>
              <td className="py-0.5 font-mono">{line}</td>
              <td className="words pr-3">{givenName}</td>
              <td className="words pr-3">{familyName}</td>
              <td>
                {wrong ? (
                  <span className="text-madder">left out: {TROUBLE[wrong]}</span>
                ) : (
                  <label className="flex items-center gap-1.5">
                    <input
                      type="checkbox"
                      className="accent-action"
                      aria-label={`Make an account for ${givenName} ${familyName}`}
                      checked={!left.has(line)}
                      onChange={({ target }) => {
                        const next = new Set(left);
                        if (target.checked) next.delete(line);
                        else next.add(line);
                        setLeft(next);
                      }}
                    />
                    {left.has(line) ? 'left out' : 'a new account'}
                    {odd !== 'in the class' && elsewhere.has(line) && (
                      <span className="text-ochre">
                        {' '}
                        · the school has somebody of this name: if it is them, let them in by the join code
                      </span>
                    )}
                    {odd && <span className="text-ochre"> · {ODD[odd]}</span>}
                  </label>
                )}
              </td>
            </tr>
          ))}
        </Table>
      )}
      <div className="flex gap-2">
        <Button look="action" disabled={taken.length === 0 || names.length > MOST_AT_ONCE || isSending} onClick={make}>
          {taken.length === 1 ? 'Make 1 account' : `Make ${taken.length} accounts`}
        </Button>
        <Button
          onClick={() => {
            setText('');
            onCancel();
          }}
        >
          Cancel
        </Button>
      </div>
    </section>
  );
}

function ColumnChoice({
  label,
  heading,
  value,
  none,
  onChange,
}: {
  label: string;
  heading: readonly string[];
  value: number;
  none?: string;
  onChange: (column: number) => void;
}) {
  return (
    <label className="flex items-center gap-1.5 text-sm">
      {label}
      <select className="field w-auto py-0.5" value={value} onChange={({ target }) => onChange(Number(target.value))}>
        {none && <option value={-1}>{none}</option>}
        {heading.map((name, i) => (
          <option key={i} value={i}>
            {name || `column ${i + 1}`}
          </option>
        ))}
      </select>
    </label>
  );
}
