import type { SheetPart } from '@ichnograph/core';
import { useEffect, useState } from 'react';
import { SECTION_NAMES, SECTIONS } from './section-names';
import type { SectionId } from './section-names';
import { useLiveSnapshot, useSheet, useSheetPage, useWritten } from './use-sheet';

/** What a class keeps of a sheet. */
const OF_RULES: readonly SectionId[] = ['legend', 'requirements', 'criteria'];

/** The parts of the sheet at its left, with what is in each and what is still missing. */
export function SheetIndex() {
  const sheet = useSheet();
  const { starter, reference, detail } = useSheetPage();
  const sections = detail.rulesOf ? OF_RULES : SECTIONS;
  const { missing, findings } = useWritten();
  const current = useCurrent(sections);
  const topics = (map: ReturnType<typeof useLiveSnapshot>): number => map?.topics.length ?? 0;
  const counts: Partial<Record<SectionId, number>> = {
    terms: sheet.terms.terms.length,
    starter: topics(useLiveSnapshot(starter)),
    reference: topics(useLiveSnapshot(reference)),
    requirements: sheet.requirements.requirements.filter(({ off }) => !off).length,
    criteria: sheet.criteria.criteria.length,
  };
  const wants = (id: SectionId): string | null => {
    if (missing.some(({ path }) => sectionOf(path) === id)) return 'not complete';
    if (id === 'requirements' && findings.length > 0) return `${findings.length} to look at`;
    return null;
  };
  return (
    <nav aria-label="Parts of the sheet" className="py-4">
      <ol>
        {sections.map((id, i) => {
          const want = wants(id);
          return (
            <li key={id}>
              <a
                href={`#${id}`}
                aria-current={current === id ? 'location' : undefined}
                className={`flex gap-2.5 border-l-[3px] py-1.5 pl-3 pr-2 hover:bg-canvas ${current === id ? 'border-action font-semibold' : 'border-transparent text-quiet'}`}
                onClick={(event) => {
                  event.preventDefault();
                  goToSection(id);
                }}
              >
                <span className="font-mono">{i + 1}</span>
                <span>
                  {SECTION_NAMES[id]}
                  {counts[id] ? ` · ${counts[id]}` : ''}
                  {want && <span className="block text-xs font-normal text-ochre">{want}</span>}
                </span>
              </a>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}

export function goToSection(id: string): void {
  document.getElementById(id)?.scrollIntoView({ block: 'start' });
  document.getElementById(`${id}-title`)?.focus({ preventScroll: true });
}

const sectionOf = (path: string): SectionId => {
  const field = /^\$\.(\w+)/.exec(path)?.[1] ?? '';
  const part: Record<string, SectionId | SheetPart> = {
    styleMode: 'legend',
    looks: 'legend',
    root: 'legend',
  };
  return SECTIONS.find((id) => id === field) ?? part[field] ?? 'task';
};

/** The part that is read now: the last one whose head has passed the upper third. */
function useCurrent(sections: readonly SectionId[]): SectionId {
  const [current, setCurrent] = useState<SectionId>(sections[0]!);
  useEffect(() => {
    const scroller = document.getElementById('sheet')!;
    const look = (): void => {
      const line = scroller.getBoundingClientRect().top + scroller.clientHeight / 3;
      const passed = sections.filter((id) => document.getElementById(id)!.getBoundingClientRect().top <= line);
      setCurrent(passed.at(-1) ?? sections[0]!);
    };
    scroller.addEventListener('scroll', look, { passive: true });
    return () => scroller.removeEventListener('scroll', look);
  }, [sections]);
  return current;
}
