import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { blank, kindName, kindNames, linkKindNames, ofThem, plural, quoted } from '../words.js';

type Params = { kind: string; targets?: string[]; linkKind?: string; count: number };

export const anchorLinks = requirementType<Params>({
  id: 'anchor-links',
  group: 'structure',
  asks: ({ count }) => (count > 0 ? 'made' : 'kept'),
  params: {
    kind: { type: 'kind', required: true },
    targets: { type: 'kinds' },
    linkKind: { type: 'linkKind' },
    count: { type: 'number', default: 1, least: 0, whole: true },
  },
  sentence: ({ kind, targets, linkKind, count }, assignment) => [
    'Each ',
    blank('kind', kindName(assignment, kind)),
    ' has exactly ',
    blank('count', count),
    ' ',
    ...(linkKind ? [blank('linkKind', linkKindNames(assignment, [linkKind])), ' '] : []),
    count === 1 ? 'line' : 'lines',
    ...(targets ? [', to a ', blank('targets', kindNames(assignment, targets))] : []),
  ],
  messages: {
    share: ({ count, of }) => ofThem(count, of, 'anchored as asked'),
    number: ({ text, found, count }) => `${quoted(text)} has ${plural(Number(found), 'line')} instead of ${count}.`,
    elsewhere: ({ text, other }) =>
      `The line from ${quoted(text)} goes to ${quoted(other)}, which is not of the kind asked for.`,
    otherKind: ({ text, other }) => `The line between ${quoted(text)} and ${quoted(other)} is of another kind.`,
  },
  check: ({ kind, targets, linkKind, count }, { index, assignment }) => {
    const topics = index.topicsOf([kind]);
    const findings = topics.flatMap((topic): Finding[] => {
      const links = index.linksAt.get(topic.id)!;
      if (links.length !== count)
        return [{ message: 'number', data: { text: topic.text, found: links.length, count }, topics: [topic.id] }];
      for (const link of links) {
        const other = index.ends(link).find(({ id }) => id !== topic.id)!;
        const data = { text: topic.text, other: other.text };
        if (targets && !targets.includes(index.kindOf(other)?.id ?? ''))
          return [{ message: 'elsewhere', data, topics: [topic.id] }];
        if (linkKind !== undefined && assignment.styleMode === 'guided' && link.kind !== linkKind)
          return [{ message: 'otherKind', data, topics: [topic.id] }];
      }
      return [];
    });
    return allBut(findings, topics.length, 'topics');
  },
});
