import { propositionOf } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { ReadSentence } from './reading-line';

/** The map as text: every sentence, then what no link joins. The same for those who cannot see the drawing. */
export function SentencesView({
  map,
  legend,
  language,
  onGo,
}: {
  map: TopicMap;
  legend: Legend;
  /** what its words are in */
  language: string;
  onGo: (id: string) => void;
}) {
  const topicById = new Map(map.topics.map((topic) => [topic.id, topic]));
  const linked = new Set(map.links.flatMap(({ from, to }) => [from, to]));
  const alone = map.topics.filter(({ id }) => !linked.has(id));
  const row = 'flex w-full min-w-0 border-b border-rule px-2 py-1.5 text-left hover:bg-wash';
  return (
    <div className="h-full overflow-y-auto bg-paper px-6 py-5" data-testid="sentences">
      <h2 className="mb-2 text-lg font-semibold">Every sentence · {map.links.length}</h2>
      {map.links.length === 0 && <p className="text-quiet">No links yet. Each link reads as a sentence here.</p>}
      <ul lang={language}>
        {map.links.map((link) => (
          <li key={link.id}>
            <button type="button" dir="auto" className={row} onClick={() => onGo(link.id)}>
              <ReadSentence {...propositionOf(link, topicById.get(link.from)!, topicById.get(link.to)!, legend)} />
            </button>
          </li>
        ))}
      </ul>
      {alone.length > 0 && (
        <>
          <h2 className="mb-2 mt-6 text-lg font-semibold">In no sentence yet · {alone.length}</h2>
          <ul lang={language} className="flex flex-wrap gap-1.5">
            {alone.map(({ id, text }) => (
              <li key={id} className="max-w-full">
                <button
                  type="button"
                  className="words card max-w-full px-2 py-1 text-left hover:bg-wash"
                  onClick={() => onGo(id)}
                >
                  {text}
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
