import { sumsOf } from '@ichnograph/core';
import type { Result } from '@ichnograph/core';
import { spotTarget } from '@ichnograph/contract';
import type { CommentRow, SubmissionDetail } from '@ichnograph/contract';
import { ReactFlowProvider } from '@xyflow/react';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { announce } from '../../common/announcer';
import { HeadOfPage } from '../../common/head-of-page';
import { KeysOfPage } from '../../common/page-keys';
import type { PageKey } from '../../common/page-keys';
import { Desk } from '../../ui/desk';
import type { Side } from '../../ui/desk';
import { Segments } from '../../ui/segments';
import { NotesView } from './borne';
import { flagSteps, nextStep } from '../canvas/flag-walk';
import type { FlagStep } from '../canvas/flag-walk';
import { FrozenMap, useFrozen, useGo } from './frozen-map';
import type { Frozen } from './frozen-map';
import { ResultsList } from './results-list';
import { RailSum, ResultsRail } from './results-rail';
import { SaveFrozen } from './save-frozen';
import { SentencesView } from './sentences-view';

const VIEWS = ['Map', 'Sentences', 'Notes'] as const;
const LISTS = ['Results', 'Sentences'] as const;

const NOTHING = { requirement: null, ids: [] };

/** What stands around a frozen map may know of it. */
export interface FrozenView {
  frozen: Frozen;
  /** ids of topics and links */
  selection: readonly string[];
  /** the requirement that is looked at */
  requirement: string | null;
  /** a spot that was pointed at, as a comment's target */
  spot: string | null;
  /** chooses topics and links and brings them into view */
  go: (ids: readonly string[]) => void;
  /** chooses a requirement, or none */
  chooseRequirement: (id: string | null) => void;
  /** chooses a comment in the margin */
  chooseComment: (id: string | null) => void;
}

interface Props {
  detail: SubmissionDetail;
  comments: readonly CommentRow[];
  /** under which the widths of its panels are kept */
  id: string;
  crumbs: { name: string; to?: string }[];
  actions: ReactNode;
  left?: Side;
  /** the name of the panel with the results, and what stands above them */
  results: string;
  above: (view: FrozenView) => ReactNode;
  /** drawn over the map, in its own units */
  drawnOver?: ReactNode;
  /** dialogs of the page, which open whether the panels are wide or rails */
  dialogs?: (view: FrozenView) => ReactNode;
  /** what is chosen at first */
  start?: { requirement: string | null; ids: readonly string[] };
  /** the map's sentences, to be read and judged beside it; left out, there are results only */
  sentences?: (view: FrozenView) => ReactNode;
  /** what stands under the results */
  below?: (view: FrozenView) => ReactNode;
  ownPoints?: Readonly<Record<string, number>>;
  /** the mark in figures, where one is given: else what was computed stands on the rail */
  sum?: { earned: number; outOf: number } | undefined;
  resultAction?: (result: Result) => ReactNode;
  /** what stands at the head of the results' rail */
  railHead?: (view: FrozenView, open: () => void) => ReactNode;
  card: (comment: CommentRow, letter: string, view: FrozenView) => ReactNode;
  /** what else keys do on this page */
  keys?: readonly PageKey[];
}

const NO_KEYS: readonly PageKey[] = [];

/** A map that was handed in, as drawing or as sentences, its results beside it, comments in its margin: what markers and readers share. */
export function FrozenDesk(props: Props) {
  return (
    <ReactFlowProvider>
      <AtTheDesk {...props} />
    </ReactFlowProvider>
  );
}

