import { requirementTypeOf, withDefaults } from '@ichnograph/core';
import type { Assignment, Requirement, SentencePart } from '@ichnograph/core';

/** A requirement as a person reads it, its blanks set apart. */
export function sentenceParts({ type: id, params }: Requirement, assignment: Assignment): SentencePart[] {
  const type = requirementTypeOf(id);
  return type ? type.sentence(withDefaults(type, params), assignment) : [id];
}

export function Sentence({ parts }: { parts: SentencePart[] }) {
  return (
    <>
      {parts.map((part, i) =>
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
