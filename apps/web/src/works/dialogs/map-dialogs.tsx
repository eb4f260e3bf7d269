import type { TitleBlockText } from '@ichnograph/core';
import type { WorkDetail } from '@ichnograph/contract';
import { Link } from 'react-router';
import { Prose } from '../../ui/prose';
import { BringInDialog } from './bring-in-dialog';
import { ChooseOwnMap } from './choose-own-map';
import { Dialog } from '../../ui/dialog';
import { useEditor } from '../editor';
import { HandInDialog } from './hand-in-dialog';
import { LargePicture } from './large-picture';
import { CommandPalette, MapKeysDialog } from './palette';
import { PaperDialog } from './paper-dialog';
import { PicturesDialog } from './pictures-dialog';
import { PrintDialog } from './print-dialog';
import { RegionDialog } from './region-dialog';
import { SaveAsDialog } from './save-as-dialog';
import { SpellingDialog } from './spelling-dialog';
import type { Shown } from '../commands/command';
import type { DrawnMap } from '../drawn-map';
import { hasVersions } from '../use-live-work';
import type { OpenWork } from '../use-live-work';
import { WholeLooksDialog } from './whole-looks-dialog';
import { VersionsDialog } from './versions-dialog';

export function MapDialogs({
  detail,
  work,
  open,
  block,
  shown,
  onShow,
  onClosed,
  onGo,
  bringIn,
}: {
  detail: DrawnMap;
  work: WorkDetail | null;
  open: OpenWork;
  block: TitleBlockText;
  shown: Shown | null;
  onShow: (shown: Shown | null) => void;
  /** gives the focus back to the work */
  onClosed: () => void;
  onGo: (ids: readonly string[]) => void;
  /** shows what is selected */
  bringIn: () => void;
}) {
  const { actions, assignment } = useEditor();
  const dialog = (what: Shown) => ({
    open: shown === what,
    onOpenChange: (is: boolean) => onShow(is ? what : null),
  });
  return (
    <>
      <Dialog {...dialog('brief')} title={detail.title} description={assignment.focusQuestion}>
        <Prose text={assignment.brief} />
        {open.of === 'work' && (
          <p className="mt-4">
            <Link className="text-action underline" to={`/works/${detail.id}/guide`}>
              The guide to print
            </Link>{' '}
            <span className="text-quiet">with drawings of what your map must show</span>
          </p>
        )}
      </Dialog>
      {hasVersions(open.of) && (
        <VersionsDialog
          {...dialog('versions')}
          mayEdit={detail.mayEdit}
          path={`${open.of === 'mine' ? 'own-maps' : 'works'}/${detail.id}`}
          assignment={assignment}
        />
      )}
      {detail.mayEdit && <PaperDialog {...dialog('paper')} />}
      {detail.mayEdit && <WholeLooksDialog {...dialog('looks')} />}
      {detail.mayEdit && (
        <SpellingDialog
          {...dialog('spelling')}
          onGo={(ids) => {
            onShow(null);
            onGo(ids);
          }}
        />
      )}
      <PrintDialog {...dialog('print')} block={block} />
      <SaveAsDialog {...dialog('save as')} />
      <MapKeysDialog {...dialog('keys')} />
      <CommandPalette {...dialog('palette')} onClosed={onClosed} />
      {work && (
        <HandInDialog
          detail={work}
          open={open}
          shown={shown === 'hand in'}
          onShow={(is) => onShow(is ? 'hand in' : null)}
          onPrint={() => onShow('print')}
          onGo={(ids) => {
            onShow(null);
            onGo(ids);
          }}
        />
      )}
      <ChooseOwnMap
        {...dialog('own maps')}
        title="Bring in one of your own maps"
        description="A copy of it is laid beside what is drawn here; kinds are told by their names, then by their looks."
        onClosed={onClosed}
        onChoose={(map) => {
          onShow(null);
          actions.bringIn(map);
          requestAnimationFrame(() => bringIn());
        }}
      />
      {detail.mayEdit && (
        <BringInDialog
          {...dialog('bring in')}
          onClosed={onClosed}
          onMake={(map) => {
            onShow(null);
            actions.bringIn(map);
            requestAnimationFrame(() => bringIn());
          }}
        />
      )}
      <RegionDialog onClosed={onClosed} />
      <LargePicture onClosed={onClosed} />
      {detail.mayEdit && <PicturesDialog onClosed={onClosed} />}
    </>
  );
}
