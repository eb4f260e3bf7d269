import {
  ALIGNS,
  ARROWS,
  BRANCH_FILLS,
  DASHES,
  FAR,
  isStructural,
  linkStyle,
  ROUTES,
  SHAPES,
  topicStyle,
} from '@ichnograph/core';
import type { Assignment, Link, LinkLooks, Topic, TopicLooks } from '@ichnograph/core';
import { Shapes } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { CommittedFigure } from '../../common/committed';
import { buttonClass } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { useEditor } from '../editor';
import { Swatches } from '../../ui/swatches';

/** What all of several have in common, or undefined. */
export const same = <T,>(values: readonly T[]): T | undefined =>
  values.every((value) => value === values[0]) ? values[0] : undefined;

/** The looks of what is selected, each field for all of it at once. */
export function LooksPopover({
  topics,
  links,
  assignment,
  disabled,
}: {
  topics: readonly Topic[];
  links: readonly Link[];
  assignment: Assignment;
  disabled: boolean;
}) {
  const { actions } = useEditor();
  const { legend } = assignment;
  const [withLines, setWithLines] = useState(false);
  const set = (looks: TopicLooks & LinkLooks): void => actions.setLooks(looks);
  const topicStyles = topics.map((topic) => topicStyle(topic, legend));
  const linkStyles = links.map((link) => linkStyle(link, legend));
  const fills = [...new Set(legend.topicKinds.filter(isStructural).map(({ fill }) => fill))];
  const [only] = topics;
  const [link] = links;
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
                label="Whole branch"
                colours={BRANCH_FILLS}
                value={undefined}
                onChange={(fill) => actions.colourBranch(fill, withLines)}
              />
              <Tick label="Its links in a dark shade too" checked={withLines} onChange={setWithLines} />
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
              <Swatches
                label="Words"
                colours={INKS}
                value={same(topicStyles.map(({ ink }) => ink))}
                onChange={(ink) => set({ ink })}
              />
              <div className="grid grid-cols-2 gap-2">
                <Tick label="Bold" checked={topicStyles.every(({ bold }) => bold)} onChange={(bold) => set({ bold })} />
                <Tick
                  label="Italic"
                  checked={topicStyles.every(({ italic }) => italic)}
                  onChange={(italic) => set({ italic })}
                />
              </div>
              <Choice
                label="Alignment"
                options={ALIGNS}
                value={same(topicStyles.map(({ align }) => align))}
                onChange={(align) => set({ align })}
              />
              {topics.length === 1 && only && (
                <fieldset className="grid gap-2">
                  <legend className="sr-only">Where it stands on the map</legend>
                  {(['x', 'y'] as const).map((axis) => (
                    <Figure
                      key={axis}
                      label={axis === 'x' ? 'Stands across at' : 'and down at'}
                      unit="px"
                      value={Math.round(only[axis])}
                      least={-FAR}
                      most={FAR}
                      step={10}
                      onChange={(to) => actions.move([only.id], { x: 0, y: 0, [axis]: to - only[axis] })}
                    />
                  ))}
                </fieldset>
              )}
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
              <Figure
                label="Text size"
                unit="px"
                value={same(linkStyles.map(({ phraseSize }) => phraseSize))}
                least={8}
                most={48}
                onChange={(phraseSize) => set({ phraseSize })}
              />
              {links.length === 1 && link && (
                <Figure
                  label="Words stand at"
                  unit="%"
                  value={percent(linkStyles[0]?.phraseAt)}
                  least={0}
                  most={100}
                  step={5}
                  onChange={(share) => actions.bend(link.id, { phraseAt: share / 100 })}
                />
              )}
            </fieldset>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** Dark enough for words on any pale fill, and white for dark ones. */
const INKS = ['#16202e', '#1f4e79', '#7a2e5d', '#8a3b12', '#2f6b3c', '#ffffff'];

function Tick({ label, checked, onChange }: { label: string; checked: boolean; onChange: (checked: boolean) => void }) {
  return (
    <label className="flex items-center gap-2 pointer-coarse:min-h-11">
      <input
        type="checkbox"
        className="accent-action"
        checked={checked}
        onChange={({ target }) => onChange(target.checked)}
      />
      {label}
    </label>
  );
}

const percent = (share: number | undefined): number | undefined =>
  share === undefined ? undefined : Math.round(share * 100);

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
  return (
    <label className="grid grid-cols-[6rem_1fr_1.5rem] items-center gap-2">
      {label}
      <CommittedFigure
        className="field py-1 font-mono"
        value={value}
        placeholder="several"
        limits={{ least, most, mayBeEmpty: value === undefined }}
        step={step}
        live={false}
        onCommit={(figure) => {
          if (figure !== undefined) onChange(figure);
        }}
      />
      <span className="text-sm text-quiet">{unit}</span>
    </label>
  );
}
