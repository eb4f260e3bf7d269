import { ARROWS, DASHES, isStructural, linkStyle, ROUTES, SHAPES, topicStyle } from '@ichnograph/core';
import type { Assignment, Link, LinkLooks, Topic, TopicLooks } from '@ichnograph/core';
import {
  ArrowLeftRight,
  Eraser,
  Link2,
  Pencil,
  Redo2,
  Shapes,
  SquareDashedMousePointer,
  Trash2,
  Undo2,
} from 'lucide-react';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { useMedia } from '../app/use-media';
import { Button, buttonClass } from '../ui/button';
import { useCommand } from './commands';
import { useEditor, useEditorState } from './editor';
import { Swatches } from './swatches';

/** What can be done with the selection, in one row over the canvas. What cannot be done now is greyed, not gone. */
export function LooksBar({ assignment }: { assignment: Assignment }) {
  const { actions } = useEditor();
  const map = useEditorState((state) => state.map);
  const selection = useEditorState((state) => state.selection);
  const gathering = useEditorState((state) => state.gathering);
  const isTouch = useMedia('(pointer: coarse)');
  const topics = map.topics.filter(({ id }) => selection.includes(id));
  const links = map.links.filter(({ id }) => selection.includes(id));
  const isFixed = assignment.styleMode === 'guided' && assignment.looks === 'fixed';
  const one = topics.length + links.length === 1;
  return (
    <div role="toolbar" aria-label="Selection" className="@container border-b border-rule bg-paper">
      <div className="flex h-[42px] items-center gap-1 px-2">
        <CommandButton id="undo" bare>
          <Undo2 aria-hidden size={15} />
        </CommandButton>
        <CommandButton id="redo" bare>
          <Redo2 aria-hidden size={15} />
        </CommandButton>
        {isTouch && (
          <Button
            small
            aria-pressed={gathering}
            className="aria-pressed:bg-wash"
            onClick={() => actions.gather(!gathering)}
          >
            <SquareDashedMousePointer aria-hidden size={14} />
            <Name>Choose several</Name>
          </Button>
        )}
        <span aria-hidden className="mx-1 h-5 border-l border-rule" />
        {selection.length === 0 ? (
          <span className="truncate text-sm text-quiet">
            Double-click an empty place to make a topic. Select something to change it.
          </span>
        ) : (
          <>
            {topics.length > 0 && (
              <KindSelect
                label={topics.length > 1 ? `Kind of ${topics.length} topics` : 'Kind'}
                kinds={assignment.legend.topicKinds}
                values={topics.map(({ kind }) => kind)}
                onChange={actions.setTopicKind}
              />
            )}
            {links.length > 0 && (
              <KindSelect
                label={links.length > 1 ? `Kind of ${links.length} links` : 'Kind of link'}
                kinds={assignment.legend.linkKinds}
                values={links.map(({ kind }) => kind)}
                onChange={actions.setLinkKind}
              />
            )}
            <LooksPopover topics={topics} links={links} assignment={assignment} disabled={isFixed} />
            <Button
              small
              onClick={actions.asItsKind}
              disabled={!hasOwnLooks(topics, links)}
              title="Takes looks given by hand away"
            >
              <Eraser aria-hidden size={14} className="@min-xl:hidden" />
              <Name>As its kind</Name>
            </Button>
            {one && (
              <CommandButton id="words" name="Words">
                <Pencil aria-hidden size={13} />
              </CommandButton>
            )}
            {topics.length === 1 && links.length === 0 && (
              <CommandButton id="link" name="Link to …">
                <Link2 aria-hidden size={14} />
              </CommandButton>
            )}
            {links.length > 0 && (
              <CommandButton id="turn" name="Turn round">
                <ArrowLeftRight aria-hidden size={14} />
              </CommandButton>
            )}
            <CommandButton id="delete" name="Delete" bare>
              <Trash2 aria-hidden size={15} />
            </CommandButton>
          </>
        )}
      </div>
    </div>
  );
}

