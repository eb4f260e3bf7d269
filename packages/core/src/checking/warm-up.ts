import { emptyMap } from '../map/types.js';
import type { Assignment, Topic } from '../map/types.js';
import { requirementTypes } from '../requirements/registry.js';
import { checkMap } from './check-map.js';

const topic = (id: string, x: number): Topic => ({ id, text: id, kind: null, x, y: 0, width: 80, height: 40 });

/**
 * Checks a map of two topics by every type that needs nothing said: the time of the first real check is then not spent
 * on loading words and code, which on a busy machine takes longer than the check.
 */
export function warmUp(): void {
  const assignment: Assignment = {
    title: '',
    focusQuestion: '',
    brief: '',
    language: 'en',
    styleMode: 'guided',
    legend: { topicKinds: [], linkKinds: [] },
    terms: [{ text: 'arch' }],
    starter: null,
    reference: null,
    requirements: requirementTypes()
      .filter(({ params }) => !Object.values(params).some((rule) => 'required' in rule))
      .map(({ id }) => ({ id, type: id, params: {}, level: 'must', points: 1 })),
    criteria: [],
  };
  checkMap(
    {
      ...emptyMap(),
      topics: [topic('arch', 0), topic('bridge', 300)],
      // Words that no list decides: what reads whole phrases is made ready too.
      links: [{ id: 'link', from: 'arch', to: 'bridge', phrase: 'what the load', kind: null }],
    },
    assignment,
  );
}
