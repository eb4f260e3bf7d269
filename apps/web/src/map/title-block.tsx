import { useStore as useFlowStore } from '@xyflow/react';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { useState } from 'react';
import type { ReactNode } from 'react';

export interface TitleRows {
  title: string;
  focusQuestion: string;
  drawnBy: string;
  assignment: string;
  state: ReactNode;
  date: string;
}

interface Props extends TitleRows {
  onEntitle?: ((fields: { title?: string; focusQuestion?: string }) => void) | undefined;
  right?: number;
  folded?: boolean;
}

/** The ruled block in the lower right corner of every map, as on a plan: where it is named, and what state it is in. */
export function TitleBlock({
  title,
  focusQuestion,
  drawnBy,
  assignment,
  state,
  date,
  onEntitle,
  right = 14,
  folded = false,
}: Props) {
  const [open, setOpen] = useState(!folded);
  const scale = useFlowStore(({ transform }) => transform[2]);
  const Icon = open ? ChevronDown : ChevronUp;
  return (
    <section
      aria-label="Title block"
      className="title-block absolute bottom-3 z-10 w-[19rem] max-w-[calc(100%-28px)] border-[1.5px] border-ink bg-paper text-base"
      style={{ right }}
    >
      <button
        type="button"
        aria-expanded={open}
        aria-label={open ? 'Fold the title block' : 'Unfold the title block'}
        onClick={() => setOpen(!open)}
        className="absolute right-1 top-1 z-10 rounded-sm p-1.5 text-quiet hover:bg-canvas hover:text-ink"
      >
        <Icon aria-hidden size={14} />
      </button>
      <Cell label="Map" clear>
        <Editable
          label="Map title"
          value={title}
          strong
          onChange={onEntitle && ((next) => onEntitle({ title: next }))}
        />
      </Cell>
      {open && (
        <Cell label="Focus question">
          <Editable
            label="Focus question"
            value={focusQuestion}
            onChange={onEntitle && ((next) => onEntitle({ focusQuestion: next }))}
          />
        </Cell>
      )}
      {open && (
        <div className="grid grid-cols-2">
          <Cell label="Drawn by">{drawnBy}</Cell>
          <Cell label="For" side>
            {assignment}
          </Cell>
        </div>
      )}
      <div className="grid grid-cols-[1fr_5.2rem_4.6rem]">
        <Cell label="State" last>
          {state}
        </Cell>
        <Cell label="Scale" side last mono>
          {scaleWords(scale)}
        </Cell>
        <Cell label="Date" side last mono>
          {date}
        </Cell>
      </div>
    </section>
  );
}

const scaleWords = (scale: number): string => (scale >= 1 ? `${trim(scale)} : 1` : `1 : ${trim(1 / scale)}`);
const trim = (value: number): string => value.toFixed(1).replace(/\.0$/, '');

function Cell({
  label,
  children,
  side = false,
  last = false,
  mono = false,
  clear = false,
}: {
  label: string;
  children: ReactNode;
  side?: boolean;
  last?: boolean;
  mono?: boolean;
  clear?: boolean;
}) {
  return (
    <div
      className={`min-w-0 py-1 pl-2 ${clear ? 'pr-8' : 'pr-2'} ${side ? 'border-l border-rule' : ''} ${last ? '' : 'border-b border-rule'}`}
    >
      <div className="text-xs leading-tight text-quiet">{label}</div>
      <div className={`truncate text-sm ${mono ? 'font-mono' : ''}`}>{children || '\u00a0'}</div>
    </div>
  );
}

function Editable({
  label,
  value,
  onChange,
  strong = false,
}: {
  label: string;
  value: string;
  onChange?: ((next: string) => void) | undefined;
  strong?: boolean;
}) {
  const [draft, setDraft] = useState<string | null>(null);
  const look = `w-full truncate bg-transparent ${strong ? 'font-semibold' : ''}`;
  if (!onChange) return <div className={look}>{value}</div>;
  const commit = (): void => {
    if (draft !== null && draft !== value) onChange(draft.trim());
    setDraft(null);
  };
  return (
    <input
      aria-label={label}
      maxLength={300}
      className={`${look} -mx-1 rounded-sm px-1 hover:bg-white focus:bg-white`}
      value={draft ?? value}
      placeholder="Not named yet"
      onChange={(event) => setDraft(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') setDraft(null);
      }}
    />
  );
}
