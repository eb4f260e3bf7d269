import type { TitleBlockText, TopicMap } from '@ichnograph/core';
import type { WorkDetail } from '@ichnograph/contract';
import { Link } from 'react-router';
import { Prose } from '../../ui/prose';
import { BringInDialog } from '../../bringing-in';
import { ChooseOwnMap } from './choose-own-map';
import { SaveAsDialog } from '../../saving-as';
import { Dialog } from '../../ui/dialog';
import { useEditor, useEditorState } from '../editor';
import { HandInDialog } from './hand-in-dialog';
import { LargePicture } from './large-picture';
import { CommandPalette, MapKeysDialog } from './palette';
import { PaperDialog } from './paper-dialog';
import { PicturesDialog } from './pictures-dialog';
import { PrintDialog } from './print-dialog';
import { RegionDialog } from './region-dialog';
import { ShareDialog } from './share-dialog';
import { ShowDialog } from './show-dialog';
import { SpellingDialog } from './spelling-dialog';
import type { Shown, View } from '../commands/command';
import type { DrawnMap } from '../drawn-map';
import { hasVersions } from '../use-live-work';
import type { OpenWork } from '../use-live-work';
import { WholeLooksDialog } from './whole-looks-dialog';
import { TaskDialog } from './task-dialog';
import { VersionsDialog } from './versions-dialog';

/** So many letters of a topic's words name it on a button. */
const NAMED = 40;

export function MapDialogs({
  detail,
  work,
  open,
  block,
  view,
  shown,
  onShow,
  onClosed,
  onGo,
  onTour,
  bringIn,
}: {
  detail: DrawnMap;
  work: WorkDetail | null;
  open: OpenWork;
  block: TitleBlockText;
  view: View;
  shown: Shown | null;
  onShow: (shown: Shown | null) => void;
  /** gives the focus back to the work */
  onClosed: () => void;
  onGo: (ids: readonly string[]) => void;
  /** goes to the tours */
  onTour: () => void;
  /** shows what is selected */
  bringIn: () => void;
}) {
  const { actions, assignment } = useEditor();
  const brought = useEditorState((state) => state.brought);
  const chosen = useEditorState(({ map, selection }) =>
    selection.length === 1 ? map.topics.find(({ id }) => id === selection[0]) : undefined,
  );
  const dialog = (what: Shown) => ({
    open: shown === what,
    onOpenChange: (is: boolean) => {
      if (!is) actions.holdFile(null);
      onShow(is ? what : null);
    },
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
          members={detail.members}
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
      <SaveMap {...dialog('save as')} />
      {(open.of === 'work' || open.of === 'mine') && (
        <ShareDialog {...dialog('share')} path={`${open.of === 'mine' ? 'own-maps' : 'works'}/${detail.id}`} />
      )}
      {(open.of === 'work' || open.of === 'mine') && (
        <ShowDialog
          {...dialog('show')}
          of={open.of === 'mine' ? { ownMapId: detail.id } : { workId: detail.id }}
          className={open.of === 'mine' ? null : detail.className}
          onTour={onTour}
        />
      )}
      {detail.mayEdit && detail.members.length > 1 && (
        <TaskDialog {...dialog('task')} members={detail.members} onGo={onGo} />
      )}
      <MapKeysDialog {...dialog('keys')} view={view} />
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
          legend={assignment.legend}
          file={brought}
          ways={[
            {
              yes: 'Lay it beside what is drawn',
              onMake: (map) => {
                onShow(null);
                actions.bringIn(map);
                requestAnimationFrame(() => bringIn());
              },
            },
            ...(chosen
              ? [
                  {
                    yes: `Hang it from “${chosen.text.replace(/\s+/g, ' ').slice(0, NAMED)}”`,
                    onMake: (map: TopicMap) => {
                      onShow(null);
                      actions.bringIn(map, chosen.id);
                      requestAnimationFrame(() => bringIn());
                    },
                  },
                ]
              : []),
            {
              yes: 'Its topics as terms to place',
              onMake: (map) => {
                onShow(null);
                actions.keepAsTerms(map);
              },
            },
          ]}
        />
      )}
      <RegionDialog onClosed={onClosed} />
      <LargePicture onClosed={onClosed} />
      {detail.mayEdit && <PicturesDialog onClosed={onClosed} />}
    </>
  );
}

function SaveMap(dialog: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const { assignment } = useEditor();
  const map = useEditorState((state) => state.map);
  return <SaveAsDialog {...dialog} map={map} legend={assignment.legend} />;
}
