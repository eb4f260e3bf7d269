import type { CommentRow, SubmissionDetail } from '@ichnograph/contract';
import { ReactFlowProvider } from '@xyflow/react';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { HeadOfPage } from '../app/crumbs';
import { Desk } from '../ui/desk';
import { Segments } from '../ui/segments';
import { FrozenMap, useFrozen, useGo } from './frozen-map';
import type { Frozen } from './frozen-map';
import { ResultsList } from './results-list';
import { SentencesView } from './sentences-view';

const VIEWS = ['Map', 'Sentences'] as const;

/** What stands around a frozen map may know of it. */
export interface FrozenView {
  frozen: Frozen;
  /** ids of topics and links */
  selection: readonly string[];
  /** chooses topics and links and brings them into view */
  go: (ids: readonly string[]) => void;
}

interface Props {
  detail: SubmissionDetail;
  /** under which the widths of its panels are kept */
  id: string;
  crumbs: { name: string; to?: string }[];
  actions: ReactNode;
  left?: { name: string; size: number; content: ReactNode };
  /** the name of the panel with the results, and what stands above them */
  results: string;
  above: (view: FrozenView) => ReactNode;
  card: (comment: CommentRow, view: FrozenView) => ReactNode;
}

/** A map that was handed in, as drawing or as sentences, its results beside it, comments in its margin: what markers and readers share. */
export function FrozenDesk(props: Props) {
  return (
    <ReactFlowProvider>
      <AtTheDesk {...props} />
    </ReactFlowProvider>
  );
}

function AtTheDesk({ detail, id, crumbs, actions, left, results, above, card }: Props) {
  const frozen = useFrozen(detail);
  const [view, setView] = useState<(typeof VIEWS)[number]>('Map');
  const [selection, setSelection] = useState<readonly string[]>([]);
  const [requirement, setRequirement] = useState<string | null>(null);
  const go = useGo(frozen, setSelection);
  const around = { frozen, selection, go };
  return (
    <>
      <HeadOfPage
        crumbs={crumbs}
        middle={<Segments label="View" options={VIEWS} value={view} onChange={setView} />}
        actions={actions}
      />
      <Desk
        id={id}
        {...(left && { left })}
        right={{
          name: results,
          size: 288,
          content: (
            <div className="pb-4">
              {above(around)}
              <ResultsList
                assignment={frozen.assignment}
                report={frozen.report}
                chosen={requirement}
                onChoose={setRequirement}
                onGo={go}
                showPoints
              />
            </div>
          ),
        }}
      >
        {view === 'Map' ? (
          <FrozenMap
            detail={detail}
            frozen={frozen}
            selection={selection}
            onSelect={setSelection}
            requirement={requirement}
            card={(comment) => card(comment, around)}
          />
        ) : (
          <SentencesView
            map={frozen.map}
            legend={frozen.assignment.legend}
            onGo={(mark) => {
              setView('Map');
              setSelection([mark]);
            }}
          />
        )}
      </Desk>
    </>
  );
}
