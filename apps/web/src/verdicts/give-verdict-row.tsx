import type { VerdictRow } from '@ichnograph/contract';
import { MessageSquareText } from 'lucide-react';
import { useRef, useState } from 'react';
import type { KeyboardEvent } from 'react';
import { focusOn } from '../common/focus-on';
import { VERDICT_LOOKS } from './verdict-sign';

export interface Given {
  verdict: VerdictRow['verdict'] | null;
  thin: boolean;
  remark: string;
}

/** The four words, by the keys 1 to 4; what is true but thin is sound, and asks to say how. */
const WORDS = [
  { key: '1', verdict: 'sound', thin: false, word: 'Sound' },
  { key: '2', verdict: 'sound', thin: true, word: 'Say how' },
  { key: '3', verdict: 'shaky', thin: false, word: 'Shaky' },
  { key: '4', verdict: 'wrong', thin: false, word: 'Wrong' },
] as const;

const SAY_HOW = 'True. Say how, or by what.';

/**
 * The verdict on one sentence, with its remark. Its buttons are one stop of the keyboard: 1 to 4 give a word and go on
 * to the next, 0 takes it back, R writes the remark.
 */
export function GiveVerdictRow({
  of,
  judged,
  roomy = false,
  onGive,
  onStep,
}: {
  /** the sentence, for those who listen */
  of: string;
  judged: VerdictRow | null;
  /** whether there is room for columns, so that nothing moves when a verdict is given */
  roomy?: boolean;
  /** answers whether it was taken */
  onGive: (given: Given) => Promise<boolean>;
  /** goes to the sentence after this, or before it */
  onStep?: (by: 1 | -1) => void;
}) {
  const [remark, showRemark] = useState<string | null>(null);
  /** what stands in the field now: it is left within the very key that keeps it */
  const typed = useRef<string | null>(null);
  const setRemark = (next: string | null): void => {
    typed.current = next;
    showRemark(next);
  };
  const give = (verdict: Given['verdict'], thin: boolean): void => {
    const isSame = judged?.verdict === verdict && judged?.thin === thin;
    const said = judged?.remark && judged.remark !== SAY_HOW ? judged.remark : '';
    void onGive(
      isSame ? { verdict: null, thin: false, remark: '' } : { verdict, thin, remark: said || (thin ? SAY_HOW : '') },
    );
  };
  const onKey = (event: KeyboardEvent): void => {
    if (event.altKey || event.ctrlKey || event.metaKey || event.target instanceof HTMLInputElement) return;
    const word = WORDS.find(({ key }) => key === event.key);
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key] as 1 | -1 | undefined;
    if (word) {
      give(word.verdict, word.thin);
      onStep?.(1);
    } else if (event.key === '0' && judged) void onGive({ verdict: null, thin: false, remark: '' });
    else if (event.key.toLowerCase() === 'r' && judged) setRemark(judged.remark);
    else if (step && onStep) onStep(step);
    else return;
    event.preventDefault();
  };
  const row = useRef<HTMLDivElement>(null);
  /** @param goesBack whether the focus goes back to the words of the verdict: not where the field was left for something else */
  const keep = (goesBack: boolean): void => {
    const said = typed.current?.trim();
    setRemark(null);
    if (goesBack) focusOn(() => row.current?.querySelector<HTMLElement>('[data-verdict][tabindex="0"]'));
    if (!judged || said === undefined || said === judged.remark) return;
    // What was refused is not lost: it stands in its field again.
    void onGive({ verdict: judged.verdict, thin: judged.thin, remark: said }).then((isTaken) => {
      if (!isTaken) setRemark(said);
    });
  };
  return (
    <div ref={row} onKeyDown={onKey}>
      <div role="group" aria-label={`Verdict on “${of}”`} className="flex flex-wrap items-center gap-1">
        {WORDS.map(({ key, verdict, thin, word }, i) => {
          const isIt = judged?.verdict === verdict && judged.thin === thin;
          const { Icon, ink } = VERDICT_LOOKS[verdict];
          return (
            <button
              key={key}
              type="button"
              aria-pressed={isIt}
              tabIndex={judged ? (isIt ? 0 : -1) : i === 0 ? 0 : -1}
              title={`${word} (${key})`}
              data-verdict={word}
              className={`inline-flex items-center gap-0.5 rounded-sm border px-1 py-0.5 text-sm font-semibold pointer-coarse:min-h-11 ${roomy ? 'min-w-[4.6rem] justify-center' : ''} ${isIt ? `border-current bg-white ${ink}` : 'border-rule bg-white text-quiet hover:bg-canvas hover:text-ink'}`}
              onClick={() => give(verdict, thin)}
            >
              {isIt && <Icon aria-hidden size={13} />}
              {word}
            </button>
          );
        })}
        {roomy && !judged && <span className="w-[1.125rem] pointer-coarse:w-11" />}
        {judged && remark === null && (
          <button
            type="button"
            aria-label={judged.remark ? 'Change the remark' : 'Write a remark'}
            title="Remark (R)"
            className="rounded-sm p-0.5 text-quiet hover:bg-canvas hover:text-ink pointer-coarse:min-h-11 pointer-coarse:min-w-11"
            onClick={() => setRemark(judged.remark)}
          >
            <MessageSquareText aria-hidden size={14} />
          </button>
        )}
      </div>
      {remark !== null ? (
        <input
          aria-label={`Remark on “${of}”`}
          className="field mt-1 py-0.5"
          maxLength={2000}
          autoFocus
          placeholder="Enter keeps it, Escape leaves it"
          value={remark}
          onChange={({ target }) => setRemark(target.value)}
          onBlur={() => keep(false)}
          onKeyDown={(event) => {
            if (event.nativeEvent.isComposing) return;
            if (event.key === 'Escape') setRemark(null);
            if (event.key === 'Enter') {
              event.preventDefault();
              keep(true);
            }
          }}
        />
      ) : (
        judged?.remark && <p className="words mt-0.5 border-l-2 border-indigo pl-2 text-sm">{judged.remark}</p>
      )}
    </div>
  );
}
