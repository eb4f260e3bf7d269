import { ARROWS, DASHES, outlineOf, pathData, ROUTES, SHAPES } from '@ichnograph/core';
import type { Legend, LinkKind, Shape, TopicKind } from '@ichnograph/core';
import { ArrowDown, ArrowUp, MoreHorizontal, Trash2 } from 'lucide-react';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { CommittedInput } from '../common/committed';
import { KindSample, LinkSample } from '../map';
import { Button, buttonClass } from '../ui/button';
import { Choice } from '../ui/choice';
import { Menu, MenuItem } from '../ui/menu';
import { Swatches } from '../ui/swatches';
import { Remark } from '../ui/remark';

const FILLS = ['#ffffff', '#cfe0dc', '#d7e7ec', '#e3ddf2', '#f6dcd2', '#ebe7d6', '#dfe8c8', '#feffd9', '#ffe7f2'];
const LINES = ['#333333', '#35596a', '#5a4b86', '#9a5138', '#7a6c3a', '#7a2e5d'];
const bare =
  'w-full rounded-sm border border-transparent bg-transparent px-1 py-1 hover:border-rule focus:border-[#8b9389] focus:bg-white';

export function TopicKindRow({
  kind,
  own,
  remarks,
  onChange,
  onMove,
  onRemove,
}: {
  kind: TopicKind;
  /** of a map outside any assignment, where nothing is given */
  own: boolean;
  remarks: readonly string[];
  onChange: (fields: Partial<TopicKind>) => void;
  onMove: (by: number) => void;
  onRemove: () => void;
}) {
  const stands = kind.root ? 'root' : kind.structural === false ? 'beside' : 'in';
  return (
    <tr data-made={kind.id} className="border-b border-rule align-middle">
      <td className="py-1">
        <KindSample kind={kind} width={34} height={20} />
      </td>
      <td>
        <NameField
          label="Name of this kind"
          value={kind.name}
          onChange={(name) => onChange({ name })}
          className={`${bare} font-semibold`}
        />
        {remarks.map((sentence) => (
          <Remark key={sentence}>{sentence}</Remark>
        ))}
      </td>
      <td>
        <input
          aria-label={`What ${kind.name} is for`}
          className={bare}
          value={kind.purpose}
          maxLength={500}
          placeholder="…"
          onChange={({ target }) => onChange({ purpose: target.value })}
        />
      </td>
      {!own && (
        <td>
          <select
            aria-label={`Who gives ${kind.name}`}
            className={bare}
            value={kind.givenBy}
            onChange={({ target }) => onChange({ givenBy: target.value as TopicKind['givenBy'] })}
          >
            <option value="teacher">you</option>
            <option value="student">student</option>
          </select>
        </td>
      )}
      <td>
        <Popover.Root>
          <Popover.Trigger className={buttonClass('plain', true)} aria-label={`Looks of ${kind.name}`}>
            {kind.shape}
          </Popover.Trigger>
          <LooksCard name={kind.name}>
            <div role="group" aria-label="Shape" className="grid grid-cols-6 gap-1">
              {SHAPES.map((shape) => (
                <button
                  key={shape}
                  type="button"
                  aria-label={shape}
                  aria-pressed={shape === kind.shape}
                  title={shape}
                  className="flex h-9 items-center justify-center border border-rule bg-white hover:bg-canvas aria-pressed:border-action aria-pressed:bg-wash"
                  onClick={() => onChange({ shape })}
                >
                  <ShapeSample shape={shape} />
                </button>
              ))}
            </div>
            <Swatches label="Fill" colours={FILLS} value={kind.fill} onChange={(fill) => onChange({ fill })} />
            <Swatches
              label="Outline"
              colours={LINES}
              value={kind.outline ?? '#333333'}
              onChange={(outline) => onChange({ outline })}
            />
          </LooksCard>
        </Popover.Root>
      </td>
      <td>
        <select
          aria-label={`Where ${kind.name} stands`}
          className={bare}
          value={stands}
          onChange={({ target }) => onChange({ root: target.value === 'root', structural: target.value !== 'beside' })}
        >
          <option value="in">in the map</option>
          <option value="root">the start</option>
          <option value="beside">beside it</option>
        </select>
      </td>
      <td>
        <ListMenu name={kind.name} onMove={onMove} onRemove={onRemove} />
      </td>
    </tr>
  );
}

