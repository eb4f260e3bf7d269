import { BRANCH_FILLS, PALETTES } from '@ichnograph/core';
import { useState } from 'react';
import { announce } from '../../common/announcer';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { useEditor, useEditorState } from '../editor';

const LOOKS = [
  { name: 'Branches', fills: BRANCH_FILLS },
  ...PALETTES.map(({ name, looks }) => ({ name, fills: looks.map(({ fill }) => fill) })),
];

/** The whole map dressed in one act: each branch in a fill of one of a few palettes, or all as the kinds say. */
export function WholeLooksDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Looks of the whole map"
      description="Each branch takes a fill of its own. Undo takes it back in one step."
    >
      {open && <Choosing onDone={() => onOpenChange(false)} />}
    </Dialog>
  );
}

function Choosing({ onDone }: { onDone: () => void }) {
  const { actions } = useEditor();
  const [lines, setLines] = useState(false);
  const refusal = useEditorState((state) => state.refusal);
  const take = (isDone: boolean, said: string): void => {
    if (!isDone) return;
    announce(said);
    onDone();
  };
  return (
    <div className="grid gap-4">
      <ul className="grid grid-cols-2 gap-2">
        {LOOKS.map(({ name, fills }) => (
          <li key={name}>
            <button
              type="button"
              className="flex w-full items-center gap-3 rounded-sm border border-rule bg-white px-3 py-2 text-left hover:border-ink pointer-coarse:min-h-11"
              onClick={() => take(actions.colourBranches({ fills, lines }), `The map is dressed in ${name}.`)}
            >
              <span aria-hidden className="flex">
                {fills.map((fill) => (
                  <span key={fill} data-swatch className="h-6 w-4 border border-rule" style={{ background: fill }} />
                ))}
              </span>
              {name}
            </button>
          </li>
        ))}
      </ul>
      <label className="flex items-center gap-2 pointer-coarse:min-h-11">
        <input
          type="checkbox"
          className="accent-action"
          checked={lines}
          onChange={({ target }) => setLines(target.checked)}
        />
        Links of a branch in a dark shade of it
      </label>
      {refusal && <p className="words text-madder">{refusal}</p>}
      <div>
        <Button onClick={() => take(actions.allAsTheirKind(), 'Everything looks as its kind says.')}>
          Everything as its kind
        </Button>
      </div>
    </div>
  );
}
