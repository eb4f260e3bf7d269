import { assignmentOf, writeAssignment } from '@ichnograph/core';
import type { Sheet } from '@ichnograph/core';
import { referenceDocument, starterDocument, trialDocument } from '@ichnograph/contract';
import type { SheetDetail } from '@ichnograph/contract';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { useMe, useSheetDetail, useTrials } from '../common/queries';
import { Waiting } from '../common/waiting';
import { OpenMap } from '../works';
import type { DrawnMap, MapSource } from '../works';
import { AS_A_STUDENT } from './trial-names';

const NAMES = { starter: 'Starter map', reference: 'Reference map' } as const;

/** A map of an assignment, drawn on the canvas that students use, with every kind at hand. */
export function SheetMapPage({ which }: { which: 'starter' | 'reference' }) {
  const id = useParams().id!;
  const sheet = useSheetDetail(id);
  if (sheet.data === undefined || !sheet.isFetchedAfterMount) return <Waiting of={sheet} what="Opening the map …" />;
  const document = which === 'starter' ? starterDocument(id) : referenceDocument(id);
  return <Drawn detail={sheet.data} name={NAMES[which]} source={{ id: `${which}-${id}`, document, of: 'sheet' }} />;
}

/** A trial map: the teacher's own hand again, or a work as a student would begin it. */
export function TrialMapPage() {
  const { id, trialId } = useParams() as { id: string; trialId: string };
  const sheet = useSheetDetail(id);
  const trials = useTrials(id);
  const trial = trials.data?.find((one) => one.id === trialId);
  if (sheet.data === undefined || !sheet.isFetchedAfterMount) return <Waiting of={sheet} what="Opening the map …" />;
  if (trial === undefined) return <Waiting of={trials} what="Opening the map …" />;
  return (
    <Drawn
      detail={sheet.data}
      name={trial.name}
      source={{
        id: `trial-${trialId}`,
        document: trialDocument(trialId),
        of: trial.name === AS_A_STUDENT ? 'try-out' : 'sheet',
      }}
    />
  );
}

function Drawn({ detail, name, source }: { detail: SheetDetail; name: string; source: Omit<MapSource, 'back'> }) {
  const me = useMe();
  const drawn = useMemo((): DrawnMap => {
    const sheet = Object.fromEntries(
      Object.entries(detail.parts).map(([part, { body }]) => [part, body]),
    ) as unknown as Sheet;
    const assignment = assignmentOf(sheet, { starter: null, reference: null });
    return {
      id: source.id,
      title: name,
      className: detail.title || 'New assignment',
      mayEdit: true,
      members: [me],
      revision: detail.revision,
      assignment: writeAssignment(assignment),
    };
  }, [detail, name, source.id, me]);
  return (
    <OpenMap
      key={source.id}
      detail={drawn}
      source={{ ...source, back: { to: `/assignments/${detail.id}/sheet`, name: 'Back to the sheet' } }}
    />
  );
}
