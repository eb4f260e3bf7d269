import { normalForm } from '@ichnograph/core';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import type { Idea, IdeaGroup } from '@ichnograph/contract';
import { Check, Ellipsis, EyeOff } from 'lucide-react';
import { useState } from 'react';
import { buttonClass } from '../ui/button';
import { Menu, MenuItem } from '../ui/menu';
import type { BoardActs } from './board-acts';
import { onCardKey } from './board-keys';

interface Props {
  idea: Idea;
  groups: readonly IdeaGroup[];
  acts: BoardActs;
  withNames: boolean;
  /** chosen to fall together with another */
  isMerging: boolean;
  /** whether another is being merged, and this one can be chosen for it */
  isAim: boolean;
}

/** An idea on the board, with how many said it. */
export function IdeaCard({ idea, groups, acts, withNames, isMerging, isAim }: Props) {
  const { id, text, words, people, taken, hidden, by } = idea;
  const drag = useDraggable({ id, disabled: isAim });
  const drop = useDroppable({ id });
  const [naming, setNaming] = useState(false);
  // In other letters is no other wording.
  const others = [...new Map([text, ...words].map((one) => [normalForm(one), one])).values()].slice(1);
  return (
    <div
      ref={(node) => {
        drag.setNodeRef(node);
        drop.setNodeRef(node);
      }}
      {...drag.listeners}
      data-idea={id}
      tabIndex={0}
      role="group"
      aria-label={[
        text,
        people === 1 ? 'one person' : `${people} persons`,
        taken && 'taken',
        hidden && 'hidden',
        isMerging && 'being merged',
      ]
        .filter(Boolean)
        .join(', ')}
      onKeyDown={(event) => onCardKey(event, idea, acts)}
      onDoubleClick={() => setNaming(true)}
      onClick={() => {
        if (isAim) acts.mergeInto(idea);
      }}
      style={
        drag.transform
          ? { transform: `translate(${drag.transform.x}px, ${drag.transform.y}px)`, position: 'relative', zIndex: 30 }
          : undefined
      }
      className={`touch-manipulation border bg-white px-2.5 py-1.5 outline-offset-1 ${
        taken ? 'border-action' : 'border-rule'
      } ${drop.isOver && !drag.isDragging ? 'bg-wash outline-2 outline-action' : ''} ${isMerging ? 'bg-wash' : ''} ${hidden ? 'text-quiet' : ''} ${drag.isDragging ? 'cursor-grabbing' : 'cursor-grab'}`}
    >
      {naming ? (
        <NameField
          text={text}
          onEnd={(name) => {
            setNaming(false);
            // The hand stays on the card, unless it has gone elsewhere.
            requestAnimationFrame(() => {
              if (document.activeElement === document.body || document.activeElement?.id === 'main')
                document.querySelector<HTMLElement>(`[data-idea="${id}"]`)?.focus();
            });
            if (name !== null && name !== text) acts.call(idea, name);
          }}
        />
      ) : (
        <div className="flex items-start gap-1.5">
          {taken && <Check aria-hidden size={18} className="mt-0.5 shrink-0 text-action" />}
          {hidden && <EyeOff aria-hidden size={18} className="mt-0.5 shrink-0" />}
          <span className="words min-w-0 flex-1 text-xl leading-snug">{text}</span>
          {people > 1 && <b className="font-mono text-xl leading-snug">{people}</b>}
          <Menu
            trigger={
              <button
                type="button"
                aria-label={`What to do with ${text}`}
                tabIndex={-1}
                className={`${buttonClass('quiet', true)} min-h-6 px-1`}
              >
                <Ellipsis aria-hidden size={16} />
              </button>
            }
          >
            <MenuItem onSelect={() => acts.take(idea)}>{taken ? 'Do not take it' : 'Take it'}</MenuItem>
            <MenuItem onSelect={() => acts.hide(idea)}>{hidden ? 'Show it again' : 'Hide it'}</MenuItem>
            <MenuItem onSelect={() => setNaming(true)}>Call it otherwise</MenuItem>
            <MenuItem onSelect={() => acts.beginMerge(idea)}>Merge it with another …</MenuItem>
            {words.length > 1 && <MenuItem onSelect={() => acts.part(idea)}>Take it apart</MenuItem>}
            {groups
              .filter((group) => group.id !== idea.group)
              .map((group) => (
                <MenuItem key={group.id} onSelect={() => acts.sort(idea, group.id)}>
                  Into “{group.name}”
                </MenuItem>
              ))}
            {idea.group !== null && <MenuItem onSelect={() => acts.sort(idea, null)}>Into no group</MenuItem>}
          </Menu>
        </div>
      )}
      {others.length > 0 && <p className="words text-sm text-quiet">also: {others.join(', ')}</p>}
      {withNames && (
        <p className="words text-sm text-indigo">{by.map((one) => `${one.givenName} ${one.familyName}`).join(', ')}</p>
      )}
    </div>
  );
}

export function NameField({ text, onEnd }: { text: string; onEnd: (name: string | null) => void }) {
  const [typed, setTyped] = useState(text);
  return (
    <input
      aria-label={`Another name for ${text}`}
      className="field py-0.5"
      maxLength={120}
      autoFocus
      value={typed}
      onChange={({ target }) => setTyped(target.value)}
      onFocus={({ target }) => target.select()}
      onPointerDown={(event) => event.stopPropagation()}
      onMouseDown={(event) => event.stopPropagation()}
      onBlur={() => onEnd(typed.trim() === '' ? null : typed.trim())}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.nativeEvent.isComposing) return;
        if (event.key === 'Enter') onEnd(typed.trim() === '' ? null : typed.trim());
        if (event.key === 'Escape') onEnd(null);
      }}
    />
  );
}
