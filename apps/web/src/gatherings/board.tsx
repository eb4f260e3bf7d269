import {
  DndContext,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import type { DragEndEvent } from '@dnd-kit/core';
import { GATHERING_LIMITS } from '@ichnograph/contract';
import type { GatheringDetail, Idea, IdeaGroup } from '@ichnograph/contract';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useTitle } from '../common/page';
import { useSend } from '../common/send';
import { useTakeBack } from '../common/told';
import { Button } from '../ui/button';
import { Trouble } from '../ui/field';
import { BoardHead } from './board-head';
import type { BoardView } from './board-head';
import { useBoardActs } from './board-acts';
import type { BoardActs } from './board-acts';
import { useBoardKeys } from './board-keys';
import { IdeaCard, NameField } from './idea-card';
import { MakeDialog } from './make-dialog';
import { NoWay } from './no-way';
import { ThenAndNow } from './then-and-now';
import { useKeptPlace } from './use-kept-place';
import { useSaidIdeas } from './use-said-ideas';
import { byWeight } from './with-news';

/** Where what is in no group is dropped. */
const NO_GROUP = 'no-group';

/** A question on the projector: what comes in, sorted by hand, and what is made of it. */
export function Board({ detail, isOpen }: { detail: GatheringDetail; isOpen: boolean }) {
  const { question, groups, ideas } = detail;
  useTitle(question);
  useTakeBack();
  const { send, trouble } = useSend([`gatherings/${detail.id}`]);
  const acts = useBoardActs(detail, send);
  const [view, setView] = useState<BoardView>('The board');
  // What stands on the projector tells nobody's name until that is wanted.
  const [withNames, setWithNames] = useState(false);
  const [withHidden, setWithHidden] = useState(false);
  const [making, setMaking] = useState(false);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 5 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
  );
  const keys = useBoardKeys(detail, acts, () => setMaking(true));
  useSaidIdeas(ideas.length);
  useKeptPlace(ideas);
  const shown = byWeight(ideas.filter(({ hidden }) => withHidden || !hidden));
  const hiddenCount = ideas.filter(({ hidden }) => hidden).length;
  const onDragEnd = ({ active, over }: DragEndEvent): void => {
    const idea = ideas.find(({ id }) => id === active.id);
    if (!idea || !over) return;
    const into = ideas.find(({ id }) => id === over.id);
    if (into) acts.merge(idea, into);
    else acts.sort(idea, over.id === NO_GROUP ? null : String(over.id));
  };
  const column = (name: string, id: string, of: Idea[], group: IdeaGroup | null, key: number) => (
    <Column
      key={id}
      id={id}
      {...{ name, group, acts }}
      number={key}
      ideas={of}
      card={(idea) => (
        <IdeaCard
          idea={idea}
          groups={groups}
          acts={acts}
          withNames={withNames}
          isMerging={acts.merging === idea.id}
          isAim={acts.merging !== null && acts.merging !== idea.id}
        />
      )}
    />
  );
  return (
    <main id="main" tabIndex={-1} className="flex w-full flex-1 flex-col px-4 py-4 outline-none sm:px-6">
      <BoardHead
        {...{ detail, acts, view, withNames, keys }}
        onView={setView}
        onNames={setWithNames}
        onMake={() => setMaking(true)}
      />
      <NoWay isOpen={isOpen} />
      <Trouble>{trouble}</Trouble>
      {acts.merging !== null && (
        <p role="status" className="mb-2 flex items-center gap-3 border-l-4 border-action bg-wash px-3 py-1.5">
          Choose the idea that “{ideas.find(({ id }) => id === acts.merging)?.text}” falls together with.
          <Button small onClick={acts.endMerge}>
            Leave it
          </Button>
        </p>
      )}
      {view === 'Then and now' ? (
        <ThenAndNow ideas={ideas} />
      ) : (
        <DndContext sensors={sensors} collisionDetection={pointerWithin} onDragEnd={onDragEnd}>
          <div className="grid flex-1 auto-cols-[minmax(13.5rem,1fr)] grid-flow-col gap-3 overflow-x-auto pb-3">
            {column(
              groups.length === 0 ? 'What came in' : 'In no group',
              NO_GROUP,
              shown.filter(({ group }) => group === null),
              null,
              0,
            )}
            {groups.map((group, i) =>
              column(
                group.name,
                group.id,
                shown.filter((idea) => idea.group === group.id),
                group,
                i + 1,
              ),
            )}
            {groups.length < GATHERING_LIMITS.groups && <NewGroup onMake={acts.addGroup} />}
          </div>
        </DndContext>
      )}
      {hiddenCount > 0 && view === 'The board' && (
        <label className="mt-1 flex items-center gap-2 text-quiet">
          <input type="checkbox" checked={withHidden} onChange={({ target }) => setWithHidden(target.checked)} />
          Show here what is hidden ({hiddenCount})
        </label>
      )}
      <MakeDialog open={making} onOpenChange={setMaking} detail={detail} />
    </main>
  );
}

