import { kindsUnknown, ontoLegend, openStoredAssignment, writeMap } from '@ichnograph/core';
import type { KindsPut, Legend, TopicMap } from '@ichnograph/core';
import type { Pile, PileEntry } from '@ichnograph/contract';
import { whoseFiles } from '@ichnograph/formats';
import type { Said } from '@ichnograph/formats';
import { FileUp } from 'lucide-react';
import { useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { KindsFields, UnderstoodOtherwise } from '../bringing-in';
import { api, SaidError, sentenceOfError } from '../common/api';
import { Page } from '../common/page';
import { useAssignment, usePile } from '../common/queries';
import { useSend } from '../common/send';
import { Waiting } from '../common/waiting';
import { MapPicture } from '../map';
import { filesIn, READABLE, readBeside } from '../map-files';
import { Button, buttonClass } from '../ui/button';
import { Trouble } from '../ui/field';
import { Table } from '../ui/table';

/** A file that was chosen, and what came of reading it. */
type Brought = {
  name: string;
  whose: string | null;
  /** whose it would be, who has begun a map already */ begun: string | null;
} & ({ map: TopicMap; said: readonly Said[] } | { refused: string });

/** The maps of a class from files: read, told whose they are, put right, and handed in all together. */
export function ClassFilesPage() {
  const pile = usePile(useParams().id!);
  if (pile.data === undefined) return <Waiting of={pile} what="Opening the class …" />;
  return <WithLegend pile={pile.data} />;
}

function WithLegend({ pile }: { pile: Pile }) {
  const assignment = useAssignment(pile.assignmentId);
  if (assignment.data === undefined) return <Waiting of={assignment} what="Opening the assignment …" />;
  return <ClassFiles pile={pile} legend={openStoredAssignment(assignment.data.file).legend} />;
}

const nameOf = ({ members }: PileEntry): string =>
  members.map(({ givenName, familyName }) => `${givenName} ${familyName}`).join(', ');

const nameIn = (entries: readonly PileEntry[], id: string): string =>
  entries.flatMap(({ members }) =>
    members.flatMap((one) => (one.id === id ? [`${one.givenName} ${one.familyName}`] : [])),
  )[0] ?? '';

function ClassFiles({ pile, legend }: { pile: Pile; legend: Legend }) {
  const navigate = useNavigate();
  const [brought, setBrought] = useState<readonly Brought[]>([]);
  const [reading, setReading] = useState<string | null>(null);
  const [looked, setLooked] = useState<string | null>(null);
  const [put, setPut] = useState<KindsPut>({});
  const { send, trouble, isSending, refuse } = useSend('everything');
  const turn = useRef(0);
  const waiting = pile.entries.filter(({ workId, left }) => workId === null && !left);
  // All of them, so that a file of somebody who has begun is not taken for somebody's of the same family.
  const people = pile.entries.flatMap((entry) => entry.members);
  const mayGet = new Set(waiting.flatMap((entry) => entry.members.map(({ id }) => id)));
  const look = async (files: readonly File[]): Promise<void> => {
    const mine = (turn.current += 1);
    refuse(null);
    setReading('Looking at the files …');
    try {
      const found = await filesIn(files);
      if (found.length === 0) throw new SaidError('None of these files can be read as a map.');
      const read: Omit<Brought, 'whose' | 'begun'>[] = [];
      for (const [i, file] of found.entries()) {
        if (mine !== turn.current) return;
        setReading(`Reading ${i + 1} of ${found.length}: ${file.name}`);
        read.push({ name: file.name, ...(await answerOf(file)) });
      }
      const whose = whoseFiles(
        read.map(({ name }) => name),
        people,
      );
      if (mine !== turn.current) return;
      setBrought(
        read.map((one, i) => {
          const id = whose[i] ?? null;
          const isTheirs = 'map' in one && id !== null && mayGet.has(id);
          return { ...one, whose: isTheirs ? id : null, begun: isTheirs ? null : id } as Brought;
        }),
      );
      setLooked(null);
    } catch (error) {
      refuse(error instanceof Error ? error : new Error(String(error)));
    } finally {
      if (mine === turn.current) setReading(null);
    }
  };
  const maps = brought.flatMap((one) => ('map' in one ? [one] : []));
  const unknown = {
    topics: [...new Set(maps.flatMap(({ map }) => kindsUnknown(map, legend).topics))],
    links: [...new Set(maps.flatMap(({ map }) => kindsUnknown(map, legend).links))],
  };
  const theirs = maps.filter(({ whose }) => whose !== null);
  const twice = new Set(theirs.map(({ whose }) => whose).filter((id, i, ids) => ids.indexOf(id) !== i));
  const handIn = (): Promise<boolean> =>
    send(
      async () => {
        await api.post(`brought-in/${pile.publicationId}`, {
          maps: theirs.map(({ name, whose, map }) => ({
            studentId: whose,
            fileName: name.slice(-255),
            map: writeMap(ontoLegend(map, legend, put)),
          })),
        });
        await navigate(`/piles/${pile.publicationId}`);
      },
      `${theirs.length === 1 ? 'One map is' : `${theirs.length} maps are`} handed in.`,
    );
  const shown = maps.find(({ name }) => name === looked);
  return (
    <Page
      title="Bring in maps of the class"
      tab={`Bring in: ${pile.title}`}
      lead={`${pile.title}, ${pile.className}. Maps that were made elsewhere are handed in for those who made them, checked and marked like the others. Nothing is handed in before you say so.`}
    >
      <div
        className="mb-4 flex flex-wrap items-center gap-3 border border-dashed border-[#8b9389] bg-white p-4"
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault();
          if (event.dataTransfer.files.length > 0) void look([...event.dataTransfer.files]);
        }}
      >
        <label
          className={`${buttonClass(brought.length === 0 ? 'action' : 'plain')} focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-action`}
        >
          <FileUp aria-hidden size={16} />
          {brought.length > 0 ? 'Choose other files' : 'Choose the files'}
          <input
            type="file"
            multiple
            accept={`.zip,${READABLE}`}
            className="sr-only"
            onChange={(event) => {
              const files = [...(event.target.files ?? [])];
              event.target.value = '';
              if (files.length > 0) void look(files);
            }}
          />
        </label>
        <span role="status" className="text-quiet">
          {reading ?? (brought.length === 0 ? 'or drop them here: single files, or a ZIP of them' : '')}
        </span>
      </div>
      <Trouble>{trouble}</Trouble>
      {waiting.length === 0 && <p className="mb-4 text-quiet">Everybody of this class has begun a map here already.</p>}
      {maps.length > 0 && (
        <div className="mb-4">
          <KindsFields {...unknown} legend={legend} put={put} onPut={setPut} />
        </div>
      )}
      {brought.length > 0 && (
        <>
          <Table columns={['File', 'What was read', 'Whose it is', { name: 'Look', unseen: true }]}>
            {brought.map((one, i) => (
              <tr key={`${i} ${one.name}`} className="border-b border-rule align-top">
                <td className="words max-w-72 py-2 pr-3">{one.name}</td>
                <td className="py-2 pr-3">
                  {'map' in one ? (
                    <>
                      {one.map.topics.length} topics, {one.map.links.length} links
                      {one.said.length > 0 && (
                        <span className="block text-sm text-quiet">{one.said.length} understood otherwise</span>
                      )}
                    </>
                  ) : (
                    <span className="text-madder">It {one.refused}.</span>
                  )}
                </td>
                <td className="py-2 pr-3">
                  {'map' in one && (
                    <>
                      <select
                        className="field w-auto py-1"
                        aria-label={`Whose is ${one.name}`}
                        value={one.whose ?? ''}
                        onChange={({ target: { value } }) =>
                          setBrought(brought.map((other) => (other === one ? { ...one, whose: value || null } : other)))
                        }
                      >
                        <option value="">nobody’s: leave it out</option>
                        {waiting.map((entry) => (
                          <option key={entry.members[0]!.id} value={entry.members[0]!.id}>
                            {nameOf(entry)}
                          </option>
                        ))}
                      </select>
                      {one.whose === null && one.begun !== null && (
                        <span className="block text-sm text-quiet">
                          {nameIn(pile.entries, one.begun)} has begun a map already: it stays
                        </span>
                      )}
                      {twice.has(one.whose) && (
                        <span className="block text-sm text-madder">Two files for one person</span>
                      )}
                    </>
                  )}
                </td>
                <td className="py-2 text-right">
                  {'map' in one && (
                    <Button
                      small
                      aria-pressed={looked === one.name}
                      onClick={() => setLooked(looked === one.name ? null : one.name)}
                    >
                      {looked === one.name ? 'Put away' : 'Look at it'}
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </Table>
          {shown && <Shown one={shown} map={ontoLegend(shown.map, legend, put)} legend={legend} />}
          <div className="mt-4 flex flex-wrap items-center justify-end gap-3">
            <span className="text-quiet">
              {waiting.length - new Set(theirs.map(({ whose }) => whose)).size === 0
                ? 'Nobody is left without a map.'
                : `${waiting.length - new Set(theirs.map(({ whose }) => whose)).size} of the class have none among these.`}
            </span>
            <Button
              look="action"
              disabled={isSending || reading !== null || theirs.length === 0 || twice.size > 0}
              onClick={() => void handIn()}
            >
              {theirs.length === 1 ? 'Hand in one map' : `Hand in ${theirs.length} maps`}
            </Button>
          </div>
        </>
      )}
    </Page>
  );
}

/** What was understood of one file, or why nothing was. */
async function answerOf(file: Parameters<typeof readBeside>[0]) {
  try {
    const answer = await readBeside(file);
    return 'map' in answer ? { map: answer.map, said: answer.said } : { refused: answer.refused };
  } catch (error) {
    if (!(error instanceof SaidError)) throw error;
    return { refused: `cannot be read: ${sentenceOfError(error)}`.replace(/\.$/, '') };
  }
}

/** A map as it will be handed in. */
function Shown({
  one: { name, said },
  map,
  legend,
}: {
  one: { name: string; said: readonly Said[] };
  map: TopicMap;
  legend: Legend;
}) {
  return (
    <section aria-label={`${name} as it will be`} className="mt-4 grid gap-3 lg:grid-cols-[2fr_1fr]">
      <div className="h-80 overflow-hidden border border-rule bg-canvas">
        <MapPicture bare map={map} legend={legend} title={name} />
      </div>
      {said.length > 0 && (
        <div>
          <h2 className="mb-1 font-semibold">Understood otherwise</h2>
          <UnderstoodOtherwise said={said} className="max-h-72" />
        </div>
      )}
    </section>
  );
}
