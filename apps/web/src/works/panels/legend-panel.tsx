import { matchesKind } from './kind-counts';
import type { Assignment } from '@ichnograph/core';
import { KindSample, LinkSample } from '../../map';
import { Button } from '../../ui/button';
import { useEditor, useEditorState } from '../editor';

/** The assignment's kinds. A click on one of the student's own makes it the next mark; given kinds come with their terms. */
export function LegendPanel({
  assignment,
  mayEdit,
  own,
  onChange,
}: {
  assignment: Assignment;
  mayEdit: boolean;
  /** on a map of one's own assignment every kind can be the next mark */
  own: boolean;
  /** changes the kinds themselves, where they are one's own */
  onChange?: (() => void) | undefined;
}) {
  const { actions } = useEditor();
  const next = useEditorState((state) => state.next);
  const map = useEditorState((state) => state.map);
  const chips = useEditorState((state) => (state.report ? state.chips : null));
  const { legend } = assignment;
  const row = 'flex w-full min-w-0 items-center gap-2 rounded-sm border px-2 py-[3px] text-left';
  const chosen = 'border-action bg-wash';
  return (
    <section aria-label="Legend" className="mb-4">
      <div className="mb-1.5 flex items-center justify-between">
        <h2 className="caption">Legend</h2>
        {onChange && (
          <Button small look="quiet" onClick={onChange} aria-label="Change the legend">
            Change …
          </Button>
        )}
      </div>
      <ul className="grid gap-px">
        {legend.topicKinds.map((kind) => {
          const isNext = next.topicKind === kind.id;
          const content = (
            <>
              <KindSample kind={kind} />
              <span className="min-w-0 flex-1 truncate">{kind.name}</span>
              <span className="font-mono text-xs text-quiet">{matchesKind(kind, map, chips, assignment)}</span>
            </>
          );
          return (
            <li key={kind.id} title={kind.purpose}>
              {(kind.givenBy === 'student' || own) && mayEdit ? (
                <button
                  type="button"
                  aria-pressed={isNext}
                  className={`${row} ${isNext ? chosen : 'border-transparent hover:bg-canvas'}`}
                  onClick={() => actions.chooseTopicKind(kind.id)}
                >
                  {content}
                </button>
              ) : (
                <div className={`${row} border-transparent`}>{content}</div>
              )}
            </li>
          );
        })}
        {legend.linkKinds.map((kind) => {
          const isNext = next.linkKind === kind.id;
          return (
            <li key={kind.id}>
              <button
                type="button"
                disabled={!mayEdit}
                aria-pressed={isNext}
                className={`${row} ${isNext ? chosen : 'border-transparent hover:bg-canvas'}`}
                onClick={() => actions.chooseLinkKind(kind.id)}
              >
                <LinkSample kind={kind} legend={legend} />
                <span className="min-w-0 flex-1 truncate italic">{kind.name}</span>
                <span className="font-mono text-xs text-quiet">
                  {map.links.filter((link) => link.kind === kind.id).length}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
