import { mapOutline, normalForm, outlineSentence, readOutline } from '@ichnograph/core';
import type { Sheet, TopicKind, TopicMap } from '@ichnograph/core';
import { useId, useState } from 'react';
import { BringInDialog } from '../../bringing-in';
import { CommittedInput } from '../../common/committed';
import { announce } from '../../common/announcer';
import { useWords } from '../../common/drafts';
import { Button } from '../../ui/button';
import { Remark } from '../../ui/remark';
import { Section } from '../section';
import { takeOut } from '../../common/take-out';
import { usePart, useSheetPage } from '../use-sheet';
import { moved, placeAloud } from '../../common/lists';
import { Table } from '../../ui/table';

type Term = Sheet['terms']['terms'][number];

/** What students are given to place: typed, pasted one a line, or as a chapter's outline. */
export function TermsSection() {
  const [{ terms }, change] = usePart('terms');
  const [{ legend }] = usePart('legend');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const setTerms = (make: (terms: Term[]) => Term[]): void =>
    change((before) => ({ ...before, terms: make(before.terms) }));
  const setOne = (text: string, fields: Partial<Term>): void =>
    setTerms((all) => all.map((term) => (term.text === text ? { ...term, ...fields } : term)));
  const setChosenOnes = (fields: Partial<Term>): void =>
    setTerms((all) => all.map((term) => (chosen.has(term.text) ? { ...term, ...fields } : term)));
  const all = terms.length > 0 && chosen.size === terms.length;
  return (
    <Section
      id="terms"
      title="Which terms do they get?"
      lead="Those on the map stand in the starter map; the others wait in the word bank."
    >
      <AddTerms onAdd={(added) => setTerms((before) => [...before, ...added])} terms={terms} />
      {terms.length > 0 && (
        <div className="mt-4">
          <Table
            className="w-full max-md:min-w-[44rem]"
            columns={[
              {
                name: (
                  <input
                    type="checkbox"
                    aria-label="Choose all terms"
                    className="accent-action"
                    checked={all}
                    onChange={() => setChosen(new Set(all ? [] : terms.map(({ text }) => text)))}
                  />
                ),
                className: 'w-8',
              },
              'Term',
              'Also counts',
              { name: 'Kind', className: 'w-32' },
              { name: 'Handed out under', className: 'w-36' },
              { name: 'Where', className: 'w-28' },
            ]}
          >
            {terms.map((term, i) => (
              <tr
                key={term.text}
                className="border-b border-rule"
                onKeyDown={(event) => {
                  if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
                  event.preventDefault();
                  const by = event.key === 'ArrowUp' ? -1 : 1;
                  setTerms((before) => moved(before, i, by));
                  announce(placeAloud(term.text, i, by, terms.length));
                }}
              >
                <td>
                  <input
                    type="checkbox"
                    aria-label={`Choose ${term.text}`}
                    className="accent-action"
                    checked={chosen.has(term.text)}
                    onChange={() => {
                      const next = new Set(chosen);
                      if (!next.delete(term.text)) next.add(term.text);
                      setChosen(next);
                    }}
                  />
                </td>
                <td className="words py-1 pr-2 font-semibold">{term.text}</td>
                <td>
                  <CommittedInput
                    aria-label={`Other wordings of ${term.text}`}
                    className={BARE}
                    value={(term.accept ?? []).join(' | ')}
                    placeholder="…"
                    title="Several wordings with | between"
                    live
                    onCommit={(typed) => {
                      const accept = typed
                        .split('|')
                        .map((one) => one.trim())
                        .filter((one) => one !== '');
                      if (accept.some((one) => one.length > 300)) return 'A wording has room for 300 characters.';
                      setOne(term.text, { accept });
                      return null;
                    }}
                  />
                </td>
                <td>
                  <KindChoice
                    label={`Kind of ${term.text}`}
                    kinds={legend.topicKinds}
                    value={term.kind ?? ''}
                    onChange={(kind) => setOne(term.text, { kind })}
                  />
                </td>
                <td>
                  <select
                    aria-label={`What ${term.text} is handed out under`}
                    className={BARE}
                    value={term.under ?? ''}
                    onChange={({ target }) => setOne(term.text, { under: target.value === '' ? null : target.value })}
                  >
                    <option value="">the main idea</option>
                    {terms.map(({ text }) => text !== term.text && <option key={text}>{text}</option>)}
                  </select>
                </td>
                <td>
                  <PlaceChoice
                    label={`Where ${term.text} is handed out`}
                    value={term.place ?? 'bank'}
                    onChange={(place) => setOne(term.text, { place })}
                  />
                </td>
              </tr>
            ))}
          </Table>
        </div>
      )}
      <OfStudentsKinds terms={terms} kinds={legend.topicKinds} />
      {chosen.size > 0 && (
        <div
          role="toolbar"
          aria-label="Chosen terms"
          className="sticky bottom-0 mt-2 flex items-center gap-3 border border-ink bg-paper px-3 py-1.5 max-sm:flex-wrap"
        >
          <span className="whitespace-nowrap">{chosen.size} chosen</span>
          <KindChoice
            label="Kind of the chosen"
            kinds={legend.topicKinds}
            value=""
            empty="Kind …"
            onChange={(kind) => setChosenOnes({ kind })}
          />
          <PlaceChoice
            label="Where the chosen are handed out"
            value=""
            onChange={(place) => setChosenOnes({ place })}
          />
          <Button
            small
            look="danger"
            onClick={() => {
              takeOut(terms, ({ text }) => chosen.has(text), {
                change: setTerms,
                keyOf: ({ text }) => text,
                words: chosen.size === 1 ? 'One term is removed.' : `${chosen.size} terms are removed.`,
              });
              setChosen(new Set());
            }}
          >
            Remove
          </Button>
        </div>
      )}
      {terms.length > 1 && (
        <p className="mt-2 text-sm text-quiet">Alt with an arrow key moves a term up or down in the list.</p>
      )}
    </Section>
  );
}

