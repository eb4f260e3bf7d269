import type { Chip } from '@ichnograph/core';
import { Library } from 'lucide-react';
import { KindSample, LinkSample } from '../../map';
import { BankPanel } from './bank-panel';
import { useEditor, useEditorState } from '../editor';
import type { Spot } from '../editor';
import { matchesKind } from './kind-counts';
import { LegendPanel } from './legend-panel';
import { NextMark } from './next-mark';
import type { OpenWork } from '../use-live-work';

/** What the student draws with: next mark, legend, word bank. */
export function LeftPanel({
  workId,
  open,
  mayEdit,
  centre,
  onPlace,
}: {
  workId: string;
  open: OpenWork;
  mayEdit: boolean;
  centre: () => Spot;
  onPlace: (chip: Chip) => void;
}) {
  const { legend } = open.assignment;
  return (
    <div className="px-3 pb-3">
      {mayEdit && <NextMark assignment={open.assignment} />}
      <LegendPanel assignment={open.assignment} mayEdit={mayEdit} own={open.own} onChange={open.onLegend} />
      {mayEdit && <BankPanel workId={workId} legend={legend} centre={centre} onPlace={onPlace} />}
    </div>
  );
}

/** The same as a rail: the next mark's kinds as samples with counts, and how many wait in the bank. */
export function LeftRail({ open, mayEdit, onOpen }: { open: OpenWork; mayEdit: boolean; onOpen: () => void }) {
  const { actions } = useEditor();
  const next = useEditorState((state) => state.next);
  const map = useEditorState((state) => state.map);
  const chips = useEditorState((state) => (state.report ? state.chips : null));
  const { assignment } = open;
  const { legend } = assignment;
  const cell = 'flex w-full flex-col items-center gap-0.5 border-l-[3px] py-1.5 pr-[3px]';
  const chosen = 'border-action bg-wash';
  return (
    <div className="pb-3">
      <ul aria-label="Legend">
        {legend.topicKinds.map((kind) => {
          const count = matchesKind(kind, map, chips, assignment);
          const content = (
            <>
              <KindSample kind={kind} />
              <span className="font-mono text-[0.6875rem] leading-none text-quiet">{count.replace(' of ', '/')}</span>
            </>
          );
          return (
            <li key={kind.id} title={`${kind.name}: ${kind.purpose}`}>
              {(kind.givenBy === 'student' || open.own) && mayEdit ? (
                <button
                  type="button"
                  aria-label={`${kind.name}, ${count}`}
                  aria-pressed={next.topicKind === kind.id}
                  className={`${cell} ${next.topicKind === kind.id ? chosen : 'border-transparent hover:bg-canvas'}`}
                  onClick={() => actions.chooseTopicKind(kind.id)}
                >
                  {content}
                </button>
              ) : (
                <div className={`${cell} border-transparent`}>
                  <span className="sr-only">{kind.name}, </span>
                  {content}
                </div>
              )}
            </li>
          );
        })}
        {legend.linkKinds.map((kind) => (
          <li key={kind.id} title={kind.name}>
            <button
              type="button"
              disabled={!mayEdit}
              aria-label={`${kind.name}, the kind of links`}
              aria-pressed={next.linkKind === kind.id}
              className={`${cell} ${next.linkKind === kind.id ? chosen : 'border-transparent hover:bg-canvas'}`}
              onClick={() => actions.chooseLinkKind(kind.id)}
            >
              <LinkSample kind={kind} legend={legend} />
            </button>
          </li>
        ))}
      </ul>
      {mayEdit && (
        <button
          type="button"
          aria-label={`Word bank, ${chips ? `${chips.length} to place` : 'looking'}`}
          className="mx-auto mt-2 flex w-10 flex-col items-center gap-0.5 rounded-sm border border-rule bg-white py-1.5 hover:bg-canvas"
          onClick={onOpen}
        >
          <Library aria-hidden size={15} />
          <span className="font-mono text-xs leading-none">{chips ? chips.length : '…'}</span>
        </button>
      )}
    </div>
  );
}
