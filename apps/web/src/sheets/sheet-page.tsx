import { mapFromStarter, writeMap } from '@ichnograph/core';
import type { Assignment } from '@ichnograph/core';
import { useNavigate, useParams } from 'react-router';
import type { SheetDetail, TrialMapDetail } from '@ichnograph/contract';
import { api } from '../common/api';
import { HeadOfPage } from '../common/head-of-page';
import { Loading, useTitle } from '../common/page';
import { useTakeBack } from '../common/told';
import { useMe, useSheetDetail } from '../common/queries';
import { useSend } from '../common/send';
import { useMedia } from '../common/use-media';
import { Waiting } from '../common/waiting';
import { Button } from '../ui/button';
import { WithWhy } from '../ui/with-why';
import { NextRevision } from './next-revision';
import { RequirementsSection } from './requirements/requirements-section';
import { ClassesSection } from './sections/classes';
import { CriteriaSection } from './sections/criteria';
import { LegendSection } from './sections/legend';
import { MarksSection } from './sections/marks';
import { ReferenceSection, StarterSection } from './sections/maps';
import { TaskSection } from './sections/task';
import { TermsSection } from './sections/terms';
import { RulesDesk } from './rules/rules-desk';
import { RulesToFollow } from './rules/rules-to-follow';
import { DraftSaved, NotSaved } from './draft-saved';
import { goToSection, SheetIndex } from './sheet-index';
import { AS_A_STUDENT } from './trial-names';
import { TryOut } from './try-out/try-out';
import {
  SheetProvider,
  useOpenSheet,
  useOthers,
  useSheet,
  useSheetPage,
  useWriting,
  WrittenProvider,
} from './use-sheet';
import type { OpenSheet } from './use-sheet';

export function SheetPage() {
  const sheet = useSheetDetail(useParams().id!);
  if (sheet.data === undefined || !sheet.isFetchedAfterMount) return <Waiting of={sheet} what="Opening the sheet …" />;
  return <OpenedSheet key={sheet.data.id} detail={sheet.data} />;
}

function OpenedSheet({ detail }: { detail: SheetDetail }) {
  const open = useOpenSheet(detail, useMe().id);
  if (!open) return <Loading what="Opening the sheet …" />;
  return (
    <SheetProvider value={open}>{detail.rulesOf ? <RulesDesk of={detail.rulesOf} /> : <SheetDesk />}</SheetProvider>
  );
}

/** One long document in the order of thought, its index at the left, the try-out beside it. */
function SheetDesk() {
  const open = useSheetPage();
  const { task } = useSheet();
  const written = useWriting();
  const { others, ahead, lookAgain } = useOthers(open, useMe().id);
  const isWide = useMedia('(min-width: 1200px)');
  const title = task.title.trim() || 'New assignment';
  useTitle(`Sheet: ${title}`);
  useTakeBack();
  return (
    <WrittenProvider value={written}>
      <HeadOfPage
        crumbs={[{ name: 'Assignments', to: '/assignments' }, { name: title }]}
        middle={<DraftSaved open={open} others={others} />}
        actions={
          <>
            <SeeAsStudent open={open} assignment={written.assignment} />
            <Button
              look="action"
              onClick={() => {
                goToSection('classes');
                document.getElementById('publish-class')?.focus();
              }}
            >
              Publish …
            </Button>
          </>
        }
      />
      <main
        id="main"
        tabIndex={-1}
        className="grid h-[calc(100dvh-47px)] min-h-[22rem] grid-cols-[9rem_minmax(0,1fr)] outline-none max-sm:block max-sm:h-auto min-[1200px]:grid-cols-[10.5rem_minmax(0,1fr)_21rem]"
      >
        <div className="overflow-y-auto border-r border-rule max-sm:hidden">
          <SheetIndex />
        </div>
        <div id="sheet" className="sheet">
          <NotSaved />
          <RulesToFollow />
          {ahead && <NextRevision onDone={lookAgain} />}
          <TaskSection />
          <LegendSection />
          <TermsSection />
          <StarterSection />
          <ReferenceSection />
          <RequirementsSection />
          {!isWide && (
            <div className="border-b border-rule py-6">
              <TryOut />
            </div>
          )}
          <CriteriaSection />
          <MarksSection />
          <ClassesSection />
        </div>
        {isWide && (
          <div className="overflow-y-auto border-l border-rule bg-white px-4 py-4">
            <TryOut />
          </div>
        )}
      </main>
    </WrittenProvider>
  );
}

/** A work of one's own as a student would begin it, which nobody else sees; the next look throws it away. */
function SeeAsStudent({ open: { detail, writing }, assignment }: { open: OpenSheet; assignment: Assignment }) {
  const me = useMe();
  const navigate = useNavigate();
  const { trouble, send } = useSend('everything');
  const see = async (): Promise<void> => {
    await writing.flush();
    const trials = await api.get<TrialMapDetail[]>(`assignments/${detail.id}/trials`);
    for (const old of trials.filter(({ name }) => name === AS_A_STUDENT))
      await api.delete(`assignments/${detail.id}/trials/${old.id}`);
    const map = mapFromStarter(assignment, `${me.givenName} ${me.familyName}`, () => crypto.randomUUID());
    const { id } = await api.post<{ id: string }>(`assignments/${detail.id}/trials`, {
      name: AS_A_STUDENT,
      map: writeMap(map),
    });
    await navigate(`/assignments/${detail.id}/trials/${id}`);
  };
  return (
    <WithWhy trouble={trouble}>
      {(says) => (
        <Button {...says} onClick={() => void send(see, 'This is how a student begins.')}>
          See as a student
        </Button>
      )}
    </WithWhy>
  );
}
