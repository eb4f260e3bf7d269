import { useRef } from 'react';
import type { JudgementKind } from '@ichnograph/contract';
import { api } from '../common/api';
import type { Judged } from './judgement';

type Act = (work: () => Promise<unknown>, said?: string) => Promise<boolean>;

/**
 * Gives points and levels one after the other, however fast the keys are hit: what one gave oneself a moment ago is no
 * judgement of somebody else's.
 */
export function useJudge(submissionId: string, revision: number, judged: Judged, act: Act) {
  const turn = useRef<Promise<unknown>>(Promise.resolve());
  const own = useRef({ of: judged, given: new Map<string, number | null>() });
  return (kind: JudgementKind, subject: string, value: number | null, reason = ''): Promise<boolean> => {
    const mine = turn.current.then(() =>
      act(async () => {
        // What was asked anew since then knows it all.
        if (own.current.of !== judged) own.current = { of: judged, given: new Map() };
        const { given } = own.current;
        const key = `${kind} ${subject}`;
        const seen = given.has(key) ? given.get(key)! : (judged.of(kind, subject)?.value ?? null);
        await api.put(`submissions/${submissionId}/judgements`, { kind, subject, value, reason, seen, revision });
        given.set(key, value);
      }, 'The mark is kept.'),
    );
    turn.current = mine;
    return mine;
  };
}
