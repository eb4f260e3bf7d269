import { api } from '../../common/api';
import { useAssignment } from '../../common/queries';
import { useSend } from '../../common/send';
import { Button } from '../../ui/button';
import { Trouble } from '../../ui/field';
import { useSheetPage } from '../use-sheet';

/** Stands over a sheet whose class amended its standing rules since. */
export function RulesToFollow() {
  const { detail, writing } = useSheetPage();
  const { follows } = useAssignment(detail.id).data ?? detail;
  const { trouble, send } = useSend('everything');
  if (!follows || follows.newest) return null;
  const follow = async (): Promise<void> => {
    await writing.flush();
    await api.post(`assignments/${detail.id}/follow-rules`);
    await writing.follow(
      (await api.post<{ versions: Record<string, number> }>(`assignments/${detail.id}/here`)).versions,
    );
  };
  return (
    <div className="-mx-6 border-b border-ochre bg-ochre-wash px-6 py-2">
      <div className="flex flex-wrap items-center gap-3">
        <p className="min-w-0 flex-1">
          The standing rules of {follows.className} were amended since this sheet began with them. What you changed by
          hand stays.
        </p>
        <Button small onClick={() => void send(follow, 'The sheet follows the amended rules.')}>
          Take them over
        </Button>
      </div>
      <Trouble>{trouble}</Trouble>
    </div>
  );
}
