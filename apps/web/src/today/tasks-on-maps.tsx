import { Link } from 'react-router';
import { shortDay } from '../common/dates';
import { useTasksOnMaps } from '../common/queries';

/** What is still to be done on maps one draws with others, one's own before what nobody has taken. */
export function TasksOnMaps() {
  const tasks = useTasksOnMaps().data ?? [];
  if (tasks.length === 0) return null;
  return (
    <section className="mb-8" aria-label="Tasks on group maps">
      <h2 className="caption mb-2">Tasks on group maps</h2>
      <ul className="card">
        {tasks.map(({ workId, topicId, text, title, state, due, who, mine }) => (
          <li
            key={`${workId} ${topicId}`}
            className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-rule px-4 py-2 last:border-0"
          >
            <Link className="words min-w-0 flex-1 font-semibold text-action underline" to={`/works/${workId}`}>
              {text || 'A topic without words'}
            </Link>
            <span className="words text-sm text-quiet">
              {title} · {state}
              {due && ` · until ${shortDay(due, 'short')}`}
              {mine
                ? who.length > 1 && ` · with ${who.length === 2 ? 'one other' : `${who.length - 1} others`}`
                : ' · nobody’s yet'}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