/** A command as a button of the bar; bare ones show their sign alone. */
function CommandButton({
  id,
  name,
  bare = false,
  children,
}: {
  id: string;
  name?: string;
  bare?: boolean;
  children: ReactNode;
}) {
  const command = useCommand(id);
  const words = name ?? command.name;
  return (
    <Button
      small
      {...(bare && { look: 'quiet', 'aria-label': words })}
      title={command.title}
      disabled={command.disabled}
      onClick={command.onClick}
    >
      {children}
      {!bare && <Name>{words}</Name>}
    </Button>
  );
}

/** A button's name: told always, seen where there is room for it. The bar keeps one row, so that the map stays still. */
function Name({ children }: { children: string }) {
  return <span className="@max-xl:sr-only">{children}</span>;
}

const TOPIC_OWN = ['shape', 'fill', 'outline', 'ink', 'fontSize', 'bold', 'italic', 'align'] as const;
const LINK_OWN = ['route', 'bend', 'colour', 'width', 'dash', 'arrow'] as const;
const hasOwnLooks = (topics: readonly Topic[], links: readonly Link[]): boolean =>
  topics.some((topic) => TOPIC_OWN.some((name) => topic[name] !== undefined)) ||
  links.some((link) => LINK_OWN.some((name) => link[name] !== undefined));

const same = <T,>(values: readonly T[]): T | undefined =>
  values.every((value) => value === values[0]) ? values[0] : undefined;

