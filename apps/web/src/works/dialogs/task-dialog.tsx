import { TASK_STATES } from '@ichnograph/core';
import type { Topic, TopicTask } from '@ichnograph/core';
import type { Person } from '@ichnograph/contract';
import { useState } from 'react';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Segments } from '../../ui/segments';
import { useEditor, useEditorState } from '../editor';
import { TASK_WORDS, taskSentence } from '../task-words';

interface Props {
  members: readonly Person[];
  onGo: (ids: readonly string[]) => void;
  onOpenChange: (open: boolean) => void;
}

/** What is still to be done about a topic, and all that is to be done on this map. */
export function TaskDialog({ open, ...rest }: Props & { open: boolean }) {
  const topic = useEditorState(({ map, selection }) =>
    selection.length === 1 ? map.topics.find(({ id }) => id === selection[0]) : undefined,
  );
  return (
    <Dialog
      open={open}
      onOpenChange={rest.onOpenChange}
      title={topic ? `As a task: ${topic.text || 'this topic'}` : 'Tasks of this map'}
    >
      {open && (
        <>
          {topic && <Fields key={topic.id} topic={topic} {...rest} />}
          <TasksOfMap {...rest} />
        </>
      )}
    </Dialog>
  );
}

function Fields({ topic: { id, task }, members, onOpenChange }: Props & { topic: Topic }) {
  const { actions } = useEditor();
  const [state, setState] = useState<TopicTask['state']>(task?.state ?? 'to do');
  const [due, setDue] = useState(task?.due ?? '');
  const [who, setWho] = useState<readonly string[]>(task?.who ?? []);
  const keep = (wanted: TopicTask | null): void => {
    if (actions.setTask(id, wanted)) onOpenChange(false);
  };
  return (
    <form
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        keep({ state, ...(due !== '' && { due }), who: [...who] });
      }}
    >
      <div className="flex">
        <Segments
          label="How far it is"
          options={TASK_STATES.map((one) => TASK_WORDS[one])}
          value={TASK_WORDS[state]}
          onChange={(word) => setState(TASK_STATES.find((one) => TASK_WORDS[one] === word)!)}
        />
      </div>
      <label className="flex items-center gap-2">
        Until
        <input type="date" className="field w-40 py-1" value={due} onChange={({ target }) => setDue(target.value)} />
      </label>
      <fieldset className="grid gap-1">
        <legend className="mb-1 font-semibold">Who</legend>
        {members.map((member) => (
          <label key={member.id} className="flex items-center gap-2">
            <input
              type="checkbox"
              className="accent-action"
              checked={who.includes(member.id)}
              onChange={({ target }) =>
                setWho(target.checked ? [...who, member.id] : who.filter((one) => one !== member.id))
              }
            />
            {member.givenName} {member.familyName}
          </label>
        ))}
        <p className="text-sm text-quiet">Nobody chosen: whoever comes to it first.</p>
      </fieldset>
      <div className="flex gap-2">
        <Button type="submit" look="action">
          {task ? 'Keep' : 'Make it a task'}
        </Button>
        {task && <Button onClick={() => keep(null)}>No task any more</Button>}
      </div>
    </form>
  );
}

function TasksOfMap({ members, onGo, onOpenChange }: Props) {
  const topics = useEditorState(({ map }) => map.topics);
  const tasks = topics.filter(({ task }) => task);
  if (tasks.length === 0) return null;
  return (
    <section aria-labelledby="tasks-of-map" className="mt-5 border-t border-rule pt-3">
      <h3 id="tasks-of-map" className="caption mb-1">
        All tasks of this map
      </h3>
      <ul className="grid">
        {tasks.map(({ id, text, task }) => (
          <li key={id} className="border-b border-rule py-1 last:border-0">
            <button
              type="button"
              className="words text-left font-semibold text-action underline"
              onClick={() => {
                onOpenChange(false);
                onGo([id]);
              }}
            >
              {text || 'Without words'}
            </button>
            <span className="block text-sm text-quiet">{taskSentence(task!, members)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
