import type { ClassInsight, GiveVerdict, VerdictGiven, VerdictRow } from '@ichnograph/contract';
import { announce } from '../app/announcer';
import { api } from '../app/api';
import { useAction } from '../app/use-action';
import type { Given } from '../verdicts';

/** Gives one verdict to everything the class says by these keys. */
export function useGiveVerdict({ publicationId }: Pick<ClassInsight, 'publicationId'>) {
  const { trouble, act } = useAction();
  const give = (keys: readonly string[], { verdict, thin, remark }: Given, judged: VerdictRow | null): void => {
    const wanted: GiveVerdict = { keys: [...keys], verdict, thin, remark, seen: judged?.verdict ?? 'none' };
    let maps = 0;
    void act(
      async () => {
        maps = (await api.put<VerdictGiven>(`publications/${publicationId}/verdicts`, wanted)).maps;
      },
      verdict === null ? 'The verdict is taken back.' : `Judged ${verdict}.`,
    ).then((done) => {
      if (done && verdict !== null) announce(`Judged ${verdict} in ${maps === 1 ? 'one map' : `${maps} maps`}.`);
    });
  };
  return { trouble, give };
}
