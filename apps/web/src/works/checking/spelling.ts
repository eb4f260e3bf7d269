import type { SpellingAnswer, SpellingQuestion } from './spelling-worker';

/** Languages with a dictionary that ships. */
const DICTIONARIES = ['en', 'es', 'fr', 'nl', 'pt'];

export const dictionaryFor = (language: string): string | null => {
  const [base] = language.toLowerCase().split('-');
  return DICTIONARIES.find((one) => one === base) ?? null;
};

/** A dictionary in a worker of its own, opened once and ended with what asked it. */
export function openSpelling(
  language: string,
  onAnswer: (answer: SpellingAnswer) => void,
): { ask: (question: SpellingQuestion) => void; close: () => void } {
  const worker = new Worker(new URL('./spelling-worker.ts', import.meta.url), { type: 'module', name: language });
  worker.onmessage = ({ data }: MessageEvent<SpellingAnswer>) => onAnswer(data);
  worker.onerror = () => onAnswer({ failed: true });
  return { ask: (question) => worker.postMessage(question), close: () => worker.terminate() };
}
