import { kindsUnknown, ontoLegend, OWN_LEGEND } from '@ichnograph/core';
import type { KindsPut, Legend, TopicMap } from '@ichnograph/core';
import type { Columns, Said } from '@ichnograph/formats';
import { FileUp } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { useSend } from '../common/send';
import { MapPicture } from '../map';
import { Button } from '../ui/button';
import { ChooseFile } from '../ui/choose-file';
import { Trouble } from '../ui/field';
import { ColumnsFields } from './columns-fields';
import { KindsFields } from './kinds-fields';
import { UnderstoodOtherwise } from './understood-otherwise';
import { READABLE, readBeside } from '../map-files';
import type { ReadingAnswer } from '../map-files';

interface Brought {
  file: File;
  answer: ReadingAnswer;
}

/**
 * A file of another program as a map: read beside the page, drawn as it will be, with what was understood otherwise. Nothing
 * is made before it is confirmed.
 */
export interface BringInMapProps {
  /** what can be made of it, by what each button says */
  ways: readonly { yes: string; onMake: (map: TopicMap) => unknown }[];
  /** the legend that tells its kinds; left out, it keeps its own */
  legend?: Legend | undefined;
  /** a file that was dropped or pasted elsewhere, read at once */
  file?: File | null | undefined;
}

export function BringInMap({ ways, legend, file: given = null }: BringInMapProps) {
  const [brought, setBrought] = useState<Brought | null>(null);
  const { send, trouble, isSending } = useSend('everything');
  const asked = useRef(0);
  const look = (file: File, columns?: Columns): Promise<boolean> => {
    const turn = (asked.current += 1);
    // What another file said is not made by mistake when this one cannot be read.
    if (file !== brought?.file) setBrought(null);
    return send(
      async () => {
        const answer = await readBeside(file, columns);
        // Who chose on meanwhile sees what was asked last.
        if (turn === asked.current) setBrought({ file, answer });
      },
      '',
      { changes: [], as: `read ${file.name} ${JSON.stringify(columns)}` },
    );
  };
  const make = (map: TopicMap, { yes, onMake }: BringInMapProps['ways'][number]): Promise<boolean> =>
    send(
      async () => onMake({ ...map, title: map.title || withoutEnding(brought!.file.name) }),
      `${brought!.file.name} is brought in.`,
      { as: yes },
    );
  const [put, setPut] = useState<KindsPut>({});
  const begun = useRef<File | null>(null);
  useEffect(() => {
    if (!given || begun.current === given) return;
    begun.current = given;
    void look(given);
  });
  const answer = brought?.answer;
  return (
    <div
      className="grid gap-4"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const [file] = event.dataTransfer.files;
        if (file) void look(file);
      }}
    >
      <div className="flex flex-wrap items-center gap-3">
        <ChooseFile accept={READABLE} disabled={isSending} onFile={(file) => void look(file)}>
          <FileUp aria-hidden size={16} />
          {brought ? 'Choose another file' : 'Choose a file'}
        </ChooseFile>
        <span className="text-quiet" role="status">
          {isSending ? 'Reading …' : brought ? brought.file.name : 'or drop one here'}
        </span>
      </div>
      {!brought && <WhatCanBeRead />}
      {answer && answer.head.length > 2 && (
        <ColumnsFields
          key={brought.file.name}
          head={answer.head}
          onChange={(columns) => void look(brought.file, columns)}
        />
      )}
      {answer && 'refused' in answer && <Trouble>{`“${brought.file.name}” ${answer.refused}.`}</Trouble>}
      <Trouble>{trouble}</Trouble>
      {answer && 'map' in answer && legend && (
        <KindsFields {...kindsUnknown(answer.map, legend)} legend={legend} put={put} onPut={setPut} />
      )}
      {answer && 'map' in answer && (
        <Preview map={told(answer.map, legend, put)} said={answer.said} legend={legend}>
          {ways.map((way, i) => (
            <Button
              key={way.yes}
              look={i === 0 ? 'action' : 'plain'}
              disabled={isSending}
              onClick={() => void make(told(answer.map, legend, put), way)}
            >
              {way.yes}
            </Button>
          ))}
        </Preview>
      )}
    </div>
  );
}

function WhatCanBeRead() {
  return (
    <p className="text-quiet">
      A list or an outline (text, Markdown, OPML), a table of two or three columns (spreadsheet, CSV), a graph (GraphML,
      DOT), an XML Topic Map, or a map file from here.
    </p>
  );
}

/** The map as the legend it comes under tells it. */
const told = (map: TopicMap, legend: Legend | undefined, put: KindsPut): TopicMap =>
  legend ? ontoLegend(map, legend, put) : map;

function Preview({
  map,
  said,
  legend,
  children,
}: {
  map: TopicMap;
  said: readonly Said[];
  legend: Legend | undefined;
  children: ReactNode;
}) {
  const count = (list: readonly unknown[], word: string): string =>
    `${list.length} ${word}${list.length === 1 ? '' : 's'}`;
  return (
    <section aria-label="As it will be" className="grid gap-3">
      <p className="font-semibold" data-testid="understood">
        {count(map.topics, 'topic')} and {count(map.links, 'link')}
      </p>
      {map.topics.length > 0 && (
        <div className="h-64 overflow-hidden border border-rule bg-canvas">
          <MapPicture
            bare
            map={map}
            legend={legend ?? map.legend ?? OWN_LEGEND}
            title={map.title || 'The map as it will be'}
          />
        </div>
      )}
      {said.length > 0 && (
        <details open={said.length <= 6}>
          <summary className="cursor-pointer font-semibold">Understood otherwise: {said.length}</summary>
          <UnderstoodOtherwise said={said} className="mt-1 max-h-40" />
        </details>
      )}
      <div className="flex flex-wrap justify-end gap-2">{children}</div>
    </section>
  );
}

const withoutEnding = (name: string): string => name.replace(/\.[^.]+$/, '');