const BARE =
  'w-full min-w-0 rounded-sm border border-transparent bg-transparent px-1 py-1 hover:border-rule focus:border-[#8b9389] focus:bg-white';

function KindChoice({
  label,
  kinds,
  value,
  empty = 'no kind',
  onChange,
}: {
  label: string;
  kinds: readonly { id: string; name: string }[];
  value: string;
  empty?: string;
  onChange: (kind: string | null) => void;
}) {
  return (
    <select
      aria-label={label}
      className={BARE}
      value={value}
      onChange={({ target }) => onChange(target.value === '' ? null : target.value)}
    >
      <option value="">{empty}</option>
      {kinds.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}

function PlaceChoice({
  label,
  value,
  onChange,
}: {
  label: string;
  value: 'map' | 'bank' | '';
  onChange: (place: 'map' | 'bank') => void;
}) {
  return (
    <select
      aria-label={label}
      className={BARE}
      value={value}
      onChange={({ target }) => onChange(target.value as 'map' | 'bank')}
    >
      {value === '' && <option value="">Where …</option>}
      <option value="bank">word bank</option>
      <option value="map">on the map</option>
    </select>
  );
}

/** What a given term of a kind that students give does to the counts: seldom meant. */
function OfStudentsKinds({ terms, kinds }: { terms: readonly Term[]; kinds: readonly TopicKind[] }) {
  return kinds
    .filter(({ givenBy }) => givenBy === 'student')
    .map(({ id, name }) => {
      const texts = terms.filter(({ kind }) => kind === id).map(({ text }) => `“${text}”`);
      if (texts.length === 0) return null;
      return (
        <Remark key={id}>
          {texts.slice(0, 5).join(', ')}
          {texts.length > 5 && ` and ${texts.length - 5} more`}: {texts.length === 1 ? 'is' : 'are'} of the kind “{name}
          ”, which students give themselves. A requirement that counts what they add of that kind will count{' '}
          {texts.length === 1 ? 'it' : 'them'} too.
        </Remark>
      );
    });
}

/** One field for all three ways: a line is a term, and indenting or numbering says what stands under what. */
/** A map's topics as a chapter's outline, a tab a level. */
const linesOf = (map: TopicMap): string =>
  mapOutline(map)
    .map(({ depth, text }) => `${'\t'.repeat(depth)}${text.replace(/\s+/g, ' ').trim()}`)
    .join('\n');

function AddTerms({ terms, onAdd }: { terms: readonly Term[]; onAdd: (added: Term[]) => void }) {
  const id = useId();
  const [{ legend }] = usePart('legend');
  const { text, setText } = useWords(`terms for ${useSheetPage().detail.id}`);
  const [kind, setKind] = useState(
    () => legend.topicKinds.find((one) => one.givenBy === 'teacher' && !one.root)?.id ?? '',
  );
  const [place, setPlace] = useState<'map' | 'bank'>('bank');
  const [brings, setBrings] = useState(false);
  const read = readOutline(text, kind === '' ? [] : [kind]);
  const before = new Set(terms.map((term) => normalForm(term.text)));
  const fresh = read.terms.filter((term) => !before.has(normalForm(term.text)));
  const known = read.terms.length - fresh.length;
  const add = (): void => {
    onAdd(
      fresh.map(({ text: words, accept, under, kind: itsKind }) => ({
        text: words,
        ...(accept.length > 0 && { accept }),
        kind: itsKind,
        under,
        place,
      })),
    );
    announce(fresh.length === 1 ? 'One term is added.' : `${fresh.length} terms are added.`);
    setText('');
  };
  return (
    <div className="card p-3">
      <label htmlFor={id} className="mb-1 block font-semibold">
        Add terms
      </label>
      <textarea
        id={id}
        className="field min-h-20 font-mono text-sm"
        value={text}
        placeholder={'One a line, or a chapter’s outline:\nArch\n  keystone | key stone\n  abutment'}
        onChange={({ target }) => setText(target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey) || fresh.length === 0) return;
          event.preventDefault();
          add();
        }}
      />
      {text !== '' && (
        <ul role="status" className="mt-1 text-sm text-quiet">
          {known > 0 && <li>{known === 1 ? 'One is' : `${known} are`} in the list already.</li>}
          {read.messages.slice(0, 5).map((message) => (
            <li key={`${message.line} ${message.code}`}>
              Line {message.line}: {outlineSentence(message)}
            </li>
          ))}
        </ul>
      )}
      <div className="mt-2 flex items-center gap-3">
        <div className="w-40">
          <KindChoice
            label="Kind of the new terms"
            kinds={legend.topicKinds}
            value={kind}
            onChange={(next) => setKind(next ?? '')}
          />
        </div>
        <div className="w-32">
          <PlaceChoice label="Where the new terms are handed out" value={place} onChange={setPlace} />
        </div>
        <Button onClick={() => setBrings(true)}>From a file …</Button>
        <Button look="action" className="ml-auto" disabled={fresh.length === 0} onClick={add}>
          {fresh.length === 1 ? 'Add 1 term' : `Add ${fresh.length} terms`}
        </Button>
      </div>
      <BringInDialog
        open={brings}
        onOpenChange={setBrings}
        title="Terms from a file"
        ways={[
          {
            yes: 'Take its topics as terms',
            onMake: (map) => {
              setText([text.trimEnd(), linesOf(map)].filter((part) => part !== '').join('\n'));
              setBrings(false);
            },
          },
        ]}
      />
    </div>
  );
}
