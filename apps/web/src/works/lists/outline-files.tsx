import type { TopicMap } from '@ichnograph/core';
import { FileText, Text } from 'lucide-react';
import { SaidError } from '../../common/api';
import { fileName, saveAs } from '../../common/save-as';
import { useSend } from '../../common/send';
import { Button } from '../../ui/button';
import { Trouble } from '../../ui/field';

/** The outline as a file, to go on writing with elsewhere. */
export function OutlineFiles({ map }: { map: TopicMap }) {
  const name = fileName(map.title || 'Map');
  const { trouble, send } = useSend([]);
  const save = (as: 'md' | 'docx', said: string): Promise<boolean> =>
    send(async () => {
      const { written } = await import('../../map-files').catch(() => {
        throw new SaidError('The part that writes it did not load. Try again when you are connected.');
      });
      saveAs(`${name}.${as}`, await written(as, map, map.legend, as === 'docx' ? { with: ['outline', 'notes'] } : {}));
    }, said);
  return (
    <>
      <Trouble>{trouble}</Trouble>
      <Button small onClick={() => void save('md', 'The outline is saved as text.')}>
        <Text aria-hidden size={14} />
        Save as text
      </Button>
      <Button small onClick={() => void save('docx', 'The outline is saved for a word processor.')}>
        <FileText aria-hidden size={14} />
        Save for a word processor
      </Button>
    </>
  );
}
