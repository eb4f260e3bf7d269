import { GROUP_TITLES, GROUPS, groupOf, requirementTypeOf, withDefaults } from '@ichnograph/core';
import type { Assignment, Requirement, SentencePart } from '@ichnograph/core';
import { Balloon } from '../ui/balloon';

/** A requirement as a person reads it, its blanks set apart. */
export function sentenceParts({ type: id, params }: Requirement, assignment: Assignment): SentencePart[] {
  const type = requirementTypeOf(id);
  return type ? type.sentence(withDefaults(type, params), assignment) : [id];
}

export function Sentence({ parts }: { parts: SentencePart[] }) {
  return <>{parts.map((part, i) => (typeof part === 'string' ? part : <strong key={i} className="font-bold">{part.text}</strong>))}</>;
}

export function RequirementSentences({ assignment }: { assignment: Assignment }) {
  const numbered = assignment.requirements.map((requirement, i) => ({ requirement, number: i + 1 }));
  return (
    <div className="grid gap-4">
      {GROUPS.map((group) => {
        const here = numbered.filter(({ requirement }) => groupOf(requirement.type) === group);
        return here.length === 0 ? null : (
          <div key={group}>
            <h3 className="mb-1 text-sm font-semibold">{GROUP_TITLES[group]}</h3>
            <ul className="divide-y divide-rule border-y border-rule">
              {here.map(({ requirement, number }) => (
                <li key={requirement.id} className="flex items-center gap-3 py-1.5">
                  <Balloon number={number} />
                  <span className="words min-w-0 flex-1"><Sentence parts={sentenceParts(requirement, assignment)} /></span>
                  <span className="text-sm text-quiet">{requirement.level}</span><span className="w-14 text-right font-mono text-sm">{requirement.points} pt</span>
                </li>
              ))}
            </ul>
          </div>
        );
      })}
    </div>
  );
}
