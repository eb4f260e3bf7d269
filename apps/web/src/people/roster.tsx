import type { Card, ClassRow, Part, RosterEntry } from '@ichnograph/contract';
import { FileText, KeyRound, LogOut, MoreHorizontal, UserPlus } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../common/api';
import { readDraft } from '../common/drafts';
import { useAccounts, useColleagues, useMe, useRoster } from '../common/queries';
import { useSend } from '../common/send';
import type { Send } from '../common/send';
import { Button } from '../ui/button';
import { Confirm, Dialog } from '../ui/dialog';
import { Trouble } from '../ui/field';
import { Menu, MenuItem } from '../ui/menu';
import { WithWhy } from '../ui/with-why';
import { AddNames, namesDraft } from './add-names';
import { Table } from '../ui/table';

/** A class: who is in it, how more come in, and what can be done for one of them. */
export function Roster({
  of,
  classes,
  onCards,
}: {
  of: ClassRow;
  classes: readonly ClassRow[];
  /** gets cards that are shown this once */
  onCards: (cards: readonly Card[]) => void;
}) {
  const me = useMe();
  const roster = useRoster(of.id);
  const { trouble, send } = useSend('everything');
  // Names that were written before and not made are still there.
  const [adding, setAdding] = useState(() => readDraft(me.id, namesDraft(of.id)) !== null);
  const navigate = useNavigate();
  const [anew, setAnew] = useState<RosterEntry | null>(null);
  const mayManage = me.role === 'administrator' || of.part === 'teacher';
  if (adding)
    return (
      <AddNames
        of={of}
        known={(roster.data ?? []).map(({ givenName, familyName }) => `${givenName} ${familyName}`)}
        onMade={(made) => {
          setAdding(false);
          onCards(made);
        }}
        onCancel={() => setAdding(false)}
      />
    );
  const resetPassword = (person: RosterEntry): void =>
    void send(async () => {
      onCards([await api.post<Card>(`classes/${of.id}/people/${person.id}/reset-password`)]);
    }, `${person.givenName} has a first password again.`);
  return (
    <section aria-labelledby="roster" className="min-w-0">
      <div className="mb-3 flex flex-wrap items-center justify-between gap-3">
        <h2 id="roster" className="words text-lg font-semibold">
          {of.name}
          {of.archived && <span className="font-normal text-quiet"> · put away</span>}
        </h2>
        {mayManage && (
          <div className="flex flex-wrap gap-2">
            {!of.archived && (
              <>
                <StandingRules of={of} />
                <Colleague of={of} roster={roster.data ?? []} />
                <Button look="action" onClick={() => setAdding(true)}>
                  Add names …
                </Button>
              </>
            )}
            <Button
              onClick={() =>
                void send(
                  () => api.post(`classes/${of.id}/archive`, { archived: !of.archived }),
                  of.archived ? `${of.name} is back.` : `${of.name} is put away.`,
                )
              }
            >
              {of.archived ? 'Take it out again' : 'Put away'}
            </Button>
          </div>
        )}
      </div>
      <Trouble>{trouble}</Trouble>
      <Confirm
        open={anew !== null}
        title={`A new first password for ${anew?.givenName ?? ''}?`}
        yes="Give a new one"
        onAnswer={(yes) => {
          if (yes && anew) resetPassword(anew);
          setAnew(null);
        }}
      >
        The password {anew?.givenName} has now ends at once, and wherever they are signed in they are signed out. The
        new one is shown once.
      </Confirm>
      {mayManage && !of.archived && <JoinCode of={of} send={send} />}
      <Table columns={['Name', 'Signs in as', 'Part', { name: 'More', unseen: true, className: 'w-10' }]}>
        {(roster.data ?? []).map((person) => (
          <tr key={person.id} className="border-b border-rule">
            <td className="words py-1 pr-3">
              {person.givenName} {person.familyName}
            </td>
            <td className="words pr-3 font-mono text-sm">{person.name}</td>
            <td className="pr-3">{person.part}</td>
            <td className="text-right">
              {mayManage && person.id !== me.id && (
                <Menu
                  trigger={
                    <Button small look="quiet" aria-label={`More for ${person.givenName} ${person.familyName}`}>
                      <MoreHorizontal aria-hidden size={15} />
                    </Button>
                  }
                >
                  {person.part === 'student' && (
                    <MenuItem onSelect={() => setAnew(person)}>
                      <KeyRound aria-hidden size={14} /> New first password
                    </MenuItem>
                  )}
                  {person.part === 'student' &&
                    classes
                      .filter(({ id }) => id !== of.id)
                      .map(({ id, name }) => (
                        <MenuItem
                          key={id}
                          onSelect={() =>
                            void send(
                              () => api.post(`classes/${of.id}/people/${person.id}/move`, { to: id }),
                              `${person.givenName} is in ${name} now.`,
                            )
                          }
                        >
                          <LogOut aria-hidden size={14} /> Move to {name}
                        </MenuItem>
                      ))}
                  {me.role === 'administrator' && (
                    <MenuItem onSelect={() => void navigate(`/people/${person.id}`)}>
                      <FileText aria-hidden size={14} /> What is kept …
                    </MenuItem>
                  )}
                  <MenuItem
                    onSelect={() =>
                      void send(
                        () => api.delete(`classes/${of.id}/people/${person.id}`),
                        `${person.givenName} ${person.familyName} left ${of.name}.`,
                      )
                    }
                  >
                    <LogOut aria-hidden size={14} /> Take out of the class
                  </MenuItem>
                </Menu>
              )}
            </td>
          </tr>
        ))}
      </Table>
      {roster.data?.every(({ part }) => part !== 'student') && (
        <p className="mt-3 text-quiet">
          No students yet. Add their names, and you get a page of cards with first passwords to hand out.
        </p>
      )}
    </section>
  );
}

