import { safeHelp, safeHelpWords, sumsOf } from '@ichnograph/core';
import type { Chip, Result } from '@ichnograph/core';
import { Wand } from 'lucide-react';
import { RailSum, ReportHead, ResultsList, ResultsRail } from '../../map';
import { Button } from '../../ui/button';
import { useEditor, useEditorState } from '../editor';
import { FirstStep, isBare, isBeginning } from './first-step';
import type { OpenWork } from '../use-live-work';

interface Props {
  open: OpenWork;
  onGo: (ids: readonly string[]) => void;
  onPlaceTerm: (chip: Chip) => void;
  mayEdit: boolean;
  /** the narrow form */
  rail?: boolean;
}

/** What the teacher lets students see of a check while they work. */
export const inSight = ({ own, assignment }: OpenWork): 'points' | 'states' | 'nothing' =>
  own ? 'points' : (assignment.marks?.whileWorking ?? 'points');

/** The requirements with what the check found; for a bare starter, where to begin. */
export function ChecksPanel({ open, onGo, onPlaceTerm, mayEdit, rail = false }: Props) {
  const editor = useEditor();
  const { actions } = editor;
  const report = useEditorState((state) => state.report);
  const requirement = useEditorState((state) => state.requirement);
  const chips = useEditorState((state) => state.chips);
  const tooLong = useEditorState((state) => state.tooLong);
  const bare = useEditorState(({ map }) => isBare(map));
  const beginning = useEditorState(({ map }) => isBeginning(map));
  const { assignment } = open;
  const sight = inSight(open);
  const list = {
    assignment,
    report: bare || sight === 'nothing' ? null : report,
    chosen: requirement,
    onChoose: actions.showRequirement,
    onGo,
    resultAction: (result: Result) => {
      const help = mayEdit ? safeHelp(result, editor.store.getState().map, assignment) : null;
      return help ? (
        <Button small className="mt-1.5" onClick={() => actions.help(help)}>
          <Wand aria-hidden size={13} />
          {safeHelpWords(help)}
        </Button>
      ) : null;
    },
    termAction: (term: string) => {
      const chip = chips.find(({ text }) => text === term);
      return chip && mayEdit ? (
        <Button small className="shrink-0" onClick={() => onPlaceTerm(chip)}>
          Place
        </Button>
      ) : null;
    },
  };
  if (rail)
    return (
      <div data-testid="checks">
        <ResultsRail {...list} head={report && !bare && sight === 'points' ? <RailSum {...sumsOf(report)} /> : null} />
      </div>
    );
  const own = assignment.legend.topicKinds.find(({ givenBy }) => givenBy === 'student')?.name ?? null;
  return (
    <div className="pb-4" data-testid="checks">
      {bare ? null : sight === 'nothing' ? (
        <p className="px-3.5 py-3 text-quiet">This is what is asked for. It is checked when you hand in.</p>
      ) : report ? (
        <ReportHead report={report} points={sight === 'points'} />
      ) : (
        <p className="px-3.5 py-3 text-quiet">Checking …</p>
      )}
      {(bare || (beginning && mayEdit)) && <FirstStep terms={chips.length} own={own} bare={bare} />}
      {tooLong && (
        <p className="border-b border-rule bg-ochre-wash px-3.5 py-2 text-sm">
          This map takes too long to check while you draw. It is checked when you hand in.
        </p>
      )}
      <ResultsList {...list} />
    </div>
  );
}
