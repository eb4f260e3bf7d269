import { GROUP_TITLES, inGroups } from '@ichnograph/core';
import type { Assignment } from '@ichnograph/core';
import { Sentence } from '../map';
import { Balloon } from '../ui/balloon';

export function RequirementSentences({ assignment }: { assignment: Assignment }) {
  return (
    <div className="grid gap-4">
      {inGroups(assignment.requirements).map(({ group, members }) => (
        <div key={group}>
          <h3 className="mb-1 text-sm font-semibold">{GROUP_TITLES[group]}</h3>
          <ul className="divide-y divide-rule border-y border-rule">
            {members.map(({ number, ...requirement }) => (
              <li key={requirement.id} className="flex items-center gap-3 py-1.5">
                <Balloon number={number} />
                <span className="words min-w-0 flex-1">
                  <Sentence of={requirement.id} assignment={assignment} />
                </span>
                <span className="text-sm text-quiet">{requirement.level}</span>
                <span className="w-14 text-right font-mono text-sm">{requirement.points} pt</span>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </div>
  );
}