function KindSelect({
  label,
  kinds,
  values,
  onChange,
}: {
  label: string;
  kinds: readonly { id: string; name: string }[];
  values: readonly (string | null)[];
  onChange: (kind: string | null) => void;
}) {
  const value = same(values);
  return (
    <select
      aria-label={label}
      title={label}
      className="min-h-7 min-w-12 max-w-36 shrink rounded-sm border border-[#8b9389] bg-white px-1 text-sm"
      value={value === undefined ? 'several' : (value ?? 'none')}
      onChange={({ target }) => onChange(target.value === 'none' ? null : target.value)}
    >
      {value === undefined && (
        <option value="several" disabled>
          several kinds
        </option>
      )}
      <option value="none">no kind</option>
      {kinds.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}

function LooksPopover({
  topics,
  links,
  assignment,
  disabled,
}: {
  topics: Topic[];
  links: Link[];
  assignment: Assignment;
  disabled: boolean;
}) {
  const { actions } = useEditor();
  const { legend } = assignment;
  const set = (looks: TopicLooks & LinkLooks): void => actions.setLooks(looks);
  const topicStyles = topics.map((topic) => topicStyle(topic, legend));
  const linkStyles = links.map((link) => linkStyle(link, legend));
  const fills = [...new Set(legend.topicKinds.filter(isStructural).map(({ fill }) => fill))];
  const [only] = topics;
  return (
    <Popover.Root>
      <Popover.Trigger
        className={buttonClass('plain', true)}
        disabled={disabled}
        title={disabled ? 'In this assignment the kind alone decides the looks' : undefined}
      >
        <Shapes aria-hidden size={14} />
        Looks
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          collisionPadding={8}
          className="z-40 max-h-[70vh] w-72 overflow-y-auto border border-ink bg-paper p-3"
          aria-label="Looks"
        >
          {topics.length > 0 && (
            <fieldset className="grid gap-2">
              <legend className="caption mb-1">{topics.length === 1 ? 'Topic' : `${topics.length} topics`}</legend>
              <Choice
                label="Shape"
                options={SHAPES}
                value={same(topicStyles.map(({ shape }) => shape))}
                onChange={(shape) => set({ shape })}
              />
              <Swatches
                label="Fill"
                colours={[...fills, '#ffffff', 'none']}
                value={same(topicStyles.map(({ fill }) => fill))}
                onChange={(fill) => set({ fill })}
              />
              <Swatches
                label="Outline"
                colours={['#333333', '#35596a', '#5a4b86', '#9a5138', '#7a6c3a', '#7a2e5d']}
                value={same(topicStyles.map(({ outline }) => outline))}
                onChange={(outline) => set({ outline })}
              />
              <Figure
                label="Text size"
                unit="px"
                value={same(topicStyles.map(({ fontSize }) => fontSize))}
                least={8}
                most={48}
                onChange={(fontSize) => set({ fontSize })}
              />
              <label className="flex items-center gap-2">
                <input
                  type="checkbox"
                  className="accent-action"
                  checked={topicStyles.every(({ bold }) => bold)}
                  onChange={({ target }) => set({ bold: target.checked })}
                />
                Bold
              </label>
              {topics.length === 1 && only && (
                <Figure
                  label="Least width"
                  unit="px"
                  value={Math.round(only.width)}
                  least={40}
                  most={900}
                  onChange={(width) => actions.resize(only.id, { width, height: only.minHeight ?? 1 })}
                />
              )}
            </fieldset>
          )}
          {links.length > 0 && (
            <fieldset className={`grid gap-2 ${topics.length > 0 ? 'mt-3 border-t border-rule pt-2' : ''}`}>
              <legend className="caption mb-1">{links.length === 1 ? 'Link' : `${links.length} links`}</legend>
              <Choice
                label="Path"
                options={ROUTES}
                value={same(linkStyles.map(({ route }) => route))}
                onChange={(route) => set({ route })}
              />
              <Choice
                label="Stroke"
                options={DASHES}
                value={same(linkStyles.map(({ dash }) => dash))}
                onChange={(dash) => set({ dash })}
              />
              <Choice
                label="Arrow"
                options={ARROWS}
                value={same(linkStyles.map(({ arrow }) => arrow))}
                onChange={(arrow) => set({ arrow })}
              />
              <Swatches
                label="Colour"
                colours={['#333333', '#4a5260', '#1f4e79', '#7a2e5d', '#8a5a00', '#9e2b3f', '#2f6b3c']}
                value={same(linkStyles.map(({ colour }) => colour))}
                onChange={(colour) => set({ colour })}
              />
              <Figure
                label="Width"
                unit="px"
                value={same(linkStyles.map(({ width }) => width))}
                least={0.5}
                most={12}
                step={0.5}
                onChange={(width) => set({ width })}
              />
              <Figure
                label="Bend"
                unit="%"
                value={percent(same(linkStyles.map(({ bend }) => bend)))}
                least={-100}
                most={100}
                step={5}
                onChange={(bend) => set({ bend: bend / 100 })}
              />
            </fieldset>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

const percent = (share: number | undefined): number | undefined =>
  share === undefined ? undefined : Math.round(share * 100);

function Choice<T extends string>({
  label,
  options,
  value,
  onChange,
}: {
  label: string;
  options: readonly T[];
  value: T | undefined;
  onChange: (value: T) => void;
}) {
  return (
    <label className="grid grid-cols-[6rem_1fr] items-center gap-2">
      {label}
      <select className="field py-1" value={value ?? ''} onChange={({ target }) => onChange(target.value as T)}>
        {value === undefined && (
          <option value="" disabled>
            several
          </option>
        )}
        {options.map((option) => (
          <option key={option}>{option}</option>
        ))}
      </select>
    </label>
  );
}

function Figure({
  label,
  unit,
  value,
  least,
  most,
  step = 1,
  onChange,
}: {
  label: string;
  unit: string;
  value: number | undefined;
  least: number;
  most: number;
  step?: number;
  onChange: (value: number) => void;
}) {
  const take = (text: string): void => {
    const figure = Number(text);
    if (text !== '' && Number.isFinite(figure)) onChange(Math.min(most, Math.max(least, figure)));
  };
  return (
    <label className="grid grid-cols-[6rem_1fr_1.5rem] items-center gap-2">
      {label}
      <input
        key={value}
        type="number"
        className="field py-1 font-mono"
        defaultValue={value ?? ''}
        placeholder="several"
        min={least}
        max={most}
        step={step}
        onBlur={({ target }) => {
          if (Number(target.value) !== value) take(target.value);
        }}
        onKeyDown={({ key, currentTarget }) => {
          if (key === 'Enter') take(currentTarget.value);
        }}
      />
      <span className="text-sm text-quiet">{unit}</span>
    </label>
  );
}
