import { PARAM_WORDS, requirementParts, requirementTypeOf, withDefaults } from '@ichnograph/core';
import type { Assignment, ParamName, ParamRule, Requirement } from '@ichnograph/core';
import { useId } from 'react';
import { Button } from '../../ui/button';
import { CommittedFigure, CommittedInput, CommittedLines } from '../../common/committed';
import { KindSample, LinkSample } from '../../map';
import { useSheetPage } from '../use-sheet';
import { PickPropositions } from './pick-propositions';

interface Props {
  requirement: Requirement;
  name: string;
  rule: ParamRule;
  assignment: Assignment;
  onChange: (value: unknown) => void;
}

const wordsFor = (name: string): string => PARAM_WORDS[name as ParamName] ?? name;

/** What fills one blank of a requirement's sentence. Undefined stands for nothing said. */
export function BlankEditor({ requirement, name, rule, assignment, onChange }: Props) {
  const id = useId();
  const type = requirementTypeOf(requirement.type)!;
  const value = withDefaults(type, requirement.params)[name];
  const { topicKinds, linkKinds } = assignment.legend;
  const mayBeEmpty = !('required' in rule && rule.required) && !('default' in rule && rule.default !== undefined);
  switch (rule.type) {
    case 'number': {
      // A share is said in hundredths, as the sentence says it.
      const per = /Share$/.test(name) ? 100 : 1;
      return (
        <Labelled id={id} words={wordsFor(name)}>
          <CommittedFigure
            id={id}
            className="field w-28 font-mono"
            data-autofocus
            limits={{
              least: rule.least === undefined ? undefined : rule.least * per,
              most: rule.most === undefined ? undefined : rule.most * per,
              whole: rule.whole,
              mayBeEmpty,
            }}
            value={value === undefined ? undefined : Math.round((value as number) * per * 1e6) / 1e6}
            onCommit={(figure) => onChange(figure === undefined ? undefined : figure / per)}
          />
          {per === 100 && ' %'}
          {mayBeEmpty && <p className="mt-1 text-sm text-quiet">Empty for none.</p>}
        </Labelled>
      );
    }
    case 'choice':
      return (
        <Choices
          legend={wordsFor(name)}
          type="radio"
          options={rule.options.map((option) => ({
            id: option,
            words: readingOf(requirement, name, option, assignment),
          }))}
          chosen={[value as string]}
          onToggle={onChange}
        />
      );
    case 'boolean':
      return (
        <Choices
          legend={wordsFor(name)}
          type="radio"
          options={[
            { id: 'true', words: 'yes' },
            { id: 'false', words: 'no' },
          ]}
          chosen={[String(value)]}
          onToggle={(option) => onChange(option === 'true')}
        />
      );
    case 'choices':
      return (
        <Several
          name={name}
          options={rule.options.map((option) => ({ id: option, words: option }))}
          value={(value as string[] | undefined) ?? []}
          mayBeEmpty={mayBeEmpty}
          onChange={onChange}
        />
      );
    case 'kind':
    case 'linkKind':
      return (
        <Choices
          legend={wordsFor(name)}
          type="radio"
          options={[
            ...kindOptions(rule.type === 'kind' ? topicKinds : linkKinds, assignment),
            ...(mayBeEmpty ? [{ id: '', words: 'any' }] : []),
          ]}
          chosen={[(value as string | undefined) ?? '']}
          onToggle={(option) => onChange(option === '' ? undefined : option)}
        />
      );
    case 'kinds':
    case 'linkKinds':
      return (
        <Several
          name={name}
          options={kindOptions(rule.type === 'kinds' ? topicKinds : linkKinds, assignment)}
          value={(value as string[] | undefined) ?? []}
          mayBeEmpty={mayBeEmpty}
          onChange={onChange}
        />
      );
    case 'text':
      return (
        <Labelled id={id} words={wordsFor(name)}>
          <CommittedInput
            id={id}
            className="field"
            data-autofocus
            maxLength={300}
            value={(value as string | undefined) ?? ''}
            live
            onCommit={(typed) => onChange(typed.trim() === '' && mayBeEmpty ? undefined : typed)}
          />
        </Labelled>
      );
    case 'texts':
      return (
        <Labelled id={id} words={`${wordsFor(name)}, one a line`}>
          <CommittedLines
            id={id}
            className="field min-h-24"
            data-autofocus
            value={((value as string[] | undefined) ?? []).join('\n')}
            onCommit={(typed) => {
              const lines = linesOf(typed);
              onChange(lines.length === 0 && mayBeEmpty ? undefined : lines);
            }}
          />
        </Labelled>
      );
    case 'pairs':
      return (
        <Pairs value={(value as [string, string][] | undefined) ?? []} assignment={assignment} onChange={onChange} />
      );
    case 'list':
      return (
        <Records
          name={name}
          requirement={requirement.id}
          rule={rule}
          value={(value as Record<string, unknown>[] | undefined) ?? []}
          onChange={onChange}
        />
      );
  }
}

