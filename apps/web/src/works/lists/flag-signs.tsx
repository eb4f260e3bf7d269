import type { Report } from '@ichnograph/core';
import { flagSteps } from '../../map';
import { Balloon } from '../../ui/balloon';
import { useEditor, useEditorState } from '../editor';

/** The numbers of the requirements that flag something, each with what it says; a press looks at that requirement. */
export function FlagSigns({ flags }: { flags: readonly { requirement: string; words: string }[] }) {
  const { actions, assignment } = useEditor();
  const requirement = useEditorState((state) => state.requirement);
  const report = useEditorState((state) => state.report);
  return (
    <span className="flex flex-wrap gap-1">
      {flags.map(({ requirement: id, words }) => (
        <button
          key={id}
          type="button"
          tabIndex={-1}
          aria-label={words}
          title={words}
          aria-pressed={requirement === id}
          onClick={() => actions.showRequirement(requirement === id ? null : id)}
        >
          <Balloon
            number={assignment.requirements.findIndex((one) => one.id === id) + 1}
            {...statusOf(report?.results.find((one) => one.id === id)?.status)}
          />
        </button>
      ))}
    </span>
  );
}

const statusOf = <T,>(status: T | undefined) => (status === undefined ? {} : { status });

/** For each link, what the checks say of it: number of the requirement, and the sentence. */
export function flagsOf(report: Report | null): ReadonlyMap<string, { requirement: string; words: string }[]> {
  const flags = new Map<string, { requirement: string; words: string }[]>();
  for (const { mark, requirement, words } of report ? flagSteps(report) : [])
    flags.set(mark, [...(flags.get(mark) ?? []), { requirement, words }]);
  return flags;
}
