import { requirementParts } from '@ichnograph/core';
import type { Assignment } from '@ichnograph/core';

/** A requirement as a person reads it, its blanks set apart. @param of its id in the assignment */
export function Sentence({ of, assignment }: { of: string; assignment: Assignment }) {
  const requirement = assignment.requirements.find(({ id }) => id === of);
  return (
    <>
      {(requirement ? requirementParts(requirement, assignment) : [of]).map((part, i) =>
        typeof part === 'string' ? (
          part
        ) : (
          <strong key={i} className="font-bold">
            {part.text}
          </strong>
        ),
      )}
    </>
  );
}
