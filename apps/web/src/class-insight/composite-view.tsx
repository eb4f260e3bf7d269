import { compositeMap, drawnBox, drawnByAtLeast, openStoredAssignment, tieId } from '@ichnograph/core';
import type { Assignment, Composite, StrongTie, Tie, TopicMap } from '@ichnograph/core';
import type { ClassInsight, ClassPropositions } from '@ichnograph/contract';
import { ReactFlowProvider } from '@xyflow/react';
import { Download } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { useClassPropositions } from '../common/queries';
import { useRested } from '../common/use-rested';
import { Canvas, FREE, MapPicture, onReadingKey } from '../map';
import { SaveAsDialog } from '../saving-as';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { VerdictSign } from '../verdicts';
import { AboutComposite, ChosenOf } from './about-composite';
import { ofMaps } from './names';
import { useLaidOut } from './use-laid-out';

/** Beyond so many ties words stand on those alone that most drew, or nothing could be read. */
const WORDED = 14;
/** What a composite is seen in on a screen of 1280 × 800: alone, and beside the reference. */
const [ALONE, HALF] = [
  { width: 1184, height: 450 },
  { width: 566, height: 450 },
];
const NO_FLAGS = new Map<string, never>();
const INKS = { sound: '#1f6f63', shaky: '#8a5a00', wrong: '#9e2b3f' } as const;
/** Below so many maps a strongest structure says more about single maps than about a class. */
const WORTH_PRUNING = 5;

/** All maps of the class laid into one. */
export function CompositeView({ insight }: { insight: ClassInsight }) {
  const assignment = useMemo(() => openStoredAssignment(insight.assignment), [insight.assignment]);
  const propositions = useClassPropositions(insight.publicationId);
  const all = insight.works.length;
  const [least, setLeast] = useState(Math.min(all, Math.max(2, Math.ceil(all / 2))));
  const [strongest, setStrongest] = useState(false);
  const [beside, setBeside] = useState(false);
  const [everyWord, setEveryWord] = useState(false);
  const [shown, setShown] = useState(false);
  const [selection, setSelection] = useState<readonly string[]>([]);
  // The slider is followed at once in words; the map is laid out when it rests.
  const rested = useRested(least, 150);
  const verdicts = useMemo(() => verdictsByTie(propositions.data), [propositions.data]);
  const composite = useMemo(
    () => prunedTo(drawnByAtLeast(insight.composite, rested), strongest ? insight.strongest : null),
    [insight, rested, strongest],
  );
  const map = useMemo(
    () =>
      compositeMap(composite, assignment, all, {
        colourOf: (tie) => colourOf(tie, verdicts),
        ...(!everyWord && { worded: WORDED }),
      }),
    [composite, assignment, all, verdicts, everyWord],
  );
  const laid = useLaidOut(map, assignment.legend, beside ? HALF : ALONE);
  const chosen = selection.length === 1 ? selection[0]! : null;
  const [saving, setSaving] = useState(false);
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
        <label className="flex items-center gap-2">
          <span className="whitespace-nowrap">Drawn by at least</span>
          <input
            type="range"
            className="w-44 accent-[#1f6f63]"
            min={1}
            max={all}
            value={least}
            aria-valuetext={ofMaps(least, all)}
            onChange={({ target }) => setLeast(Number(target.value))}
          />
          <output className="w-28 font-mono text-sm">
            {least} of {all}
          </output>
        </label>
        <label
          className={`flex items-center gap-2 ${all < WORTH_PRUNING ? 'text-quiet' : ''}`}
          title="Of two ties that join the same, the one more maps drew stays (Pathfinder network)"
        >
          <input type="checkbox" checked={strongest} onChange={({ target }) => setStrongest(target.checked)} />
          Strongest structure alone
          {all < WORTH_PRUNING && <span className="text-sm">· says little under {WORTH_PRUNING} maps</span>}
        </label>
        {composite.ties.length > WORDED && (
          <label className="flex items-center gap-2" title={`Else the ${WORDED} ties that most drew have their words`}>
            <input type="checkbox" checked={everyWord} onChange={({ target }) => setEveryWord(target.checked)} />
            Words on every tie
          </label>
        )}
        {insight.reference && (
          <label className="flex items-center gap-2">
            <input type="checkbox" checked={beside} onChange={({ target }) => setBeside(target.checked)} />
            The reference beside it
          </label>
        )}
        <span className="ml-auto flex gap-2">
          <Button onClick={() => setShown(true)}>Show it to the class</Button>
          <Button onClick={() => setSaving(true)} disabled={!laid}>
            <Download aria-hidden size={15} /> Write out
          </Button>
        </span>
      </div>
      <div className={beside ? 'grid gap-3 lg:grid-cols-2' : ''}>
        <Drawn
          label={`Composite of ${all} maps, ${map.topics.length} topics and ${map.links.length} ties`}
          laid={laid}
          assignment={assignment}
          selection={selection}
          onSelect={setSelection}
          fitKey={`${rested} ${strongest} ${beside} ${everyWord}`}
        >
          <section
            aria-label="Chosen"
            className="h-16 shrink-0 overflow-y-auto border-t border-rule bg-paper px-2.5 py-1.5 text-sm"
          >
            <ChosenOf insight={insight} composite={composite} chosen={chosen} />
          </section>
        </Drawn>
        {beside && insight.reference && (
          <ReferenceBeside reference={insight.reference} assignment={assignment} strongest={strongest} />
        )}
      </div>
      {verdicts.size > 0 && (
        <p className="mt-2 flex flex-wrap gap-x-4 text-sm text-quiet">
          A tie has the colour of the verdict on what most say by it:
          {(['sound', 'shaky', 'wrong'] as const).map((verdict) => (
            <VerdictSign key={verdict} verdict={verdict} thin={false} />
          ))}
        </p>
      )}
      <AboutComposite insight={insight} propositions={propositions.data} onChoose={(id) => setSelection([id])} />
      <SaveAsDialog
        map={laid === null ? undefined : { ...laid.map, title: `${insight.title}, composite of ${all} maps` }}
        legend={assignment.legend}
        open={saving}
        onOpenChange={setSaving}
      />
      <Dialog wide open={shown} onOpenChange={setShown} title={`${insight.title}: what you said together`}>
        {laid && <MapPicture map={laid.map} legend={assignment.legend} title="Composite map" />}
        <p className="mt-2 text-quiet">
          The larger a topic and the wider a tie, the more of the {all} maps have it. No name is shown.
        </p>
      </Dialog>
    </>
  );
}

