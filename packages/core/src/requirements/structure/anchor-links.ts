import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { kindNames, linkKindNames, ofThem } from '../words.js';

export const anchorLinks = requirementType({
  id: 'anchor-links',
  group: 'structure',
  asks: ({ count }) => (count > 0 ? 'made' : 'kept'),
  params: {
    kind: { type: 'kind', required: true },
    targets: { type: 'kinds' },
    linkKind: { type: 'linkKind' },
    count: { type: 'number', default: 1, least: 0, whole: true },
  },
  sentence:
    'Each <b-kind>{kind}</b-kind> has exactly <b-count>{count}</b-count> {linkKind, select, undefined {} other {<b-linkKind>{linkKind}</b-linkKind> }}{count, plural, one {line} other {lines}}' +
    '{targets, select, undefined {} other {, to a <b-targets>{targets}</b-targets>}}',
  shown: ({ kind, targets, linkKind }, assignment) => ({
    kind: kindNames(assignment, [kind]),
    targets: kindNames(assignment, targets),
    linkKind: linkKindNames(assignment, linkKind === undefined ? undefined : [linkKind]),
  }),
  messages: {
    share: ofThem('anchored as asked'),
    number: '“{text}” has {found, plural, one {1 line} other {{found} lines}} instead of {count}.',
    elsewhere: 'The line from “{text}” goes to “{other}”, which is not of the kind asked for.',
    otherKind: 'The line between “{text}” and “{other}” is of another kind.',
  },
  check: ({ kind, targets, linkKind, count }, { index, assignment }) => {
    const topics = index.topicsOf([kind]);
    const findings = topics.flatMap((topic): Finding[] => {
      const links = index.linksAt.get(topic.id)!;
      if (links.length !== count)
        return [{ code: 'number', data: { text: topic.text, found: links.length, count }, topics: [topic.id] }];
      for (const link of links) {
        const other = index.ends(link).find(({ id }) => id !== topic.id)!;
        const data = { text: topic.text, other: other.text };
        if (targets && !targets.includes(index.kindOf(other)?.id ?? ''))
          return [{ code: 'elsewhere', data, topics: [topic.id] }];
        if (linkKind !== undefined && assignment.styleMode === 'guided' && link.kind !== linkKind)
          return [{ code: 'otherKind', data, topics: [topic.id] }];
      }
      return [];
    });
    return allBut(findings, topics.length, 'topics');
  },
});
