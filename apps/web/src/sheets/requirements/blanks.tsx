import { requirementParts, requirementTypeOf } from '@ichnograph/core';
import type { Assignment, ParamRule, Requirement } from '@ichnograph/core';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { BlankEditor } from './blank-editor';

interface Props {
  requirement: Requirement;
  assignment: Assignment;
  /** the parameters that want something else, each with the reason */
  wanting: ReadonlyMap<string, string>;
  onChange: (params: Record<string, unknown>) => void;
}

const rulesOf = ({ type }: Requirement): Record<string, ParamRule> => requirementTypeOf(type)?.params ?? {};

const withParam = (params: Record<string, unknown>, name: string, value: unknown): Record<string, unknown> => {
  const { [name]: _, ...rest } = params;
  return value === undefined ? rest : { ...rest, [name]: value };
};

const FILLED = 'border-action bg-wash text-action-hover hover:bg-[#d3e4df]';
const WANTING = 'border-madder bg-madder-wash text-madder hover:bg-white';

/** A requirement as students will read it, each of its blanks a button that fills it; those that want something say so. */
export function SentenceWithBlanks({ requirement, assignment, wanting, onChange }: Props) {
  const rules = rulesOf(requirement);
  const parts = requirementParts(requirement, assignment);
  return (
    <>
      {parts.map((part, i) => {
        if (typeof part === 'string') return part;
        const rule = rules[part.param];
        if (!rule) return part.text;
        return (
          <BlankCard
            key={i}
            trigger={
              <button
                type="button"
                className={`mx-0.5 inline rounded-sm border-b px-1.5 font-semibold ${wanting.has(part.param) ? WANTING : FILLED}`}
                {...(wanting.has(part.param) && { title: `This ${wanting.get(part.param)}` })}
              >
                {part.text || '…'}
                {wanting.has(part.param) && <span className="sr-only">, which {wanting.get(part.param)}</span>}
              </button>
            }
          >
            <BlankEditor
              requirement={requirement}
              name={part.param}
              rule={rule}
              assignment={assignment}
              onChange={(value) => onChange(withParam(requirement.params, part.param, value))}
            />
          </BlankCard>
        );
      })}
    </>
  );
}

/** What else can be said: the parameters that the sentence shows no blank for as it reads now. */
export function MoreToSay({ requirement, assignment, wanting, onChange }: Props) {
  const shown = new Set(
    requirementParts(requirement, assignment).flatMap((part) => (typeof part === 'string' ? [] : [part.param])),
  );
  const hidden = Object.entries(rulesOf(requirement)).filter(([name]) => !shown.has(name));
  if (hidden.length === 0) return null;
  return (
    <BlankCard
      trigger={
        <button
          type="button"
          aria-label="Say more"
          className={`ml-1 inline rounded-sm px-1 text-sm ${hidden.some(([name]) => wanting.has(name)) ? `border-b ${WANTING}` : 'text-quiet hover:bg-wash hover:text-ink'}`}
        >
          …
        </button>
      }
    >
      <div className="grid gap-3">
        {hidden.map(([name, rule]) => (
          <BlankEditor
            key={name}
            requirement={requirement}
            name={name}
            rule={rule}
            assignment={assignment}
            onChange={(value) => onChange(withParam(requirement.params, name, value))}
          />
        ))}
      </div>
    </BlankCard>
  );
}

function BlankCard({ trigger, children }: { trigger: ReactNode; children: ReactNode }) {
  return (
    <Popover.Root>
      <Popover.Trigger asChild>{trigger}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          collisionPadding={8}
          className="z-40 max-h-[60vh] w-80 overflow-y-auto border border-ink bg-paper p-3"
          onOpenAutoFocus={(event) => {
            const first = (event.currentTarget as HTMLElement).querySelector<HTMLElement>('[data-autofocus]');
            if (!first) return;
            event.preventDefault();
            first.focus();
            if (first instanceof HTMLInputElement && first.type === 'number') first.select();
          }}
        >
          <form
            onSubmit={(event) => {
              event.preventDefault();
              // Enter is done: what loses the focus takes what was typed.
              (document.activeElement as HTMLElement).blur();
            }}
          >
            {children}
            <Popover.Close type="submit" className="sr-only focus:not-sr-only focus:mt-2 focus:block">
              Done
            </Popover.Close>
          </form>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