/** To what the class keeps for its assignments; for those who teach it. */
function StandingRules({ of }: { of: ClassRow }) {
  const navigate = useNavigate();
  const { trouble, send } = useSend('everything');
  if (of.part !== 'teacher') return null;
  const open = async (): Promise<void> => {
    const { assignmentId } = await api.post<{ assignmentId: string }>(`classes/${of.id}/standing-rules`);
    await navigate(`/assignments/${assignmentId}/sheet`);
  };
  return (
    <WithWhy trouble={trouble}>
      {(says) => (
        <Button {...says} onClick={() => void send(open, `The standing rules of ${of.name}.`)}>
          Standing rules
        </Button>
      )}
    </WithWhy>
  );
}

function JoinCode({ of, send }: { of: ClassRow; send: Send }) {
  const set = (open: boolean, said: string): void =>
    void send(() => api.post(`classes/${of.id}/join-code`, { open }), said);
  return (
    <p className="mb-3 flex flex-wrap items-center gap-3 text-sm">
      {of.joinCode ? (
        <>
          <span>
            Students who have an account come in with the code{' '}
            <strong className="font-mono text-lg" data-testid="join-code">
              {of.joinCode.slice(0, 4)}-{of.joinCode.slice(4)}
            </strong>
          </span>
          <Button small onClick={() => set(true, 'The class has another code.')}>
            Another code
          </Button>
          <Button small onClick={() => set(false, 'Nobody comes in by a code any more.')}>
            Close it
          </Button>
        </>
      ) : (
        <>
          <span className="text-quiet">Students who have an account can come in by a code.</span>
          <Button small onClick={() => set(true, 'The class has a join code.')}>
            Open a join code
          </Button>
        </>
      )}
    </p>
  );
}

/** Another teacher or an assistant for the class; the administrator lets in whom they like. */
function Colleague({ of, roster }: { of: ClassRow; roster: readonly RosterEntry[] }) {
  const { role } = useMe();
  const colleagues = useColleagues();
  const accounts = useAccounts(role === 'administrator');
  const { trouble, send } = useSend('everything');
  const [open, setOpen] = useState(false);
  const [accountId, setAccountId] = useState('');
  const [part, setPart] = useState<Part>('assistant');
  const students = (accounts.data ?? []).filter((one) => one.role === 'student');
  const free = [...(colleagues.data ?? []), ...students].filter(({ id }) => !roster.some((one) => one.id === id));
  const isStudent = students.some(({ id }) => id === accountId);
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <UserPlus aria-hidden size={14} />
        Add a colleague
      </Button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title={`Who else is in ${of.name}?`}
        description="A teacher sets and marks; an assistant marks."
      >
        <form
          className="grid gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            void send(
              () => api.post(`classes/${of.id}/people`, { accountId, part: isStudent ? 'student' : part }),
              'Added to the class.',
            ).then((done) => {
              if (done) setOpen(false);
            });
          }}
        >
          <Trouble>{trouble}</Trouble>
          <label>
            <span className="mb-1 block font-semibold">Person</span>
            <select
              className="field"
              data-autofocus
              value={accountId}
              onChange={(event) => setAccountId(event.target.value)}
            >
              <option value="">Choose …</option>
              {free.map(({ id, givenName, familyName }) => (
                <option key={id} value={id}>
                  {givenName} {familyName}
                </option>
              ))}
            </select>
          </label>
          {!isStudent && (
            <label>
              <span className="mb-1 block font-semibold">Part</span>
              <select className="field" value={part} onChange={(event) => setPart(event.target.value as Part)}>
                <option value="assistant">assistant</option>
                <option value="teacher">teacher</option>
              </select>
            </label>
          )}
          <Button type="submit" look="action" disabled={accountId === ''}>
            Add to the class
          </Button>
        </form>
      </Dialog>
    </>
  );
}
