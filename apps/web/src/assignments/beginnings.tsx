import { READY_MADE } from '@ichnograph/core';
import type { NewSheet, SheetDetail } from '@ichnograph/contract';
import { ChevronDown } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../common/api';
import { useReadyMade, useRulesInForce } from '../common/queries';
import { useSend } from '../common/send';
import { Button } from '../ui/button';
import { Trouble } from '../ui/field';
import { Menu, MenuItem } from '../ui/menu';

/** Begins a sheet, and goes to it. */
function useBegin() {
  const navigate = useNavigate();
  const { trouble, send } = useSend('everything');
  const begin = (wanted: NewSheet, said: string): void =>
    void send(async () => {
      const { id } = await api.post<SheetDetail>('assignments/sheets', wanted);
      await navigate(`/assignments/${id}/sheet`);
    }, said);
  return { trouble, begin };
}

/** A new sheet: empty, or with what one of one's classes keeps. */
export function NewAssignment() {
  const { trouble, begin } = useBegin();
  const rules = useRulesInForce().data ?? [];
  return (
    <>
      {trouble && <Trouble>{trouble}</Trouble>}
      <span className="inline-flex">
        <Button look="action" onClick={() => begin({}, 'A new sheet is begun.')}>
          New assignment
        </Button>
        {rules.length > 0 && (
          <Menu
            trigger={
              <Button look="action" className="ml-px px-1.5" aria-label="Begin with standing rules">
                <ChevronDown aria-hidden size={15} />
              </Button>
            }
          >
            {rules.map(({ classId, className }) => (
              <MenuItem
                key={classId}
                onSelect={() => begin({ forClass: classId }, `A sheet is begun with the rules of ${className}.`)}
              >
                With the standing rules of {className}
              </MenuItem>
            ))}
          </Menu>
        )}
      </span>
    </>
  );
}

/** A copy of one’s own, for the next year. */
export function CopyButton({ id, title }: { id: string; title: string }) {
  const { trouble, begin } = useBegin();
  return (
    <>
      {trouble && <Trouble>{trouble}</Trouble>}
      <Button small look="quiet" aria-label={`Copy ${title}`} onClick={() => begin({ copyOf: id }, 'A copy is made.')}>
        Copy
      </Button>
    </>
  );
}

/** Complete assignments to begin from: those that ship, and those that teachers of the school kept. */
export function ReadyMade() {
  const { trouble, begin } = useBegin();
  const taking = useSend('everything');
  const kept = useReadyMade().data ?? [];
  const [wanted, choose] = useState(READY_MADE[0]!.id);
  const chosen = kept.find(({ id }) => id === wanted);
  const guidance = chosen?.guidance ?? READY_MADE.find(({ id }) => id === wanted)?.guidance;
  return (
    <section aria-labelledby="ready-made" className="border border-dashed border-[#8b9389] p-4">
      <h2 id="ready-made" className="font-semibold">
        Begin from a ready-made one
      </h2>
      <Trouble>{trouble || taking.trouble}</Trouble>
      <select
        aria-label="Ready-made assignment"
        className="field mt-2"
        value={wanted}
        onChange={({ target }) => choose(target.value)}
      >
        {READY_MADE.map(({ id, title }) => (
          <option key={id} value={id}>
            {title}
          </option>
        ))}
        {kept.length > 0 && (
          <optgroup label="Kept at this school">
            {kept.map(({ id, title, owner }) => (
              <option key={id} value={id}>
                {title} · {owner.givenName} {owner.familyName}
              </option>
            ))}
          </optgroup>
        )}
      </select>
      <p className="words mt-2 min-h-10 text-sm text-quiet">{guidance}</p>
      <div className="mt-2 flex gap-2">
        <Button onClick={() => begin({ readyMade: wanted }, 'A sheet is begun from it.')}>Begin with it</Button>
        {chosen?.mine && (
          <Button
            look="quiet"
            onClick={() =>
              void taking
                .send(() => api.delete(`ready-made/${chosen.id}`), `${chosen.title} is ready-made no more.`)
                .then(() => choose(READY_MADE[0]!.id))
            }
          >
            Take it back
          </Button>
        )}
      </div>
    </section>
  );
}
