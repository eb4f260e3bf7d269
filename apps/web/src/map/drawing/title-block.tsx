import { useStore as useFlowStore } from '@xyflow/react';
import { CommittedInput } from '../../common/committed';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { useId, useRef, useState } from 'react';
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
}

/**
 * Where a map is named, and in what state it is. On the desk it is one ruled line at the lower right, which opens into
 * the whole block; prints, receipts and exports draw the whole one.
 */
export function TitleBlock(rows: Props) {
  const [open, setOpen] = useState(false);
  const block = useRef<HTMLElement>(null);
  const id = useId();
  const Icon = open ? ChevronDown : ChevronUp;
  return (
    <section
      ref={block}
      aria-label="Title block"
      className="relative min-w-0 shrink"
      onKeyDown={(event) => {
        if (event.key === 'Escape' && open) {
          setOpen(false);
          block.current?.querySelector('button')?.focus();
        }
      }}
      onBlur={({ relatedTarget }) => {
        if (!(relatedTarget instanceof Node) || !block.current?.contains(relatedTarget)) setOpen(false);
      }}
    >
      {open && (
        <div id={id} className="absolute bottom-[calc(100%+6px)] right-0 z-20 w-[19rem] max-w-[90vw]">
          <WholeBlock {...rows} />
        </div>
      )}
      <button
        type="button"
        aria-expanded={open}
        aria-controls={id}
        aria-label={open ? 'Fold the title block' : 'Unfold the title block'}
        onClick={() => setOpen(!open)}
        className="title-line flex h-[30px] min-w-0 max-w-full items-stretch border-[1.5px] border-ink bg-paper text-left text-sm hover:bg-white"
      >
        <span className="hidden min-w-0 max-w-[18rem] truncate px-2.5 py-1 font-semibold md:block">
          {rows.title || 'Not named yet'}
        </span>
        <span className="flex shrink-0 items-center border-rule px-2.5 md:border-l">{rows.state}</span>
        <Scale />
        <span className="flex items-center border-l border-rule px-1.5 text-quiet">
          <Icon aria-hidden size={13} />
        </span>
      </button>
    </section>
  );
}

function Scale() {
  const scale = useFlowStore(({ transform }) => transform[2]);
  return (
    <span className="hidden shrink-0 items-center border-l border-rule px-2.5 font-mono sm:flex">
      {scaleWords(scale)}
    </span>
  );
}

function WholeBlock({ title, focusQuestion, drawnBy, assignment, state, date, onEntitle }: Props) {
  const scale = useFlowStore(({ transform }) => transform[2]);
  return (
    <div className="border-[1.5px] border-ink bg-paper">
      <Cell label="Map">
        <Editable
          label="Map title"
          value={title}
          strong
          onChange={onEntitle && ((next) => onEntitle({ title: next }))}
        />
      </Cell>
      <Cell label="Focus question">
        <Editable
          label="Focus question"
          value={focusQuestion}
          onChange={onEntitle && ((next) => onEntitle({ focusQuestion: next }))}
        />
      </Cell>
      <div className="grid grid-cols-2">
        <Cell label="Drawn by">{drawnBy}</Cell>
        <Cell label="For" side>
          {assignment}
        </Cell>
      </div>
      <div className="grid grid-cols-[1fr_5.2rem_4.8rem]">
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
    </div>
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
}: {
  label: string;
  children: ReactNode;
  side?: boolean;
  last?: boolean;
  mono?: boolean;
}) {
  return (
    <div className={`min-w-0 px-2 py-1 ${side ? 'border-l border-rule' : ''} ${last ? '' : 'border-b border-rule'}`}>
      <div className="text-xs leading-tight text-quiet">{label}</div>
      <div className={`truncate text-sm ${mono ? 'whitespace-nowrap font-mono' : ''}`}>{children || '\u00a0'}</div>
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
  const look = `w-full truncate bg-transparent ${strong ? 'font-semibold' : ''}`;
  if (!onChange) return <div className={look}>{value}</div>;
  return (
    <CommittedInput
      aria-label={label}
      maxLength={300}
      className={`${look} -mx-1 rounded-sm px-1 hover:bg-white focus:bg-white`}
      value={value}
      placeholder="Not named yet"
      onCommit={(typed) => onChange(typed.trim())}
    />
  );
}
