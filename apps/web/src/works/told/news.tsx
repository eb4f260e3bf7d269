import { requirementSentence } from '@ichnograph/core';
import type { Assignment } from '@ichnograph/core';
import type { WorkDetail, WorkNews } from '@ichnograph/contract';
import { api } from '../../common/api';
import { useSend } from '../../common/send';
import { Button } from '../../ui/button';
import { Trouble } from '../../ui/field';

const PARTS: Readonly<Record<string, string>> = {
  legend: 'the legend',
  starter: 'the given topics',
  criteria: 'what your teacher judges',
  marks: 'how it is marked',
};

const count = (n: number, one: string, many: string): string[] => (n === 0 ? [] : [n === 1 ? one : `${n} ${many}`]);

/** What a newer revision brought: the work moved on to it, and says so until it is read. */
export function News({ detail, news, assignment }: { detail: WorkDetail; news: WorkNews; assignment: Assignment }) {
  const { trouble, send } = useSend([`works/${detail.id}`]);
  const sentences = [...news.requirements.added, ...news.requirements.changed].flatMap((id) => {
    const requirement = assignment.requirements.find((one) => one.id === id);
    return requirement ? [requirementSentence(requirement, assignment)] : [];
  });
  const lines = [
    ...count(news.requirements.removed, 'One requirement is asked for no more', 'requirements are asked for no more'),
    ...(news.terms.added.length > 0 ? [`New terms: ${news.terms.added.join(', ')}`] : []),
    ...(news.terms.removed.length > 0 ? [`Terms that are given no more: ${news.terms.removed.join(', ')}`] : []),
    ...news.parts.flatMap((part) => (PARTS[part] ? [`Changed: ${PARTS[part]}`] : [])),
  ];
  return (
    <section
      aria-label="What is new"
      className="flex items-start gap-3 border-b border-ochre bg-ochre-wash px-3.5 py-2"
    >
      <div className="words min-w-0 flex-1">
        <p className="font-semibold">Your teacher changed this assignment. Your map has moved on with it.</p>
        <ul className="list-disc pl-5 text-sm">
          {sentences.map((sentence) => (
            <li key={sentence}>Now: {sentence}</li>
          ))}
          {lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
        <Trouble>{trouble}</Trouble>
      </div>
      <Button small onClick={() => void send(() => api.post(`works/${detail.id}/news-read`), 'Read.')}>
        I have read it
      </Button>
    </section>
  );
}
