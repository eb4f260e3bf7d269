import type { ClassInsight, GiveVerdict, VerdictGiven, VerdictRow } from '@ichnograph/contract';
import { announce } from '../common/announcer';
import { api } from '../common/api';
import { useSend } from '../common/send';
import type { Given } from '../verdicts';

/** Gives one verdict to everything the class says by these keys. */
export function useGiveVerdict({ publicationId }: Pick<ClassInsight, 'publicationId'>) {
  const { trouble, send } = useSend([`publications/${publicationId}`]);
  const give = async (
    keys: readonly string[],
    { verdict, thin, remark }: Given,
    judged: VerdictRow | null,
  ): Promise<boolean> => {
    const wanted: GiveVerdict = { keys: [...keys], verdict, thin, remark, seen: judged?.verdict ?? 'none' };
    let given: VerdictGiven = { maps: 0, returned: 0 };
    const put = async (): Promise<void> =>
      void (given = await api.put<VerdictGiven>(`publications/${publicationId}/verdicts`, wanted));
    const as = `${keys.join()} ${verdict} ${thin} ${remark}`;
    const done = await send(put, verdict === null ? 'The verdict is taken back.' : '', { as });
    if (done && verdict !== null) announce(`Judged ${verdict} ${whereOf(given)}.`);
    return done;
  };
  return { trouble, give };
}

const many = (count: number): string => (count === 1 ? 'one map' : `${count} maps`);

/** Where a verdict holds now; maps that went back keep what they were returned with. */
const whereOf = ({ maps, returned }: VerdictGiven): string =>
  returned === 0
    ? `in ${many(maps)}`
    : `${maps === 0 ? 'for maps still to come' : `in ${many(maps)}`}; ${many(returned)} went back already and ${returned === 1 ? 'keeps' : 'keep'} what ${returned === 1 ? 'it was' : 'they were'} returned with`;