export function LinkKindRow({
  kind,
  legend,
  onChange,
  onMove,
  onRemove,
}: {
  kind: LinkKind;
  legend: Legend;
  onChange: (fields: Partial<LinkKind>) => void;
  onMove: (by: number) => void;
  onRemove: () => void;
}) {
  return (
    <li data-made={kind.id} className="flex items-center gap-2 py-1">
      <LinkSample kind={kind} legend={legend} width={34} />
      <NameField
        label="Name of this kind of link"
        value={kind.name}
        onChange={(name) => onChange({ name })}
        className={`${bare} max-w-56 font-semibold italic`}
      />
      <Popover.Root>
        <Popover.Trigger className={buttonClass('plain', true)} aria-label={`Looks of ${kind.name}`}>
          {kind.route ?? 'straight'}, {kind.dash ?? 'solid'}
        </Popover.Trigger>
        <LooksCard name={kind.name}>
          <Swatches
            label="Colour"
            colours={LINES}
            value={kind.colour ?? '#333333'}
            onChange={(colour) => onChange({ colour })}
          />
          <Choice
            label="Path"
            options={ROUTES}
            value={kind.route ?? 'straight'}
            onChange={(route) => onChange({ route })}
          />
          <Choice
            label="Stroke"
            options={DASHES}
            value={kind.dash ?? 'solid'}
            onChange={(dash) => onChange({ dash })}
          />
          <Choice
            label="Arrow"
            options={ARROWS}
            value={kind.arrow ?? 'forward'}
            onChange={(arrow) => onChange({ arrow })}
          />
          <label className="grid grid-cols-[6rem_1fr] items-center gap-2">
            Width
            <input
              type="number"
              className="field"
              min={0.5}
              max={8}
              step={0.5}
              value={kind.width ?? 1.5}
              onChange={({ target }) => {
                if (target.valueAsNumber >= 0.1 && target.valueAsNumber <= 100)
                  onChange({ width: target.valueAsNumber });
              }}
            />
          </label>
        </LooksCard>
      </Popover.Root>
      <label className="flex items-center gap-1.5">
        <input
          type="checkbox"
          className="accent-action"
          checked={kind.structural === false}
          onChange={({ target }) => onChange({ structural: !target.checked })}
        />
        beside the structure
      </label>
      <span className="ml-auto">
        <ListMenu name={kind.name} onMove={onMove} onRemove={onRemove} />
      </span>
    </li>
  );
}

/** A name must not be empty: what is typed is taken once it is not. */
function NameField({
  label,
  value,
  onChange,
  className,
}: {
  label: string;
  value: string;
  onChange: (name: string) => void;
  className: string;
}) {
  return (
    <CommittedInput
      aria-label={label}
      className={className}
      value={value}
      maxLength={100}
      live
      onCommit={(typed) => {
        const name = typed.trim();
        if (name === '') return 'A kind needs a name.';
        onChange(name);
        return null;
      }}
    />
  );
}

function LooksCard({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Popover.Portal>
      <Popover.Content
        align="start"
        sideOffset={6}
        collisionPadding={8}
        aria-label={`Looks of ${name}`}
        className="z-[60] grid w-80 gap-3 border border-ink bg-paper p-3"
      >
        {children}
      </Popover.Content>
    </Popover.Portal>
  );
}

const ShapeSample = ({ shape }: { shape: Shape }) => (
  <svg aria-hidden width="30" height="18" viewBox="-15 -9 30 18">
    <path d={`${pathData(outlineOf(shape, { x: 0, y: 0, width: 27, height: 15 }))}Z`} fill="#fff" stroke="#16202e" />
  </svg>
);

export function ListMenu({
  name,
  onMove,
  onRemove,
  children,
}: {
  name: string;
  onMove: (by: number) => void;
  onRemove: () => void;
  children?: ReactNode;
}) {
  return (
    <Menu
      trigger={
        <Button small look="quiet" aria-label={`More for ${name}`}>
          <MoreHorizontal aria-hidden size={15} />
        </Button>
      }
    >
      <MenuItem onSelect={() => onMove(-1)}>
        <ArrowUp aria-hidden size={14} /> Move up
      </MenuItem>
      <MenuItem onSelect={() => onMove(1)}>
        <ArrowDown aria-hidden size={14} /> Move down
      </MenuItem>
      {children}
      <MenuItem onSelect={onRemove}>
        <Trash2 aria-hidden size={14} /> Remove
      </MenuItem>
    </Menu>
  );
}
