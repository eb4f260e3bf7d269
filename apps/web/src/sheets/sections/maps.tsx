import { assignmentOf, frameBeside, ontoLegend, starterFrom, withNewIds } from '@ichnograph/core';
import type { Change, Legend, TopicMap } from '@ichnograph/core';
import { Pencil } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { tell } from '../../common/told';
import type { LiveWork } from '../../live';
import { MapPicture } from '../../map';
import { ChooseOwnMap } from '../../works';
import { Button, buttonClass } from '../../ui/button';
import { Confirm } from '../../ui/dialog';
import { Section } from '../section';
import { useLiveSnapshot, useSheetPage, useWritten } from '../use-sheet';

/** What is drawn, each before what hangs on it. */
const PARTS = ['topics', 'pictures', 'links', 'regions', 'groups', 'tours'] as const;

/** Everything on one map gives way to what is on another, as one gesture that can be undone. */
function replaceWith({ live }: LiveWork, next: TopicMap): void {
  const now = live.snapshot;
  live.apply([
    ...PARTS.toReversed().flatMap((from) => now[from].map(({ id }): Change => ({ do: 'remove', from, id }))),
    ...PARTS.flatMap((to) => next[to].map((item) => ({ do: 'add', to, item }) as Change)),
  ]);
}

const newId = (): string => crypto.randomUUID();

export function StarterSection() {
  const { detail, starter, writing } = useSheetPage();
  const { assignment } = useWritten();
  const map = useLiveSnapshot(starter);
  const [asking, setAsking] = useState(false);
  const placed = assignment.terms.filter(({ place }) => place === 'map').length;
  const make = (): void => {
    // Of what is written now: what the page worked out of it may be a moment old.
    const written = assignmentOf(writing.store.getState().sheet, { starter: null, reference: null });
    const before = starter.live.snapshot;
    const made = withNewIds(starterFrom(written, frameBeside(written.terms)), newId);
    replaceWith(starter, made);
    tell(
      made.topics.length > 0
        ? 'The starter map is made.'
        : 'Nothing is on the starter map: all terms wait in the bank. Put some “on the map” among the terms.',
      () => replaceWith(starter, before),
    );
  };
  const isBare = !map || map.topics.length === 0;
  return (
    <Section
      id="starter"
      title="Where do they begin?"
      lead="Every student begins with a copy of the starter map."
      actions={
        <>
          <Button onClick={() => (isBare ? make() : setAsking(true))} disabled={!map}>
            {isBare ? 'Make it from the terms' : 'Make it anew from the terms'}
          </Button>
          <TakeOwn what="starter map" target={starter} legend={assignment.legend} disabled={!map} />
          <DrawLink to={`/assignments/${detail.id}/starter`} what="starter map" />
        </>
      }
    >
      {!map ? (
        <Opening />
      ) : isBare ? (
        <p className="text-quiet">
          Empty. {placed === 0 ? 'No term is handed out on the map yet' : `${placed} terms are handed out on the map`}
          {placed === 0 && ': those in the word bank wait beside it'}.
        </p>
      ) : (
        <MapPicture map={map} legend={assignment.legend} title="Starter map" />
      )}
      <Confirm
        open={asking}
        title="Make the starter map anew?"
        yes="Make it anew"
        no="Keep it"
        onAnswer={(yes) => {
          setAsking(false);
          if (yes) make();
        }}
      >
        <p>What is drawn on it now is replaced by the terms, laid out as a tree.</p>
      </Confirm>
    </Section>
  );
}

export function ReferenceSection() {
  const { detail, starter, reference } = useSheetPage();
  const { assignment } = useWritten();
  const map = useLiveSnapshot(reference);
  const first = useLiveSnapshot(starter);
  const isBare = !map || map.topics.length === 0;
  return (
    <Section
      id="reference"
      title="What would you hand in?"
      lead="Your own answer: requirements are tried on it, and can be proposed from it. Students do not see it."
      actions={
        <>
          {isBare && first && first.topics.length > 0 && (
            <Button
              onClick={() => {
                const before = reference.live.snapshot;
                replaceWith(reference, withNewIds(first, newId, true));
                tell('The reference map begins as the starter map does.', () => replaceWith(reference, before));
              }}
            >
              Begin with the starter map
            </Button>
          )}
          <TakeOwn what="reference map" target={reference} legend={assignment.legend} disabled={!map} />
          <DrawLink to={`/assignments/${detail.id}/reference`} what="reference map" />
        </>
      }
    >
      {!map ? (
        <Opening />
      ) : isBare ? (
        <p className="text-quiet">None yet. Without one, requirements are tried on the starter map alone.</p>
      ) : (
        <MapPicture map={map} legend={assignment.legend} title="Reference map" />
      )}
    </Section>
  );
}

/** Puts a copy of one of one's own maps in the place of what is drawn. */
function TakeOwn({
  what,
  target,
  legend,
  disabled,
}: {
  what: string;
  target: LiveWork;
  legend: Legend;
  disabled: boolean;
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)} disabled={disabled}>
        Take one of your maps …
      </Button>
      <ChooseOwnMap
        open={open}
        onOpenChange={setOpen}
        title={`One of your own maps as ${what}`}
        description="A copy takes the place of what is drawn there now; kinds are told by their names, then by their looks."
        onChoose={(map) => {
          const before = target.live.snapshot;
          replaceWith(target, withNewIds(ontoLegend(map, legend), newId));
          setOpen(false);
          tell(`The ${what} is a copy of “${map.title}”.`, () => replaceWith(target, before));
        }}
      />
    </>
  );
}

const Opening = () => (
  <p role="status" className="text-quiet">
    Opening it …
  </p>
);

/** To the canvas, once what is written is saved: that page draws with the legend as the server has it. */
function DrawLink({ to, what }: { to: string; what: string }) {
  const { writing } = useSheetPage();
  const navigate = useNavigate();
  return (
    <Link
      className={buttonClass()}
      to={to}
      aria-label={`Draw the ${what}`}
      onClick={(event) => {
        if (event.metaKey || event.ctrlKey || event.shiftKey) return;
        event.preventDefault();
        void writing.flush().then(() => navigate(to));
      }}
    >
      <Pencil aria-hidden size={13} />
      Draw it
    </Link>
  );
}