function Drawn({
  label,
  laid,
  assignment,
  selection,
  onSelect,
  fitKey,
  children,
}: {
  label: string;
  laid: { map: TopicMap; failed: boolean } | null;
  assignment: Assignment;
  selection: readonly string[];
  onSelect: (ids: readonly string[]) => void;
  fitKey: string;
  /** below the drawing */
  children: ReactNode;
}) {
  const selected = useMemo(() => new Set(selection), [selection]);
  if (!laid)
    return (
      <p
        role="status"
        className="grid h-[calc(100dvh-15rem)] min-h-80 place-items-center border border-rule text-quiet"
      >
        Laying the maps into one …
      </p>
    );
  return (
    <div className="flex h-[calc(100dvh-15rem)] min-h-80 flex-col border border-rule" data-testid="composite">
      {laid.failed && <p className="bg-paper px-2 text-madder">It could not be laid out.</p>}
      <div className="relative min-h-0 flex-1">
        <ReactFlowProvider key={fitKey}>
          <Canvas
            label={label}
            map={laid.map}
            legend={assignment.legend}
            selection={selected}
            flags={NO_FLAGS}
            concern={null}
            typing={null}
            padding={FREE}
            onSelect={onSelect}
            onKey={(event) => onReadingKey(event, laid.map, assignment, selection, onSelect)}
            fitKey={`${fitKey} ${placeOf(laid.map, assignment)}`}
          />
        </ReactFlowProvider>
      </div>
      {children}
    </div>
  );
}

/** Another layout is another place: it is shown whole again. */
const placeOf = (map: TopicMap, { legend }: Assignment): string =>
  Object.values(drawnBox(map, legend) ?? {})
    .map(Math.round)
    .join(' ');

function ReferenceBeside({
  reference,
  assignment,
  strongest,
}: {
  reference: NonNullable<ClassInsight['reference']>;
  assignment: Assignment;
  strongest: boolean;
}) {
  const map = useMemo(
    () => compositeMap(prunedTo(reference.composite, strongest ? reference.strongest : null), assignment, 1),
    [reference, assignment, strongest],
  );
  const laid = useLaidOut(map, assignment.legend, HALF);
  return (
    <div className="h-[calc(100dvh-15rem)] min-h-80 border border-rule" data-testid="reference">
      {laid && <MapPicture bare map={laid.map} legend={assignment.legend} title="Reference map" />}
    </div>
  );
}

/** The ties that are left when a composite is pruned; all where it is not. Topics that nothing joins any more go. */
function prunedTo(composite: Composite, strong: readonly StrongTie[] | null): Composite {
  if (!strong) return composite;
  const kept = new Set(strong.map(tieId));
  const ties = composite.ties.filter((tie) => kept.has(tieId(tie)));
  const joined = new Set(ties.flatMap(({ a, b }) => [a, b]));
  return { ties, topics: composite.topics.filter(({ concept }) => joined.has(concept)) };
}

type Verdicts = ReadonlyMap<string, keyof typeof INKS>;

/** By tie, the verdict on what most maps say by it. */
function verdictsByTie(all: ClassPropositions | undefined): Verdicts {
  const verdicts = new Map<string, keyof typeof INKS>();
  // Most maps first: what was said before stands.
  for (const { said, judged } of all?.propositions ?? []) {
    const [a, b] = said.from < said.to ? [said.from, said.to] : [said.to, said.from];
    const id = tieId({ a, b });
    if (judged && !verdicts.has(id)) verdicts.set(id, judged.verdict);
  }
  return verdicts;
}

function colourOf(tie: Tie, verdicts: Verdicts): string | undefined {
  const verdict = verdicts.get(tieId(tie));
  return verdict && INKS[verdict];
}
