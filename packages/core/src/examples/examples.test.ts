import { mend } from '../drawn/mend.js';
import { paramProblems } from '../requirements/params.js';
import { requirementTypes } from '../requirements/registry.js';
import { say } from '../wording/say.js';
import { checkedExample } from './example-views.js';
import { PARAM_WORDS } from './param-words.js';

const types = requirementTypes().map((type) => [type.id, type] as const);

test.each(types)('%s: one map meets it, the other does not and is told why', (id, type) => {
  const { requirement, met, unmet } = checkedExample(id);
  expect(paramProblems(type, requirement, '$')).toEqual([]);
  expect(met.result.status).toBe('met');
  expect(unmet.result.fraction).toBeLessThan(1);
  expect(say(id, met.result)).not.toBe(say(id, unmet.result));
  for (const { map } of [met, unmet]) expect(mend(map).dropped).toEqual([]);
});

test('every blank is said in plain words, and no words are left over', () => {
  const named = new Set(types.flatMap(([, type]) => Object.keys(type.params)));
  expect(Object.keys(PARAM_WORDS).sort()).toEqual([...named].sort());
});
