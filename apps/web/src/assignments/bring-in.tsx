import { useId, useState } from 'react';
import { useNavigate } from 'react-router';
import type { AssignmentDetail } from '@ichnograph/contract';
import { announce } from '../common/announcer';
import { api, ApiError, SaidError } from '../common/api';
import { useSend } from '../common/send';
import { ChooseFile } from '../ui/choose-file';
import { lineOfTrouble, placesIn } from './lines-of-file';

/** An assignment from a file; one that breaks a rule is refused with the lines that do. */
export function BringIn() {
  const id = useId();
  const navigate = useNavigate();
  const { trouble, fault, isSending, send } = useSend('everything');
  const [text, setText] = useState('');
  const bringIn = async (file: File): Promise<void> => {
    let made: AssignmentDetail | undefined;
    const post = async (): Promise<void> => {
      const read = (await file.text()).replace(/^\ufeff/, '');
      setText(read);
      made = await api.post<AssignmentDetail>('assignments', { file: parsed(file.name, read) });
    };
    if (!(await send(post)) || !made) return;
    announce(`${made.title} is brought in.`);
    await navigate(`/assignments/${made.id}/sheet`);
  };
  const places = placesIn(text, fault instanceof ApiError ? (fault.problem.problems ?? []) : []);
  return (
    <section aria-labelledby={`${id}-title`} className="border border-dashed border-[#8b9389] p-4">
      <h2 id={`${id}-title`} className="font-semibold">
        Bring in an assignment file
      </h2>
      <p className="mt-1 text-quiet">
        Brief, legend, terms, starter map and requirements travel in one file. A file that breaks a rule is refused with
        the place and the reason; nothing of it is taken half.
      </p>
      <div className="mt-3">
        <ChooseFile accept=".json,application/json" disabled={isSending} onFile={(file) => void bringIn(file)}>
          {isSending ? 'Reading …' : 'Choose a file'}
        </ChooseFile>
      </div>
      {trouble && (
        <div role="alert" className="words mt-4 border-l-4 border-madder bg-madder-wash px-3 py-2">
          <p>{trouble}</p>
          {places.length > 0 && (
            <ul className="mt-2 list-disc pl-5">
              {places.map(({ line, path, reason }, i) => (
                <li key={i}>
                  {line !== null && <>Line {line}: </>}
                  <code className="font-mono text-sm">{path}</code> {reason}
                </li>
              ))}
            </ul>
          )}
        </div>
      )}
    </section>
  );
}

function parsed(name: string, text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    throw new SaidError(
      `“${name}” was not taken: it is not JSON, or the file was cut short. Look at line ${lineOfTrouble(text)}.`,
    );
  }
}