function AtTheDesk({
  detail,
  comments,
  id,
  crumbs,
  actions,
  left,
  results,
  above,
  drawnOver,
  dialogs,
  start = NOTHING,
  sentences,
  below,
  ownPoints,
  sum,
  resultAction,
  railHead,
  card,
  keys = NO_KEYS,
}: Props) {
  const frozen = useFrozen(detail);
  const [view, setView] = useState<(typeof VIEWS)[number]>('Map');
  const [beside, setBeside] = useState<(typeof LISTS)[number]>('Results');
  const [selection, choose] = useState<readonly string[]>(start.ids);
  const [spot, setSpot] = useState<string | null>(null);
  const setSelection = (ids: readonly string[]): void => {
    setSpot(null);
    choose(ids);
  };
  const [requirement, setRequirement] = useState<string | null>(start.requirement);
  const [comment, chooseComment] = useState<string | null>(null);
  const show = useGo(frozen, comments.length, setSelection);
  const go = (ids: readonly string[]): void => {
    setView('Map');
    show(ids);
  };
  const [flag, setFlag] = useState<FlagStep | null>(null);
  const steps = useMemo(() => flagSteps(frozen.report), [frozen.report]);
  const walk = (by: 1 | -1): void => {
    const next = nextStep(steps, flag, by);
    setFlag(next);
    if (!next) return announce('Nothing is flagged on this map.');
    setRequirement(next.requirement);
    go([next.mark]);
    announce(next.words);
  };
  const ownKeys: PageKey[] = [
    { chords: ['F'], name: 'Go to what is flagged next', run: () => walk(1), held: true },
    { chords: ['Shift+F'], name: 'Go back to what was flagged before', run: () => walk(-1), held: true },
  ];
  const listed = <KeysOfPage keys={[...keys, ...ownKeys]} />;
  const around: FrozenView = {
    frozen,
    selection,
    requirement,
    spot,
    go,
    chooseRequirement: setRequirement,
    chooseComment,
  };
  const { assignment, report } = frozen;
  const list = {
    assignment,
    report,
    chosen: requirement,
    onChoose: setRequirement,
    onGo: go,
    showPoints: true,
    ownPoints,
    resultAction,
  };
  return (
    <>
      <HeadOfPage
        crumbs={crumbs}
        middle={<Segments label="View" options={VIEWS} value={view} onChange={setView} />}
        actions={
          <>
            {actions}
            {view !== 'Map' && listed}
          </>
        }
      />
      {dialogs?.(around)}
      <Desk
        id={id}
        left={left}
        right={{
          name: results,
          size: 288,
          wideFrom: 1440,
          content: (
            <div className="pb-4">
              {above(around)}
              {sentences && (
                <div className="flex px-3.5 pt-2">
                  <Segments label="Beside the map" options={LISTS} value={beside} onChange={setBeside} />
                </div>
              )}
              {sentences && beside === 'Sentences' ? (
                sentences(around)
              ) : (
                <>
                  <ResultsList {...list} />
                  {below?.(around)}
                </>
              )}
            </div>
          ),
          rail: (open) => (
            <ResultsRail
              {...list}
              head={
                <>
                  <RailSum {...(sum ?? sumsOf(report))} />
                  {railHead?.(around, open)}
                </>
              }
            />
          ),
        }}
      >
        {view === 'Map' ? (
          <FrozenMap
            detail={detail}
            comments={comments}
            frozen={frozen}
            selection={selection}
            onSelect={setSelection}
            spot={spot}
            onSpot={(at) => {
              choose([]);
              setSpot(spotTarget(at));
            }}
            requirement={requirement}
            chosenComment={comment}
            onChooseComment={(chosen) => {
              chooseComment(chosen);
              const about = comments.find((one) => one.id === chosen);
              if (about?.target && about.anchor !== 'spot') setSelection([about.target]);
            }}
            card={(one, letter) => card(one, letter, around)}
            drawnOver={drawnOver}
            atFoot={
              <>
                <SaveFrozen frozen={frozen} submissionId={detail.id} />
                {listed}
              </>
            }
          />
        ) : view === 'Sentences' ? (
          <SentencesView
            map={frozen.map}
            legend={assignment.legend}
            language={assignment.language}
            onGo={(mark) => go([mark])}
          />
        ) : (
          <NotesView map={frozen.map} onGo={(id) => go([id])} />
        )}
      </Desk>
    </>
  );
}
