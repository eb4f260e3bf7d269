import { useId, useState } from 'react';
import { useNavigate } from 'react-router';
import type { AssignmentDetail } from '@ichnograph/contract';
import { alertAloud, announce } from '../common/announcer';
import { api, ApiError, sentenceOfError } from '../common/api';
import { refresh } from '../common/queries';
import { ChooseFile } from '../ui/choose-file';
import { lineOfTrouble, placesIn } from './lines-of-file';
import type { PlaceInFile } from './lines-of-file';

/** An assignment from a file; one that breaks a rule is refused with the lines that do. */
export function BringIn() {
  const id = useId();
  const navigate = useNavigate();
  const [trouble, setTrouble] = useState<{ words: string; places: readonly PlaceInFile[] } | null>(null);
  const [reading, setReading] = useState(false);
  const refuse = (words: string, places: readonly PlaceInFile[] = []): void => {
    setTrouble({ words, places });
    alertAloud(words);
  };
  const bringIn = async (file: File): Promise<void> => {
    setTrouble(null);
    setReading(true);
    const text = (await file.text()).replace(/^\ufeff/, '');
    try {
      const made = await api.post<AssignmentDetail>('assignments', { file: JSON.parse(text) as unknown });
      await refresh();
      announce(`${made.title} is brought in.`);
      await navigate(`/assignments/${made.id}/sheet`);
    } catch (error) {
      if (error instanceof SyntaxError)
        refuse(
          `“${file.name}” was not taken: it is not JSON, or the file was cut short. Look at line ${lineOfTrouble(text)}.`,
        );
      else
        refuse(sentenceOfError(error), placesIn(text, error instanceof ApiError ? (error.problem.problems ?? []) : []));
    } finally {
      setReading(false);
    }
  };
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
        <ChooseFile accept=".json,application/json" disabled={reading} onFile={(file) => void bringIn(file)}>
          {reading ? 'Reading …' : 'Choose a file'}
        </ChooseFile>
      </div>
      {trouble && (
        <div className="words mt-4 border-l-4 border-madder bg-madder-wash px-3 py-2">
          <p>{trouble.words}</p>
          {trouble.places.length > 0 && (
            <ul className="mt-2 list-disc pl-5">
              {trouble.places.map(({ line, path, reason }, i) => (
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
