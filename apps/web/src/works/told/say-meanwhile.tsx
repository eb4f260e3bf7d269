import type { NewComment } from '@ichnograph/contract';
import { api } from '../../common/api';
import { useWords } from '../../common/drafts';
import { useSend } from '../../common/send';
import { subjectAt, subjectOf } from '../../map';
import { Button } from '../../ui/button';
import { Trouble } from '../../ui/field';
import { Writing } from '../../ui/writing';
import { useEditorState } from '../editor';
import type { OpenWork } from '../use-live-work';

/** What a teacher says on a map that is still drawn: read at once, on what is chosen or on the whole. */
export function SayMeanwhile({ workId, open: { assignment } }: { workId: string; open: OpenWork }) {
  const map = useEditorState((state) => state.map);
  const selected = useEditorState((state) => state.selection);
  const { text, setText, takes } = useWords(`word on ${workId}`);
  const { trouble, send } = useSend([`works/${workId}`]);
  const [chosen] = selected.length === 1 ? selected : [];
  const subject = subjectAt(map, chosen);
  const say = (): void => {
    if (text.trim() === '') return;
    const { anchor, target } = subject;
    const wanted: NewComment = { anchor, text: text.trim(), ...(target !== null && { target }) };
    void send(() => api.post(`works/${workId}/comments`, wanted), 'It is said, and can be read now.', { takes });
  };
  return (
    <form
      className="border-b border-rule px-3.5 pb-3 pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        say();
      }}
    >
      <Trouble>{trouble}</Trouble>
      <label className="block">
        <span className="words mb-1 block text-sm text-quiet">{subjectOf(map, assignment.legend, subject)}</span>
        <Writing placeholder="Say something while it is drawn …" value={text} onText={setText} onSend={say} />
      </label>
      <Button small type="submit" disabled={text.trim() === ''}>
        Say it now
      </Button>
    </form>
  );
}
