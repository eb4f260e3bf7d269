import type { NewReviewRound, Person, ReviewRounds } from '@ichnograph/contract';
import { X } from 'lucide-react';
import { useState } from 'react';
import { api, SaidError } from '../common/api';
import { instantOf } from '../common/dates';
import { useTimeZone } from '../common/queries';
import { useSend } from '../common/send';
import { Button } from '../ui/button';
import { Segments } from '../ui/segments';
import { Trouble } from '../ui/field';

const EACH = ['One map', 'Two maps', 'Three maps'] as const;
const SHARES = [0, 10, 20, 30, 40, 50] as const;

/** How the maps of a class are handed out to be looked at, and what of them is judged. */
export function BeginReviews({ id, rounds }: { id: string; rounds: ReviewRounds }) {
  const { students, handedIn, mayCriteria } = rounds;
  const zone = useTimeZone();
  const { send, trouble, isSending } = useSend([`publications/${id}`]);
  const [each, setEach] = useState<(typeof EACH)[number]>('Two maps');
  const [criteria, setCriteria] = useState(mayCriteria);
  const [sentences, setSentences] = useState(true);
  const [notes, setNotes] = useState(false);
  const [share, setShare] = useState(0);
  const [day, setDay] = useState('');
  const [apart, setApart] = useState<[string, string][]>([]);
  const begin = (): Promise<boolean> =>
    send(async () => {
      const closesAt = day === '' ? null : instantOf(day, '23:59', zone);
      if (day !== '' && closesAt === null) throw new SaidError('That is no day.');
      const wanted: NewReviewRound = {
        each: EACH.indexOf(each) + 1,
        criteria,
        sentences,
        notes,
        share: criteria ? share / 100 : 0,
        closesAt,
        apart,
      };
      await api.post(`publications/${id}/reviews`, wanted);
    }, 'The maps are handed out.');
  const box = (is: boolean, set: (is: boolean) => void, name: string, hint: string, disabled = false) => (
    <label className="flex items-start gap-2">
      <input
        type="checkbox"
        className="mt-1 accent-action"
        checked={is}
        disabled={disabled}
        onChange={({ target }) => set(target.checked)}
      />
      <span>
        {name}
        <span className="block text-sm text-quiet">{hint}</span>
      </span>
    </label>
  );
  if (handedIn < 2)
    return (
      <p className="text-quiet">
        {handedIn === 0 ? 'No map is handed in yet.' : 'One map is handed in.'} From two on, your students can look at
        each other’s.
      </p>
    );
  return (
    <form
      className="grid max-w-2xl gap-5"
      onSubmit={(event) => {
        event.preventDefault();
        void begin();
      }}
    >
      <Trouble>{trouble}</Trouble>
      <p>
        {handedIn} maps are handed in. Who has handed one in is given others’, without names: nobody their own, and
        every map as often as every other.
      </p>
      <div className="flex flex-wrap items-center gap-3">
        Each is given
        <Segments label="How many maps each is given" options={EACH} value={each} onChange={setEach} />
      </div>
      <fieldset className="grid gap-2">
        <legend className="mb-1 font-semibold">What they judge</legend>
        {box(
          criteria,
          setCriteria,
          'The criteria',
          mayCriteria ? 'A level for each, as you give them.' : 'This assignment has none.',
          !mayCriteria,
        )}
        {box(sentences, setSentences, 'The sentences', 'Each link read as a sentence: sound, shaky or wrong.')}
        {box(
          notes,
          setNotes,
          'They may read notes, sources and what stands beside the structure',
          'Else they see what is drawn as structure alone.',
        )}
      </fieldset>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <label className="flex items-center gap-2">
          Counts, once released, at
          <select
            className="field w-auto py-1"
            value={share}
            disabled={!criteria}
            onChange={({ target }) => setShare(Number(target.value))}
          >
            {SHARES.map((one) => (
              <option key={one} value={one}>
                {one === 0 ? 'nothing' : `${one} % of the criteria`}
              </option>
            ))}
          </select>
        </label>
        <label className="flex items-center gap-2">
          Until (if you like)
          <input type="date" className="field w-40 py-1" value={day} onChange={({ target }) => setDay(target.value)} />
        </label>
      </div>
      <KeptApart students={students} apart={apart} onChange={setApart} />
      <Button type="submit" look="action" className="justify-self-start" disabled={isSending}>
        Hand the maps out
      </Button>
    </form>
  );
}

/** Pairs that do not look at one another's maps. */
function KeptApart({
  students,
  apart,
  onChange,
}: {
  students: readonly Person[];
  apart: readonly [string, string][];
  onChange: (apart: [string, string][]) => void;
}) {
  const [one, setOne] = useState('');
  const [other, setOther] = useState('');
  const nameOf = (id: string): string => {
    const person = students.find((each) => each.id === id);
    return person ? `${person.givenName} ${person.familyName}` : '';
  };
  const pick = (label: string, value: string, set: (id: string) => void) => (
    <select aria-label={label} className="field w-auto py-1" value={value} onChange={({ target }) => set(target.value)}>
      <option value="">…</option>
      {students.map(({ id }) => (
        <option key={id} value={id}>
          {nameOf(id)}
        </option>
      ))}
    </select>
  );
  return (
    <fieldset className="grid gap-2">
      <legend className="mb-1 font-semibold">Friends apart</legend>
      <p className="text-sm text-quiet">Two who do not look at one another’s maps.</p>
      <div className="flex flex-wrap items-center gap-2">
        {pick('One of two kept apart', one, setOne)}
        and
        {pick('The other of two kept apart', other, setOther)}
        <Button
          small
          disabled={one === '' || other === '' || one === other}
          onClick={() => {
            onChange([...apart, [one, other]]);
            setOne('');
            setOther('');
          }}
        >
          Keep them apart
        </Button>
      </div>
      {apart.map(([a, b], i) => (
        <p key={`${a} ${b} ${i}`} className="flex items-center gap-2">
          {nameOf(a)} and {nameOf(b)}
          <Button
            small
            look="quiet"
            aria-label={`Not apart: ${nameOf(a)} and ${nameOf(b)}`}
            onClick={() => onChange(apart.filter((_, at) => at !== i))}
          >
            <X aria-hidden size={14} />
          </Button>
        </p>
      ))}
    </fieldset>
  );
}
