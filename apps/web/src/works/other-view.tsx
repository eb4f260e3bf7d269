import type { Assignment, TopicMap } from '@ichnograph/core';
import { lazy, Suspense } from 'react';
import type { View } from './commands/command';
import type { Spot } from './editor';
import { OutlineTree } from './lists/outline-tree';
import { SentencesGrid } from './lists/sentences-grid';
import { TreeView } from './lists/tree-view';
import { TourView } from './tour/tour-view';

/** What writes at length comes when somebody writes. */
const Essay = lazy(() => import('./essay/essay'));

/** The map is being written out, begun at a topic. */
export interface Writing {
  from: string | null;
}

/** The map in the other ways to look at it, than drawn: what each changes is changed on the map. */
export function OtherView({
  mapId,
  view,
  map,
  assignment,
  mayEdit,
  centre,
  onGo,
  writing,
  onWriting,
  onTaken,
}: {
  mapId: string;
  view: View;
  map: TopicMap;
  assignment: Assignment;
  mayEdit: boolean;
  /** where on the map something is made that belongs nowhere yet */
  centre: () => Spot;
  onGo: (ids: readonly string[]) => void;
  writing: Writing | null;
  onWriting: (writing: Writing | null) => void;
  /** the map was arranged as the tree is */
  onTaken: () => void;
}) {
  const shown = { map, assignment };
  if (writing)
    return (
      <Suspense fallback={<p role="status">Opening the pages …</p>}>
        <Essay {...shown} from={writing.from} onBack={() => onWriting(null)} />
      </Suspense>
    );
  switch (view) {
    case 'Map':
      return null;
    case 'Outline':
      return <OutlineTree {...shown} mayEdit={mayEdit} onGo={onGo} onWrite={(from) => onWriting({ from })} />;
    case 'Sentences':
      return <SentencesGrid {...shown} mayEdit={mayEdit} centre={centre} onGo={onGo} />;
    case 'Tree':
      return <TreeView {...shown} mayTakeOver={mayEdit && assignment.drawing?.tidy !== false} onTaken={onTaken} />;
    case 'Tour':
      return <TourView {...shown} mapId={mapId} mayEdit={mayEdit} />;
  }
}
