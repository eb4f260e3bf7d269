import { PanelLeftClose, PanelLeftOpen, PanelRightClose, PanelRightOpen } from 'lucide-react';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { Group, Panel, Separator, useDefaultLayout, usePanelRef } from 'react-resizable-panels';

interface Side {
  name: string;
  size: number;
  content: ReactNode;
}

/** A map beside one or two panels that fold, resize and remember. It fills what the head of the window leaves. */
export function Desk({ id, left, right, children }: { id: string; left?: Side; right: Side; children: ReactNode }) {
  const layout = useDefaultLayout({ id: `desk-${id}`, storage: localStorage });
  return (
    <main id="main" tabIndex={-1} className="h-[calc(100vh-47px)] min-h-[28rem] outline-none">
      <Group
        id={`desk-${id}`}
        className="h-full"
        {...(layout.defaultLayout && { defaultLayout: layout.defaultLayout })}
        onLayoutChanged={layout.onLayoutChanged}
      >
        {left && <SidePanel side="left" {...left} />}
        <Panel id="map" minSize="320px" className="relative flex min-w-0 flex-col">
          {children}
        </Panel>
        <SidePanel side="right" {...right} />
      </Group>
    </main>
  );
}

const FOLDED = 34;
const ICONS = { left: [PanelLeftClose, PanelLeftOpen], right: [PanelRightClose, PanelRightOpen] } as const;

function SidePanel({ side, name, size, content }: Side & { side: 'left' | 'right' }) {
  const panel = usePanelRef();
  const [folded, setFolded] = useState(false);
  const [Fold, Unfold] = ICONS[side];
  const toggle = (): void => {
    if (panel.current?.isCollapsed()) panel.current.expand();
    else panel.current?.collapse();
  };
  const Icon = folded ? Unfold : Fold;
  const body = (
    <Panel
      id={side}
      panelRef={panel}
      collapsible
      collapsedSize={`${FOLDED}px`}
      defaultSize={`${size}px`}
      minSize="170px"
      maxSize="460px"
      groupResizeBehavior="preserve-pixel-size"
      onResize={({ inPixels }) => setFolded(inPixels < 60)}
      className="relative"
    >
      <section aria-label={name} className="h-full overflow-y-auto overflow-x-hidden bg-paper">
        {!folded && content}
      </section>
      <button
        type="button"
        onClick={toggle}
        aria-expanded={!folded}
        aria-label={folded ? `Unfold ${name}` : `Fold ${name}`}
        className="absolute right-1.5 top-1.5 z-10 rounded-sm p-1 text-quiet hover:bg-canvas hover:text-ink"
      >
        <Icon aria-hidden size={16} />
      </button>
    </Panel>
  );
  const separator = (
    <Separator
      id={`${side}-edge`}
      aria-label={`Width of ${name}`}
      className="w-px bg-rule outline-none hover:bg-action focus-visible:bg-action data-[separator=active]:bg-action focus-visible:outline-2"
    />
  );
  return side === 'left' ? (
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
