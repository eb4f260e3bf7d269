import { Download } from 'lucide-react';
import { useState } from 'react';
import { SaveAsDialog } from '../../saving-as';
import { Button, buttonClass } from '../../ui/button';
import type { Frozen } from './frozen-map';

/** What was handed in as a file: the map alone in any format, or with all that was written and judged about it. */
export function SaveFrozen({ frozen: { map, assignment }, submissionId }: { frozen: Frozen; submissionId: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button small aria-label="Save it as a file" title="Save it as a file" onClick={() => setOpen(true)}>
        <Download aria-hidden size={14} />
      </Button>
      <SaveAsDialog map={map} legend={assignment.legend} open={open} onOpenChange={setOpen}>
        <p className="mb-4 flex flex-wrap items-center gap-3 border-b border-rule pb-4">
          <a className={buttonClass()} href={`/api/submissions/${submissionId}/paper`} download>
            <Download aria-hidden size={15} />
            With remarks, numbers and mark: PDF
          </a>
          <span className="text-quiet">or the map alone:</span>
        </p>
      </SaveAsDialog>
    </>
  );
}
