import { effectiveKind, kindOfTopic, normalForm } from '@ichnograph/core';
import type { Chip, Legend } from '@ichnograph/core';
import { useDraggable } from '@dnd-kit/core';
import { MessageSquareText, X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { CommittedInput } from '../../common/committed';
import { useDraft } from '../../common/drafts';
import { Segments } from '../../ui/segments';
import { useEditor, useEditorState } from '../editor';
import type { Spot } from '../editor';

/** From so many terms on they can be looked for. */
const MANY = 10;

/** Terms that wait beside the map, the teacher's and the student's own. Drag one onto the map, or press Enter on it. */
export function BankPanel({
  workId,
  legend,
  centre,
  onPlace,
}: {
  workId: string;
  /** the middle of what is seen of the map */
  centre: () => Spot;
  legend: Legend;
  onPlace: (chip: Chip) => void;
}) {
  const { actions, own } = useEditor();
  const chips = useEditorState((state) => state.chips);
  const known = useEditorState((state) => state.report !== null);
  const [draft, setText] = useDraft<string>(`a term for ${workId}`);
  const text = draft ?? '';
  const [sought, seek] = useState('');
  const shown = chips.filter((chip) => normalForm(chip.text).includes(normalForm(sought)));
  const [onto, setOnto] = useState<'bank' | 'map'>('bank');
  const [joins, setJoins] = useState(true);
  const under = useEditorState(({ map, selection }) =>
    selection.length === 1 ? map.topics.find(({ id }) => id === selection[0]) : undefined,
  );
  const take = (words: string): boolean =>
    onto === 'bank'
      ? actions.addToBank(words)
      : actions.gatherOnto(words, joins ? (under?.id ?? null) : null, centre());
  const add = (): void => {
    if (take(text)) setText(null);
  };
  return (
    <section aria-label="Word bank">
      <h2 className="caption mb-1.5">Word bank{chips.length > 0 && ` · ${chips.length} to place`}</h2>
      <input
        aria-label="A term of your own"
        className="field mb-2"
        maxLength={300}
        placeholder="Type a term, press Enter"
        value={text}
        onChange={(event) => setText(event.target.value === '' ? null : event.target.value)}
        onKeyDown={(event) => {
          // While an input method composes, Enter chooses a word and ends nothing.
          if (event.key === 'Enter' && !event.nativeEvent.isComposing) {
            event.preventDefault();
            add();
          }
        }}
        onPaste={(event) => {
          const pasted = event.clipboardData.getData('text');
          if (!/\n/.test(pasted.trim())) return;
          event.preventDefault();
          take(pasted);
        }}
      />
      <div className="mb-2 grid gap-1 text-sm">
        <span aria-hidden className="text-quiet">
          A new term goes
        </span>
        <Segments
          label="Where terms go"
          options={['To the bank', 'To the map'] as const}
          value={onto === 'bank' ? 'To the bank' : 'To the map'}
          onChange={(where) => setOnto(where === 'To the map' ? 'map' : 'bank')}
        />
        {onto === 'map' && (
          <label className="flex items-start gap-2">
            <input
              type="checkbox"
              className="mt-0.5 accent-action"
              checked={joins}
              onChange={({ target }) => setJoins(target.checked)}
            />
            <span className="words min-w-0">
              {under ? `joined to “${under.text}”` : 'joined to what is selected (nothing is)'}
            </span>
          </label>
        )}
      </div>
      <OwnTopics />
      {chips.length > MANY && (
        <input
          type="search"
          aria-label="Find in the bank"
          className="field mb-2"
          placeholder="Find in the bank"
          value={sought}
          onChange={({ target }) => seek(target.value)}
        />
      )}
      {chips.length > 0 && shown.length === 0 && <p className="text-sm text-quiet">No term has these words.</p>}
      {chips.length === 0 && (
        <p className="text-sm text-quiet">
          {!known ? 'Looking what is placed …' : own ? 'No term waits here.' : 'Every given term is on the map.'}
        </p>
      )}
      <ul className="grid gap-1">
        {shown.map((chip) => (
          <li key={chip.key} className="grid min-w-0 grid-cols-[1fr_auto_auto]">
            <ChipButton chip={chip} legend={legend} onPlace={onPlace} />
          </li>
        ))}
      </ul>
    </section>
  );
}

/** How many topics of one's own there are, and what the teacher says to that. */
function OwnTopics() {
  const { assignment, own } = useEditor();
  const { mostOwnTopics: most, gatheringHint: hint } = assignment.drawing ?? {};
  // A term that was handed out is nobody's own, of whatever kind it is.
  const given = useMemo(
    () => new Set(assignment.terms.flatMap(({ text, accept = [] }) => [text, ...accept]).map(normalForm)),
    [assignment],
  );
  const count = useEditorState(
    ({ map }) =>
      map.topics.filter(
        (topic) => effectiveKind(topic, assignment)?.givenBy === 'student' && !given.has(normalForm(topic.text)),
      ).length,
  );
  if (own || (most === undefined && hint === undefined && count === 0)) return null;
  const isOver = most !== undefined && count > most;
  return (
    <p className={`mb-2 text-sm ${isOver ? 'text-ochre' : 'text-quiet'}`}>
      {hint && <span className="words block">{hint}</span>}
      {count === 1 ? '1 topic' : `${count} topics`} of your own
      {most !== undefined && ` of at most ${most}`}
      {isOver && '. Which of them say the same?'}
    </p>
  );
}

function ChipButton({ chip, legend, onPlace }: { chip: Chip; legend: Legend; onPlace: (chip: Chip) => void }) {
  const { actions } = useEditor();
  const [asked, ask] = useState(false);
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({ id: chip.key, data: chip });
  const colour = kindOfTopic(legend, chip.kind)?.outline ?? (chip.own ? '#8a5a00' : '#4d5867');
  return (
    <>
      <button
        ref={setNodeRef}
        type="button"
        {...listeners}
        aria-describedby={attributes['aria-describedby']}
        onClick={() => onPlace(chip)}
        onFocus={() => actions.look(chip)}
        onBlur={() => actions.look(null)}
        onPointerEnter={() => actions.look(chip)}
        onPointerLeave={() => actions.look(null)}
        className={`flex min-w-0 flex-1 touch-manipulation items-baseline justify-between gap-2 border border-l-4 border-rule bg-white px-2 py-1 text-left hover:bg-wash pointer-coarse:min-h-11 pointer-coarse:items-center ${isDragging ? 'opacity-40' : ''}`}
        style={{ borderLeftColor: colour }}
      >
        <span className="words min-w-0">{chip.text}</span>
        {chip.own && <span className="shrink-0 text-xs text-quiet">mine</span>}
        {chip.origin && <span className="shrink-0 text-xs text-quiet">was given</span>}
      </button>
      <button
        type="button"
        aria-label={`Say why ${chip.text} is not placed`}
        aria-expanded={asked}
        title="Say why it is not placed"
        className={`px-1.5 hover:text-action pointer-coarse:min-w-11 ${chip.note ? 'text-action' : 'text-quiet'}`}
        onClick={() => ask(!asked)}
      >
        <MessageSquareText aria-hidden size={13} />
      </button>
      {asked && (
        <div
          className="col-span-full mt-1"
          onBlur={() => ask(false)}
          onKeyDown={({ key, nativeEvent }) => {
            if (!nativeEvent.isComposing && (key === 'Enter' || key === 'Escape')) ask(false);
          }}
        >
          <CommittedInput
            autoFocus
            className="field text-sm"
            aria-label={`Why ${chip.text} is not placed`}
            placeholder="Could not place it because …"
            maxLength={2000}
            value={chip.note ?? ''}
            onCommit={(why) => actions.sayWhy(chip, why)}
          />
        </div>
      )}
      {chip.note && !asked && <p className="words col-span-full pl-2 text-sm text-quiet">because {chip.note}</p>}
      {chip.own && (
        <button
          type="button"
          aria-label={`Take ${chip.text} out of the bank`}
          className="px-1.5 text-quiet hover:text-madder pointer-coarse:min-w-11"
          onClick={() => actions.takeFromBank(chip)}
        >
          <X aria-hidden size={13} />
        </button>
      )}
    </>
  );
}
