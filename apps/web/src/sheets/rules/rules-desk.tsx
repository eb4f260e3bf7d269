import type { ClassName } from '@ichnograph/contract';
import { HeadOfPage } from '../../common/head-of-page';
import { useTitle } from '../../common/page';
import { useMe } from '../../common/queries';
import { RequirementsSection } from '../requirements/requirements-section';
import { DraftSaved, NotSaved } from '../draft-saved';
import { CriteriaSection } from '../sections/criteria';
import { LegendSection } from '../sections/legend';
import { SheetIndex } from '../sheet-index';
import { SheetProvider, useOthers, useSheetPage, useWriting, WrittenProvider } from '../use-sheet';
import { PutInForce } from './put-in-force';

/** What a class keeps of a sheet: legend, requirements and criteria from which its assignments begin. */
export function RulesDesk({ of: { className } }: { of: ClassName }) {
  const open = useSheetPage();
  const written = useWriting();
  const { others } = useOthers(open, useMe().id);
  useTitle(`Standing rules of ${className}`);
  return (
    <WrittenProvider value={written}>
      <HeadOfPage
        crumbs={[{ name: 'People', to: '/people' }, { name: `Standing rules of ${className}` }]}
        middle={<DraftSaved open={open} others={others} />}
        actions={
          // The head of the window stands outside the sheet.
          <SheetProvider value={open}>
            <WrittenProvider value={written}>
              <PutInForce />
            </WrittenProvider>
          </SheetProvider>
        }
      />
      <main
        id="main"
        tabIndex={-1}
        className="grid h-[calc(100dvh-47px)] min-h-[22rem] grid-cols-[9rem_minmax(0,1fr)] outline-none max-sm:block max-sm:h-auto min-[1200px]:grid-cols-[10.5rem_minmax(0,62rem)]"
      >
        <div className="overflow-y-auto border-r border-rule max-sm:hidden">
          <SheetIndex />
        </div>
        <div id="sheet" className="sheet">
          <NotSaved />
          <p className="max-w-[70ch] pt-6 text-quiet">
            Assignments for {className} begin with what is written here once it is in force. What is amended later
            reaches them only when you say so, and leaves what was changed on a sheet by hand.
          </p>
          <LegendSection />
          <RequirementsSection />
          <CriteriaSection />
        </div>
      </main>
    </WrittenProvider>
  );
}
