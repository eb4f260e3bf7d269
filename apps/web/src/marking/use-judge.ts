import { useRef } from 'react';
import type { JudgementKind } from '@ichnograph/contract';
import { api } from '../common/api';
import type { Send } from '../common/send';
import type { Judged } from './judgement';

/**
 * Gives points and levels one after the other, however fast the keys are hit: what one gave oneself a moment ago is no
 * judgement of somebody else's.
 */
export function useJudge(submissionId: string, revision: number, judged: Judged, send: Send) {
  const turn = useRef<Promise<unknown>>(Promise.resolve());
  const own = useRef({ of: judged, given: new Map<string, number | null>() });
  return (kind: JudgementKind, subject: string, value: number | null, reason = ''): Promise<boolean> => {
    const key = `${kind} ${subject}`;
    const give = async (): Promise<void> => {
      // What was asked anew since then knows it all.
      if (own.current.of !== judged) own.current = { of: judged, given: new Map() };
      const { given } = own.current;
      const seen = given.has(key) ? given.get(key)! : (judged.of(kind, subject)?.value ?? null);
      await api.put(`submissions/${submissionId}/judgements`, { kind, subject, value, reason, seen, revision });
      given.set(key, value);
    };
    const mine = turn.current.then(() => send(give, 'The mark is kept.', { as: `${key} ${value} ${reason}` }));
    turn.current = mine;
    return mine;
  };
}
