import { ownWords } from '@ichnograph/core';
import type { OwnWord } from '@ichnograph/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { useEditor, useEditorState } from '../editor';
import { dictionaryFor, openSpelling } from '../checking/spelling';

/** Own words that the dictionary of the assignment's language does not know. Nothing is changed unasked. */
export function SpellingDialog({
  open,
  onOpenChange,
  onGo,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onGo: (ids: readonly string[]) => void;
}) {
  const { assignment } = useEditor();
  const language = dictionaryFor(assignment.language);
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Spelling"
      description="Words of your own that the dictionary does not know. It does not know everything."
    >
      {language === null ? (
        <p>There is no dictionary for the language of this assignment.</p>
      ) : (
        <Words language={language} onGo={onGo} />
      )}
    </Dialog>
  );
}

function Words({ language, onGo }: { language: string; onGo: (ids: readonly string[]) => void }) {
  const { actions, assignment } = useEditor();
  const map = useEditorState((state) => state.map);
  const words = useMemo(() => ownWords(map, assignment), [map, assignment]);
  const [unknown, setUnknown] = useState<ReadonlySet<string> | null>(null);
  const [others, setOthers] = useState<Readonly<Record<string, readonly string[]>>>({});
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [failed, setFailed] = useState(false);
  const spelling = useRef<ReturnType<typeof openSpelling> | null>(null);
  useEffect(() => {
    spelling.current = openSpelling(language, (answer) => {
      if ('failed' in answer) setFailed(true);
      else if ('unknown' in answer) setUnknown(new Set(answer.unknown));
      else setOthers((before) => ({ ...before, [answer.suggestFor]: answer.others }));
    });
    return () => spelling.current?.close();
  }, [language]);
  useEffect(() => spelling.current?.ask({ words: words.map(({ word }) => word) }), [words]);
  if (failed) return <p className="text-ochre">The dictionary could not be opened. Close this and try again.</p>;
  if (!unknown) return <p role="status">Opening the dictionary …</p>;
  const shown = words.filter(({ word }) => unknown.has(word) && !left.has(word));
  if (shown.length === 0) return <p role="status">Every word of yours is one that the dictionary knows.</p>;
  return (
    <ul className="grid gap-1">
      {shown.map((one) => (
        <Word
          key={one.word}
          one={one}
          others={others[one.word]}
          onAsk={() => spelling.current?.ask({ suggestFor: one.word })}
          onTake={(as) => actions.respell(one.word, as)}
          onLeave={() => setLeft(new Set([...left, one.word]))}
          onGo={() => onGo(one.in)}
        />
      ))}
    </ul>
  );
}

function Word({
  one: { word, in: places },
  others,
  onAsk,
  onTake,
  onLeave,
  onGo,
}: {
  one: OwnWord;
  others: readonly string[] | undefined;
  onAsk: () => void;
  onTake: (as: string) => void;
  onLeave: () => void;
  onGo: () => void;
}) {
  return (
    <li className="border-b border-rule py-1.5">
      <div className="flex flex-wrap items-center gap-2">
        <button type="button" className="words min-w-0 flex-1 text-left font-semibold hover:underline" onClick={onGo}>
          {word}
          <span className="ml-2 text-xs font-normal text-quiet">
            {places.length === 1 ? 'in one place' : `in ${places.length} places`}
          </span>
        </button>
        {others === undefined && (
          <Button small onClick={onAsk} aria-label={`What might ${word} be?`}>
            What might it be?
          </Button>
        )}
        <Button small look="quiet" onClick={onLeave} aria-label={`Leave ${word} as it is`}>
          Leave it
        </Button>
      </div>
      {others && (
        <div className="mt-1 flex flex-wrap items-center gap-1">
          {others.length === 0 && <span className="text-sm text-quiet">Nothing like it is known.</span>}
          {others.map((other) => (
            <Button key={other} small onClick={() => onTake(other)}>
              {other}
            </Button>
          ))}
        </div>
      )}
    </li>
  );
}
