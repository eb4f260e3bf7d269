import { holdsAnswers } from '@ichnograph/core';
import type { Assignment, Result, TopicMap } from '@ichnograph/core';
import { api, ApiError } from '../../common/api';

const isRefused = ({ status }: ApiError): boolean => status >= 400 && status < 500 && status !== 408 && status !== 429;

/** After the last change: a hand that goes on is not asked about after each stroke. */
const CALM_MS = 700;
const LATER_MS = 4000;

/**
 * Asks the server for the results of those requirements whose answers this browser is not sent, each time the map has
 * been saved and is another than at the last time.
 */
export function startAnswerChecks(
  workId: string,
  { requirements }: Assignment,
  onAnswer: (results: readonly Result[]) => void,
) {
  const isWanted = requirements.some(holdsAnswers);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let [asked, stopped, turn] = [null as TopicMap | null, false, 0];
  const ask = async (map: TopicMap): Promise<void> => {
    const mine = ++turn;
    const isOld = (): boolean => stopped || mine !== turn;
    try {
      const results = await api.get<Result[]>(`works/${workId}/answer-checks`);
      // What was asked before is no answer to what was asked since.
      if (!isOld()) onAnswer(results);
    } catch (error) {
      // Not now: the rest of the list stands, and this is asked again; what one may not ask, one may not ask later.
      if (!(error instanceof ApiError) || isOld() || isRefused(error)) return;
      timer = setTimeout(() => void ask(map), LATER_MS);
    }
  };
  return {
    look: (saved: boolean, map: TopicMap): void => {
      if (!isWanted || !saved || map === asked) return;
      asked = map;
      clearTimeout(timer);
      timer = setTimeout(() => void ask(map), CALM_MS);
    },
    stop: (): void => {
      stopped = true;
      clearTimeout(timer);
    },
  };
}
