import {
  CATALOGUE,
  checkedExample,
  GROUP_TITLES,
  GROUPS,
  normalForm,
  PARAM_WORDS,
  requirementSentence,
  requirementTypeOf,
  say,
  withDefaults,
} from '@ichnograph/core';
import type { CheckedExample, GroupId, RequirementType, ParamName, ParamRule } from '@ichnograph/core';
import { useMemo, useState } from 'react';
import { CheckedMap, Sentence } from '../map';
import { Page } from '../common/page';
import { StatusMark } from '../ui/status-mark';

interface Entry {
  type: RequirementType;
  example: CheckedExample;
  /** all its words, for the search */
  words: string;
}

const LEADS: Record<GroupId, string> = {
  content: 'Terms, topics, notes and pictures.',
  structure: 'How topics are tied together, and how far the map reaches.',
  propositions: 'The words on links, and the sentences that topics and links make.',
  style: 'Shapes, fills and lines that tell kinds apart.',
  layout: 'Room, order and paper.',
  making: 'Who made it, when, and what goes with it.',
};

const paramsOf = ({ params }: RequirementType) => Object.entries(params) as [ParamName, ParamRule][];

function entriesOf(group: GroupId): Entry[] {
  return CATALOGUE[group].flatMap((id) => {
    const type = requirementTypeOf(id);
    if (!type) return [];
    const example = checkedExample(id);
    const sentence = requirementSentence(example.requirement, example.assignment);
    const params = paramsOf(type).map(([name]) => PARAM_WORDS[name]);
    return [{ type, example, words: normalForm([id, sentence, GROUP_TITLES[group], ...params].join(' ')) }];
  });
}

/** Everything that can be asked of a map, by what one wants to see; made from the types themselves and checked here. */
export function WhatCanIAskPage() {
  const all = useMemo(() => GROUPS.map((group) => ({ group, entries: entriesOf(group) })), []);
  const [search, setSearch] = useState('');
  const wanted = normalForm(search).split(' ').filter(Boolean);
  const shown = all.map(({ group, entries }) => ({
    group,
    entries: entries.filter(({ words }) => wanted.every((word) => words.includes(word))),
  }));
  const count = shown.reduce((sum, { entries }) => sum + entries.length, 0);
  return (
    <Page
      title="What can I ask for?"
      lead="Each sentence is one requirement. What is bold is a blank that you fill. Beside it, a map that meets it and one that does not, checked by the same rules as your students’ maps. What is to be made is not there at the start; what is to be kept is, and careless work loses it."
    >
      <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[13rem_1fr]">
        <nav aria-label="What you want to see" className="lg:sticky lg:top-6 lg:self-start">
          <label className="caption block" htmlFor="search">
            Find
          </label>
          <input
            id="search"
            type="search"
            className="mt-1 w-full border border-rule bg-white px-2 py-1"
            placeholder="arrows, colours, notes …"
            value={search}
            onChange={(event) => setSearch(event.target.value)}
          />
          <ul className="mt-4 grid gap-1">
            {shown.map(({ group, entries }) => (
              <li key={group}>
                {entries.length === 0 ? (
                  <span className="text-quiet">{GROUP_TITLES[group]}</span>
                ) : (
                  <a className="underline decoration-rule underline-offset-2 hover:decoration-ink" href={`#${group}`}>
                    {GROUP_TITLES[group]}
                  </a>
                )}{' '}
                <span className="font-mono text-sm text-quiet">{entries.length}</span>
              </li>
            ))}
          </ul>
        </nav>
        <div className="min-w-0">
          <p role="status" className="sr-only">
            {count} can be asked for
          </p>
          {count === 0 && <p>Nothing here has all these words. Try one word, such as “link” or “colour”.</p>}
          {shown.map(({ group, entries }) =>
            entries.length === 0 ? null : (
              <section key={group} id={group} aria-labelledby={`${group}-title`} className="mb-10 scroll-mt-6">
                <h2 id={`${group}-title`} className="text-xl font-semibold">
                  {GROUP_TITLES[group]}
                </h2>
                <p className="mb-2 text-quiet">{LEADS[group]}</p>
                {entries.map(({ type, example }) => (
                  <Requirement key={type.id} type={type} example={example} />
                ))}
              </section>
            ),
          )}
        </div>
      </div>
    </Page>
  );
}

function Requirement({ type, example }: { type: RequirementType; example: CheckedExample }) {
  const { assignment, requirement, met, unmet } = example;
  const asks = type.asks(withDefaults(type, requirement.params));
  return (
    <article className="border-t border-rule py-4 [contain-intrinsic-size:auto_20rem] [content-visibility:auto]">
      <div className="flex items-baseline justify-between gap-4">
        <h3 className="words min-w-0 text-lg">
          <Sentence of={requirement.id} assignment={assignment} />
        </h3>
        <span className="caption shrink-0">{asks === 'made' ? 'to be made' : 'to be kept'}</span>
      </div>
      <Blanks type={type} />
      <div className="mt-3 grid gap-4 sm:grid-cols-2">
        {[met, unmet].map(({ map, result }, i) => (
          <figure key={i} className="flex min-w-0 flex-col border border-rule bg-canvas">
            <div className="flex flex-1 items-center justify-center p-2">
              <CheckedMap
                map={map}
                assignment={assignment}
                requirement={requirement}
                result={result}
                label={i === 0 ? 'A map that meets it' : 'A map that does not meet it'}
              />
            </div>
            <figcaption className="border-t border-rule bg-paper px-2.5 py-1.5 text-sm">
              <span className="flex items-start gap-2">
                <span className="mt-[3px]">
                  <StatusMark status={result.status} />
                </span>
                <span className="words min-w-0">
                  {say(type.id, result)}
                  {[...new Set(result.evidence.map((piece) => say(type.id, piece)))].slice(0, 2).map((sentence) => (
                    <span key={sentence} className="block text-quiet">
                      {sentence}
                    </span>
                  ))}
                </span>
              </span>
            </figcaption>
          </figure>
        ))}
      </div>
    </article>
  );
}

/** What can be filled in, in plain words, with what stands there if one says nothing. */
function Blanks({ type }: { type: RequirementType }) {
  const params = paramsOf(type);
  if (params.length === 0) return null;
  return (
    <p className="words mt-1 text-sm">
      <span className="text-quiet">You can say </span>
      {params.map(([name, rule], i) => (
        <span key={name}>
          {i > 0 && (i === params.length - 1 ? ' and ' : ', ')}
          {PARAM_WORDS[name]}
          {'default' in rule && typeof rule.default === 'number' && (
            <span className="font-mono text-quiet"> ({rule.default})</span>
          )}
        </span>
      ))}
      .
    </p>
  );
}
