import { requirementSentence } from '@ichnograph/core';
import type { Assignment } from '@ichnograph/core';
import type { RulesForAssignment } from '@ichnograph/contract';

type Change = RulesForAssignment['changes'][number];

const DOES: Readonly<Record<string, string>> = {
  added: 'comes in',
  changed: 'changes',
  removed: 'goes',
  kept: 'stays as it was changed by hand',
};

/** One change of a rule, as it reaches an assignment, in words. @param rules as they are written now */
export function changeWords({ of, id, does }: Change, rules: Assignment): string {
  return `${subjectOf(of, id, rules)} ${DOES[does] ?? does}`;
}

function subjectOf(
  of: string,
  id: string | undefined,
  { legend, requirements, criteria, ...rules }: Assignment,
): string {
  const named = (list: readonly { id: string; name: string }[], what: string): string => {
    const one = list.find((item) => item.id === id);
    return one ? `The ${what} “${one.name}”` : `A ${what} that is no more among the rules`;
  };
  switch (of) {
    case 'topic kind':
      return named(legend.topicKinds, 'kind of topic');
    case 'link kind':
      return named(legend.linkKinds, 'kind of link');
    case 'criterion':
      return named(criteria, 'criterion');
    case 'requirement': {
      const one = requirements.find((item) => item.id === id);
      return one
        ? `“${requirementSentence(one, { legend, requirements, criteria, ...rules })}”`
        : 'A requirement that is no more among the rules';
    }
    default:
      return 'How the legend is given';
  }
}
