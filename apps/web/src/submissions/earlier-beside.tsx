import { openStoredAssignment, openStoredMap } from '@ichnograph/core';
import type { SubmissionDetail } from '@ichnograph/contract';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { showMoment } from '../common/dates';
import { useSubmission, useTimeZone } from '../common/queries';
import { MapPicture } from '../map';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';

/** One's own earlier map beside the one that came back. */
export function EarlierBeside({ detail }: { detail: SubmissionDetail }) {
  const [open, setOpen] = useState(false);
  const zone = useTimeZone();
  const earlier = detail.submissions.find(({ number }) => number === detail.number - 1);
  const submission = useSubmission(open && earlier ? earlier.id : null);
  const legend = useMemo(() => openStoredAssignment(detail.assignment).legend, [detail.assignment]);
  const map = useMemo(() => openStoredMap(detail.map), [detail.map]);
  const before = useMemo(() => submission.data && openStoredMap(submission.data.map), [submission.data]);
  if (!earlier) return null;
  return (
    <>
      <Button onClick={() => setOpen(true)}>Beside the earlier one</Button>
      <Dialog wide open={open} onOpenChange={setOpen} title="The map before, and this one">
        <div className="grid gap-3 sm:grid-cols-2">
          <figure>
            <figcaption className="mb-1 text-quiet">
              No. {earlier.number}, {showMoment(earlier.handedInAt, zone)} ·{' '}
              <Link className="text-action underline" to={`/feedback/${earlier.id}`}>
                its comments
              </Link>
            </figcaption>
            {before ? (
              <MapPicture map={before} legend={legend} title="The map before" />
            ) : (
              <p role="status">Opening it …</p>
            )}
          </figure>
          <figure>
            <figcaption className="mb-1 text-quiet">
              No. {detail.number}, {showMoment(detail.handedInAt, zone)}
            </figcaption>
            <MapPicture map={map} legend={legend} title="This map" />
          </figure>
        </div>
      </Dialog>
    </>
  );
}
