import { effectiveKind, LINK_LOOKS, TOPIC_LOOKS } from '@ichnograph/core';
import type { Assignment, Link, Topic, TopicMap } from '@ichnograph/core';
import {
  ArrowLeftRight,
  Eraser,
  ImagePlus,
  LayoutDashboard,
  Link2,
  MousePointerClick,
  Pencil,
  Redo2,
  SquareDashedMousePointer,
  Trash2,
  Undo2,
} from 'lucide-react';
import { useRef } from 'react';
import { useShallow } from 'zustand/react/shallow';
import type { ReactNode } from 'react';
import { goHome } from '../../common/focus-home';
import { useMedia } from '../../common/use-media';
import { Button } from '../../ui/button';
import { LooseBar } from './about-pictures';
import { AboutTopic } from './about-topic';
import { BarName } from '../commands/bar-name';
import { CommandMenu } from '../commands/command-menu';
import { useCommand, useCommands } from '../commands/list';
import { chosenOf } from '../commands/selected';
import { useEditor, useEditorState } from '../editor';
import { LooksPopover, same } from './looks-popover';
import { turnedReading } from '../told/reading-line';

/** What can be done with the selection, in one row over the canvas. What cannot be done now is greyed, not gone. */
export function LooksBar({
  assignment,
  prompts,
  onMap,
}: {
  assignment: Assignment;
  prompts: boolean;
  /** whether the map is what is seen, not another view of it */
  onMap: boolean;
}) {
  const { actions } = useEditor();
  const many = useEditorState((state) => state.selection.length);
  const gathering = useEditorState((state) => state.gathering);
  const isTouch = useMedia('(pointer: coarse)');
  // What is selected, not the map it is on: an edit of anything else leaves the bar as it is.
  const topics = useEditorState(useShallow((state) => chosenOf(state).topics));
  const links = useEditorState(useShallow((state) => chosenOf(state).links));
  const picture = useEditorState((state) => chosenOf(state).pictures[0]);
  const { commands } = useCommands();
  const turned = useEditorState((state) => bothReadings(state.map, chosenOf(state).links, assignment));
  const has = (id: string): boolean => commands.some((command) => command.id === id);
  const isFixed = assignment.styleMode === 'guided' && assignment.looks === 'fixed';
  const one = topics.length + links.length === 1;
  return (
    <div role="toolbar" aria-label="Selection" className="@container border-b border-rule bg-paper">
      <div className="flex h-[42px] items-center gap-1 px-2 max-md:overflow-x-auto max-md:[&>button]:shrink-0 pointer-coarse:h-[54px]">
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
            <BarName>Choose several</BarName>
          </Button>
        )}
        <span aria-hidden className="mx-1 h-5 border-l border-rule" />
        {has('lead') && <CommandMenu group="arrange" name="Arrange" sign={<LayoutDashboard aria-hidden size={14} />} />}
        {many > 0 && <CommandMenu group="choose" name="Select" sign={<MousePointerClick aria-hidden size={14} />} />}
        <Tidying />
        <Bringing />
        {many === 0 && has('picture') && (
          <CommandButton id="picture" name="Picture" first>
            <ImagePlus aria-hidden size={14} />
          </CommandButton>
        )}
        {many === 0 ? (
          <span className="truncate text-sm text-quiet">
            {onMap ? 'Double-click an empty place to make a topic. ' : ''}Select something to change it.
          </span>
        ) : (
          <>
            {topics.length > 0 && (
              <KindSelect
                label={topics.length > 1 ? `Kind of ${topics.length} topics` : 'Kind'}
                kinds={assignment.legend.topicKinds}
                values={topics.map((topic) => effectiveKind(topic, assignment)?.id ?? null)}
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
            {picture && many === 1 && <LooseBar picture={picture} />}
            {has('about') && <AboutTopic topics={topics} />}
            {topics.length > 0 && has('picture') && (
              <CommandButton id="picture" name="Picture" first>
                <ImagePlus aria-hidden size={14} />
              </CommandButton>
            )}
            {has('copy-looks') && (
              <LooksPopover topics={topics} links={links} assignment={assignment} disabled={isFixed} />
            )}
            {prompts && topics.length > 0 && (
              <Button
                small
                aria-pressed={topics.every(({ toComplete }) => toComplete)}
                className="aria-pressed:bg-wash"
                title="Students continue its words, such as “Made of …”"
                onClick={() => actions.askToComplete(!topics.every(({ toComplete }) => toComplete))}
              >
                Prompt
              </Button>
            )}
            {has('as-its-kind') && (
              <Button
                small
                onClick={actions.asItsKind}
                disabled={!hasOwnLooks(topics, links)}
                title="Takes looks given by hand away"
              >
                <Eraser aria-hidden size={14} />
                <BarName>As its kind</BarName>
              </Button>
            )}
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
              <CommandButton id="turn" name="Turn round" {...(turned && { title: turned })}>
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

/** How a link reads now, and how it would the other way: beside each other, before it is turned. */
function bothReadings(map: TopicMap, links: readonly Link[], { legend }: Assignment): string | null {
  const [link, ...others] = links;
  const read = link && others.length === 0 ? turnedReading(map, legend, link.id, undefined) : null;
  return read && `Now: ${read.to} ${read.phrase} ${read.from}.\nTurned: ${read.from} ${read.phrase} ${read.to}.`;
}

/** While a map is being laid out: that it is, and the way out. */
function Tidying() {
  const cancel = useEditorState((state) => state.tidying);
  if (!cancel) return null;
  return (
    <span role="status" className="flex items-center gap-2 whitespace-nowrap text-sm">
      Tidying …
      <Button small onClick={cancel}>
        Stop
      </Button>
    </span>
  );
}

/** That files are on their way here. */
function Bringing() {
  const count = useEditorState((state) => state.bringing);
  if (count === 0) return null;
  return (
    <span role="status" className="whitespace-nowrap text-sm">
      {count === 1 ? 'Bringing a file …' : `Bringing ${count} files …`}
    </span>
  );
}

/** A command as a button of the bar; bare ones show their sign alone. */
function CommandButton({
  id,
  name,
  bare = false,
  first = false,
  title,
  children,
}: {
  id: string;
  /** in place of what the command is called */
  title?: string;
  name?: string;
  bare?: boolean;
  /** whether its name gives way last */
  first?: boolean;
  children: ReactNode;
}) {
  const command = useCommand(id);
  const words = name ?? command.name;
  return (
    <Button
      small
      {...(bare && { look: 'quiet', 'aria-label': words })}
      title={title ?? command.title}
      disabled={command.disabled}
      onClick={command.onClick}
    >
      {children}
      {!bare && <BarName first={first}>{words}</BarName>}
    </Button>
  );
}

const hasOwnLooks = (topics: readonly Topic[], links: readonly Link[]): boolean =>
  topics.some((topic) => TOPIC_LOOKS.some((name) => topic[name] !== undefined)) ||
  links.some((link) => LINK_LOOKS.some((name) => link[name] !== undefined));

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
  // Who chose by pointer goes on typing on the map; who goes through the kinds by key stays among them.
  const byPointer = useRef(false);
  return (
    <select
      aria-label={label}
      title={label}
      className="min-h-7 min-w-12 pointer-coarse:min-h-11 max-w-36 shrink rounded-sm border border-[#8b9389] bg-white px-1 text-sm"
      value={value === undefined ? 'several' : (value ?? 'none')}
      onPointerDown={() => (byPointer.current = true)}
      onKeyDown={() => (byPointer.current = false)}
      onChange={({ target }) => {
        onChange(target.value === 'none' ? null : target.value);
        if (byPointer.current) goHome();
      }}
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
