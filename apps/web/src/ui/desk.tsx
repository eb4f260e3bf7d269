import { PanelLeftClose, PanelLeftOpen, PanelRightClose, PanelRightOpen, Pin, PinOff, X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { Group, Panel, Separator, useDefaultLayout, usePanelRef } from 'react-resizable-panels';
import { readHere, writeHere } from '../common/kept-here';
import { useMedia } from '../common/use-media';

export interface Side {
  name: string;
  /** width of the wide form, pixels */
  size: number;
  /** the window's width from which the wide form is shown until a person chooses otherwise */
  wideFrom: number;
  content: ReactNode;
  /** the narrow form; `open` shows the wide one as a card over the map */
  rail: (open: () => void) => ReactNode;
}

/** Width of a rail, pixels. */
const RAIL = 52;
/** Below this there is room for rails only. */
const NARROW = '(max-width: 1199px)';
type Place = 'left' | 'right';
type Form = 'wide' | 'rail';

const keyOf = (id: string, place: Place): string => `desk-${id}-${place}`;
const chosenForm = (id: string, place: Place, { wideFrom }: Side): Form =>
  readHere<Form>(keyOf(id, place)) ?? (window.innerWidth >= wideFrom ? 'wide' : 'rail');

/**
 * A map beside one or two panels. Each has a wide form, which resizes and is remembered, and a narrow one, a rail; what
 * is in a rail opens as a card over the map. In a narrow window rails are the rule. It fills what the head leaves.
 */
export function Desk({
  id,
  left,
  right,
  children,
}: {
  id: string;
  left?: Side | undefined;
  right?: Side | undefined;
  children: ReactNode;
}) {
  const isNarrow = useMedia(NARROW);
  const layout = useDefaultLayout({ id: `desk-${id}`, storage: HERE });
  return (
    <main id="main" tabIndex={-1} className="h-[calc(100dvh-47px)] min-h-[22rem] outline-none">
      <Group
        id={`desk-${id}`}
        className="h-full"
        {...(layout.defaultLayout && !isNarrow && { defaultLayout: layout.defaultLayout })}
        {...(!isNarrow && { onLayoutChanged: layout.onLayoutChanged })}
      >
        {left && <SidePanel id={id} place="left" side={left} isNarrow={isNarrow} />}
        <Panel id="map" minSize="200px" className="relative flex min-w-0 flex-col">
          {children}
        </Panel>
        {right && <SidePanel id={id} place="right" side={right} isNarrow={isNarrow} />}
      </Group>
    </main>
  );
}

/** Where the widths of panels are kept. */
const HERE = {
  getItem: (key: string) => readHere<string>(key),
  setItem: (key: string, value: string) => writeHere(key, value),
};

const ICONS = { left: [PanelLeftClose, PanelLeftOpen], right: [PanelRightClose, PanelRightOpen] } as const;

function SidePanel({ id, place, side, isNarrow }: { id: string; place: Place; side: Side; isNarrow: boolean }) {
  const panel = usePanelRef();
  const [form, setForm] = useState<Form>(() => chosenForm(id, place, side));
  const [card, setCard] = useState(false);
  const isRail = isNarrow || form === 'rail';
  useEffect(() => {
    // The group knows its panels once all of them are there.
    if (panel.current?.isCollapsed() === isRail) return;
    if (isRail) panel.current?.collapse();
    // To the width it is meant to have; by itself it would open at its least.
    else panel.current?.resize(`${side.size}px`);
  }, [isRail, panel, side.size]);
  const choose = (next: Form): void => {
    writeHere(keyOf(id, place), next);
    setForm(next);
    setCard(false);
  };
  const [Fold, Unfold] = ICONS[place];
  const iconButton = 'rounded-sm p-1.5 text-quiet hover:bg-canvas hover:text-ink';
  const body = (
    <Panel
      id={place}
      panelRef={panel}
      collapsible
      collapsedSize={`${RAIL}px`}
      defaultSize={isRail ? `${RAIL}px` : `${side.size}px`}
      minSize={`${Math.min(190, side.size)}px`}
      maxSize="460px"
      groupResizeBehavior="preserve-pixel-size"
      onResize={({ inPixels }) => {
        // Pulled together by hand, or apart: that is a choice too.
        if (!isNarrow && inPixels > 0 && inPixels < 100 !== (form === 'rail')) choose(inPixels < 100 ? 'rail' : 'wide');
      }}
      className="!overflow-visible"
    >
      <section aria-label={side.name} className="relative flex h-full min-w-0 flex-col bg-paper">
        <div
          className={`flex shrink-0 items-center ${isRail ? 'justify-center' : 'justify-between pl-3.5 pr-1.5'} h-9`}
        >
          {!isRail && <span className="caption truncate">{side.name}</span>}
          <button
            type="button"
            onClick={() => (isRail ? (isNarrow ? setCard(!card) : choose('wide')) : choose('rail'))}
            aria-expanded={!isRail || card}
            aria-label={`${isRail && !card ? 'Unfold' : 'Fold'} ${side.name}`}
            data-unfold={isRail && !card ? side.name : undefined}
            className={iconButton}
          >
            {isRail ? <Unfold aria-hidden size={16} /> : <Fold aria-hidden size={16} />}
          </button>
        </div>
        <div className="min-h-0 flex-1 overflow-y-auto overflow-x-hidden" data-rail={isRail}>
          {isRail ? side.rail(() => setCard(true)) : side.content}
        </div>
        {isRail && card && (
          <FloatingCard
            place={place}
            name={side.name}
            width={side.size}
            onClose={() => setCard(false)}
            onPin={isNarrow ? undefined : () => choose('wide')}
          >
            {side.content}
          </FloatingCard>
        )}
      </section>
    </Panel>
  );
  const separator = (
    <Separator
      id={`${place}-edge`}
      aria-label={`Width of ${side.name}`}
      className="w-px bg-rule hover:bg-action focus-visible:bg-action data-[separator=active]:bg-action"
      disabled={isNarrow}
    />
  );
  return place === 'left' ? (
    <>
      {body}
      {separator}
    </>
  ) : (
    <>
      {separator}
      {body}
    </>
  );
}

/** The wide form of a rail, over the map. It goes when one turns to something else, unless it is pinned. */
function FloatingCard({
  place,
  name,
  width,
  onClose,
  onPin,
  children,
}: {
  place: Place;
  name: string;
  width: number;
  onClose: () => void;
  /** where there is room beside the map: it stays there, and lies over nothing */
  onPin: (() => void) | undefined;
  children: ReactNode;
}) {
  const card = useRef<HTMLDivElement>(null);
  const [pinned, setPinned] = useState(false);
  useEffect(() => {
    const before = document.activeElement as HTMLElement | null;
    const own = card.current;
    own?.focus({ preventScroll: true });
    return () => {
      // Back to where one was, if the focus would fall to nothing.
      if (own?.contains(document.activeElement) || document.activeElement === document.body) before?.focus();
    };
  }, []);
  useEffect(() => {
    if (pinned) return;
    const away = ({ target }: PointerEvent): void => {
      const rail = card.current?.parentElement;
      if (target instanceof Element && !rail?.contains(target) && !target.closest('[role=dialog]')) onClose();
    };
    window.addEventListener('pointerdown', away);
    return () => window.removeEventListener('pointerdown', away);
  }, [pinned, onClose]);
  const PinIcon = pinned ? PinOff : Pin;
  return (
    <div
      ref={card}
      data-card
      role="group"
      aria-label={name}
      tabIndex={-1}
      className={`absolute bottom-[42px] top-0 z-30 flex flex-col border-b border-ink bg-paper outline-none ${place === 'left' ? 'left-full border-r' : 'right-full border-l'}`}
      style={{ width: `min(${width}px, calc(100vw - ${2 * RAIL + 8}px))` }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || event.defaultPrevented) return;
        event.stopPropagation();
        onClose();
      }}
    >
      <div className="flex h-9 shrink-0 items-center justify-between pl-3.5 pr-1.5">
        <span className="caption truncate">{name}</span>
        <span className="flex">
          <button
            type="button"
            aria-pressed={pinned}
            aria-label={pinned ? 'Let go of the pin' : 'Pin it here'}
            className="rounded-sm p-1.5 text-quiet hover:bg-canvas hover:text-ink"
            onClick={() => (onPin ? onPin() : setPinned(!pinned))}
          >
            <PinIcon aria-hidden size={14} />
          </button>
          <button
            type="button"
            aria-label={`Close ${name}`}
            className="rounded-sm p-1.5 text-quiet hover:bg-canvas hover:text-ink"
            onClick={onClose}
          >
            <X aria-hidden size={15} />
          </button>
        </span>
      </div>
      <div className="min-h-0 flex-1 overflow-y-auto overflow-x-hidden">{children}</div>
    </div>
  );
}
