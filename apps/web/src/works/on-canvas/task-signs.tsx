import type { PersonMark } from '@ichnograph/core';
import type { Person } from '@ichnograph/contract';
import { CircleCheck, CircleDashed, CircleDot } from 'lucide-react';
import { shortDay } from '../../common/dates';
import { Badge } from '../../ui/badge';
import { useCommands } from '../commands/list';
import { useEditor, useEditorState } from '../editor';
import { taskSentence } from '../task-words';

const SIGNS = { 'to do': CircleDashed, 'under way': CircleDot, done: CircleCheck } as const;

/** Over each topic that is a task: how far it is, until when, and whose; a press opens it. */
export function TaskSigns({
  hidden,
  members,
  marks,
  mayEdit,
}: {
  hidden: ReadonlySet<string>;
  members: readonly Person[];
  marks: ReadonlyMap<string, PersonMark>;
  mayEdit: boolean;
}) {
  const { actions } = useEditor();
  const { desk } = useCommands();
  const topics = useEditorState(({ map }) => map.topics);
  return topics.map(({ id, text, task, x, y, width, height }) => {
    if (!task || hidden.has(id)) return null;
    const Sign = SIGNS[task.state];
    return (
      <button
        key={id}
        type="button"
        disabled={!mayEdit}
        className="nodrag nopan pointer-events-auto absolute z-[997] flex -translate-x-full -translate-y-full items-center gap-1 border border-rule bg-paper px-1 text-xs leading-5 hover:bg-wash"
        style={{ left: x + width / 2, top: y - height / 2 - 2 }}
        data-task={task.state}
        aria-label={`Task: ${text}. ${taskSentence(task, members)}`}
        title={taskSentence(task, members)}
        onClick={() => {
          actions.select([id]);
          desk.show('task');
        }}
      >
        <Sign aria-hidden size={13} className={task.state === 'done' ? 'text-action' : 'text-quiet'} />
        {task.due && task.state !== 'done' && <span>{shortDay(task.due)}</span>}
        {(task.who ?? []).map((one) => {
          const mark = marks.get(one);
          return mark && <Badge key={one} mark={mark} />;
        })}
      </button>
    );
  });
}