function Column({
  id,
  name,
  number,
  group,
  ideas,
  acts,
  card,
}: {
  id: string;
  name: string;
  number: number;
  group: IdeaGroup | null;
  ideas: Idea[];
  acts: BoardActs;
  card: (idea: Idea) => React.ReactNode;
}) {
  const { setNodeRef, isOver } = useDroppable({ id });
  const [naming, setNaming] = useState(false);
  return (
    <section
      ref={setNodeRef}
      aria-label={name}
      data-column
      className={`flex min-h-48 flex-col border-t-2 px-1 pt-2 ${isOver ? 'border-action bg-wash' : 'border-ink'}`}
    >
      {naming && group ? (
        <NameField
          text={group.name}
          onEnd={(typed) => {
            setNaming(false);
            if (typed !== null && typed !== group.name)
              void acts.nameGroup(group, typed.slice(0, GATHERING_LIMITS.name));
          }}
        />
      ) : (
        <h2 className="mb-2 flex min-h-8 items-center gap-2 font-semibold">
          <span className="font-mono text-sm text-quiet" aria-hidden>
            {number}
          </span>
          {group ? (
            <button type="button" className="words min-w-0 text-left hover:underline" onClick={() => setNaming(true)}>
              {name}
            </button>
          ) : (
            <span className="words">{name}</span>
          )}
          <span className="font-mono text-sm font-normal text-quiet">{ideas.length}</span>
          {group && (
            <Button
              small
              look="quiet"
              className="ml-auto"
              aria-label={`Remove the group ${name}`}
              onClick={() => void acts.removeGroup(group)}
            >
              <Trash2 aria-hidden size={14} />
            </Button>
          )}
        </h2>
      )}
      <ul className={`grid content-start gap-2 ${group ? '' : 'grid-cols-[repeat(auto-fill,minmax(14rem,1fr))]'}`}>
        {ideas.map((idea) => (
          <li key={idea.id}>{card(idea)}</li>
        ))}
      </ul>
      {ideas.length === 0 && (
        <p className="text-quiet">
          {group ? 'Drag ideas here, or press its number on one.' : 'What the class sends stands here at once.'}
        </p>
      )}
    </section>
  );
}

function NewGroup({ onMake }: { onMake: (name: string) => Promise<boolean> }) {
  const [name, setName] = useState('');
  return (
    <form
      className="flex items-start gap-1.5 border-t-2 border-rule px-1 pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        const made = name.trim();
        if (made === '') return;
        void onMake(made).then((done) => {
          if (done) setName('');
        });
      }}
    >
      <input
        aria-label="Name of a new group"
        className="field"
        placeholder="A new group"
        maxLength={GATHERING_LIMITS.name}
        value={name}
        onChange={({ target }) => setName(target.value)}
      />
      <Button type="submit" aria-label="Make the group" disabled={name.trim() === ''}>
        <Plus aria-hidden size={16} />
      </Button>
    </form>
  );
}