const linesOf = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');

/** How the sentence reads with this choice: its own words are the best name a choice can have. */
function readingOf(requirement: Requirement, name: string, option: string, assignment: Assignment): string {
  const parts = requirementParts({ ...requirement, params: { ...requirement.params, [name]: option } }, assignment);
  const own = parts.find((part) => typeof part === 'object' && part.param === name);
  return typeof own === 'object'
    ? `… ${own.text}`
    : parts.map((part) => (typeof part === 'string' ? part : part.text)).join('');
}

const kindOptions = (
  kinds: Assignment['legend']['topicKinds'] | Assignment['legend']['linkKinds'],
  { legend }: Assignment,
) =>
  kinds.map((kind) => ({
    id: kind.id,
    words: kind.name,
    sample: 'shape' in kind ? <KindSample kind={kind} /> : <LinkSample kind={kind} legend={legend} />,
  }));

function Labelled({ id, words, children }: { id: string; words: string; children: React.ReactNode }) {
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm text-quiet">
        {sentenceCase(words)}
      </label>
      {children}
    </div>
  );
}

const sentenceCase = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}`;

interface Option {
  id: string;
  words: string;
  sample?: React.ReactNode;
}

function Choices({
  legend,
  type,
  options,
  chosen,
  onToggle,
}: {
  legend: string;
  type: 'radio' | 'checkbox';
  options: readonly Option[];
  chosen: readonly string[];
  onToggle: (id: string) => void;
}) {
  const name = useId();
  return (
    <fieldset>
      <legend className="mb-1 text-sm text-quiet">{sentenceCase(legend)}</legend>
      {options.map(({ id, words, sample }, i) => (
        <label key={id} className="flex min-h-8 items-center gap-2 rounded-sm px-1 hover:bg-canvas">
          <input
            type={type}
            name={name}
            className="accent-action"
            checked={chosen.includes(id)}
            {...((chosen.length === 0 ? i === 0 : chosen[0] === id) && { 'data-autofocus': true })}
            onChange={() => onToggle(id)}
          />
          {sample}
          <span className="words min-w-0">{words}</span>
        </label>
      ))}
    </fieldset>
  );
}

function Several({
  name,
  options,
  value,
  mayBeEmpty,
  onChange,
}: {
  name: string;
  options: readonly Option[];
  value: readonly string[];
  mayBeEmpty: boolean;
  onChange: (value: unknown) => void;
}) {
  return (
    <>
      <Choices
        legend={wordsFor(name)}
        type="checkbox"
        options={options}
        chosen={value}
        onToggle={(id) => {
          // In the legend's order, whatever was ticked first.
          const next = options
            .map((one) => one.id)
            .filter((one) => (one === id ? !value.includes(one) : value.includes(one)));
          if (next.length > 0) onChange(next);
          else if (mayBeEmpty) onChange(undefined);
        }}
      />
      {mayBeEmpty && <p className="mt-1 text-sm text-quiet">None ticked: all of them.</p>}
    </>
  );
}

function Pairs({
  value,
  assignment,
  onChange,
}: {
  value: readonly [string, string][];
  assignment: Assignment;
  onChange: (value: unknown) => void;
}) {
  const kinds = assignment.legend.topicKinds;
  const set = (i: number, end: 0 | 1, kind: string): void =>
    onChange(value.map((pair, at) => (at === i ? (end === 0 ? [kind, pair[1]] : [pair[0], kind]) : pair)));
  const choice = (i: number, end: 0 | 1, kind: string) => (
    <select
      aria-label={end === 0 ? `From, pair ${i + 1}` : `To, pair ${i + 1}`}
      className="field"
      value={kind}
      onChange={({ target }) => set(i, end, target.value)}
    >
      {kinds.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
  return (
    <div>
      <p className="mb-1 text-sm text-quiet">{sentenceCase(wordsFor('pairs'))}</p>
      {value.map(([from, to], i) => (
        <div key={i} className="mb-1 flex items-center gap-2">
          {choice(i, 0, from)}
          <span aria-hidden>→</span>
          {choice(i, 1, to)}
          {value.length > 1 && (
            <Button
              small
              look="quiet"
              aria-label={`Remove pair ${i + 1}`}
              onClick={() => onChange(value.filter((_, at) => at !== i))}
            >
              ×
            </Button>
          )}
        </div>
      ))}
      <Button small onClick={() => onChange([...value, [kinds[0]?.id ?? '', kinds[0]?.id ?? '']])}>
        Add a pair
      </Button>
    </div>
  );
}

/** A list of records, such as propositions: a line each, the fields of one with bars between. */
function Records({
  name,
  requirement,
  rule,
  value,
  onChange,
}: {
  name: string;
  requirement: string;
  rule: Extract<ParamRule, { type: 'list' }>;
  value: readonly Record<string, unknown>[];
  onChange: (value: unknown) => void;
}) {
  const id = useId();
  const fields = Object.entries(rule.of);
  const { id: sheet } = useSheetPage().detail;
  const written = (one: Record<string, unknown>): string =>
    fields
      .map(([field]) => {
        const part = one[field];
        return Array.isArray(part)
          ? part.join(', ')
          : typeof part === 'string' || typeof part === 'number'
            ? `${part}`
            : '';
      })
      .join(' | ');
  const read = (line: string): Record<string, unknown> => {
    const cells = line.split('|').map((cell) => cell.trim());
    return Object.fromEntries(
      fields.flatMap(([field, of], i): [string, unknown][] => {
        const cell = cells[i] ?? '';
        if (cell === '') return [];
        if (of.type === 'number') return [[field, Number(cell)]];
        if (of.type === 'texts') return [[field, cell.split(',').map((one) => one.trim())]];
        return [[field, cell]];
      }),
    );
  };
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm text-quiet">
        {sentenceCase(wordsFor(name))}: one a line, as “{fields.map(([field]) => field).join(' | ')}”
      </label>
      <CommittedLines
        id={id}
        className="field min-h-24 font-mono text-sm"
        data-autofocus
        value={value.map(written).join('\n')}
        draft={`${name} of ${requirement} on ${sheet}`}
        onCommit={(typed) => {
          const records = linesOf(typed).map(read);
          const incomplete = records.findIndex((one) =>
            fields.some(([field, of]) => 'required' in of && of.required && one[field] === undefined),
          );
          if (incomplete >= 0) return `Line ${incomplete + 1} is not complete.`;
          onChange(records);
          return null;
        }}
      />
      {'from' in rule.of && 'to' in rule.of && <PickPropositions value={value} onChange={onChange} />}
    </div>
  );
}
