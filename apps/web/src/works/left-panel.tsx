import type { Chip } from '@ichnograph/core';
import { BankPanel } from './bank-panel';
import { LegendPanel } from './legend-panel';
import { NextMark } from './next-mark';
import type { OpenWork } from './use-live-work';

/** What the student draws with: next mark, legend, word bank. */
export function LeftPanel({
  open,
  mayEdit,
  onPlace,
}: {
  open: OpenWork;
  mayEdit: boolean;
  onPlace: (chip: Chip) => void;
}) {
  const { legend } = open.assignment;
  return (
    <div className="px-3 py-2.5">
      {mayEdit && <NextMark legend={legend} />}
      <LegendPanel assignment={open.assignment} mayEdit={mayEdit} />
      {mayEdit && <BankPanel legend={legend} onPlace={onPlace} />}
    </div>
  );
}
