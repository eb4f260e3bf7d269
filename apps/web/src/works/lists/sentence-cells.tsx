import { isBlank, kindOfLink } from '@ichnograph/core';
import type { Assignment, SentenceRow } from '@ichnograph/core';
import { FlagSigns } from './flag-signs';

/** The columns, in their order; a legend with one kind of link has no column for kinds. */
export const COLUMNS = ['from', 'phrase', 'to', 'kind', 'level', 'crosses', 'checks'] as const;
export type Column = (typeof COLUMNS)[number];
export const NAMES: Record<Column, string> = {
  from: 'From',
  phrase: 'Words',
  to: 'To',
  kind: 'Kind of link',
  level: 'Level',
  crosses: 'Across',
  checks: 'Checks',
};

/** What stands in a cell of a sentence while nothing is typed in it. */
export function CellWords({
  column,
  row: { link, from, to, fromKind, toKind, linkKind, level, crosses, concern },
  assignment: { legend, styleMode },
  flags,
  mayEdit,
  onKind,
  onTopicKind,
  onBack,
}: {
  column: Column;
  row: SentenceRow;
  assignment: Assignment;
  flags: readonly { requirement: string; words: string }[];
  mayEdit: boolean;
  onKind: (kind: string | null) => void;
  onTopicKind: (topic: string, kind: string | null) => void;
  /** gives the focus back to the cell */
  onBack: () => void;
}) {
  switch (column) {
    case 'from':
    case 'to': {
      const [topic, kind] = column === 'from' ? [from, fromKind] : [to, toKind];
      return (
        <span dir="auto" className="whitespace-pre-line">
          {isBlank(topic.text) ? <span className="text-quiet">without words</span> : topic.text}
          {mayEdit && styleMode === 'guided' ? (
            <KindSelect
              label={`Kind of ${topic.text}`}
              kinds={legend.topicKinds}
              value={topic.kind}
              onChange={(next) => onTopicKind(topic.id, next)}
              onBack={onBack}
            />
          ) : (
            kind !== '' && <span className="ml-1.5 text-sm text-quiet">{kind}</span>
          )}
        </span>
      );
    }
    case 'phrase':
      return concern === 'blank' ? (
        <span className="text-madder">no words yet</span>
      ) : isBlank(link.phrase) ? (
        <span className="text-quiet">{linkKind}</span>
      ) : (
        <span dir="auto" className="whitespace-pre-line">
          <b className="font-semibold text-action">{link.phrase}</b>
          {concern === 'vague' && <span className="ml-1.5 text-sm text-ochre">vague</span>}
        </span>
      );
    case 'kind': {
      const kind = kindOfLink(legend, link.kind);
      return mayEdit ? (
        <KindSelect
          label="Kind of this link"
          kinds={legend.linkKinds}
          value={kind?.id ?? null}
          onChange={onKind}
          onBack={onBack}
        />
      ) : (
        <span className="text-sm">{kind?.name}</span>
      );
    }
    case 'level':
      return <span className="font-mono text-sm">{level ?? '–'}</span>;
    case 'crosses':
      return crosses ? <span className="text-sm">cross-link</span> : null;
    case 'checks':
      return <FlagSigns flags={flags} />;
  }
}

/** A kind, changed where it stands; Enter, Escape and Tab go back to the cell. */
function KindSelect({
  label,
  kinds,
  value,
  onChange,
  onBack,
}: {
  label: string;
  kinds: readonly { id: string; name: string }[];
  value: string | null;
  onChange: (kind: string | null) => void;
  onBack: () => void;
}) {
  const isKnown = kinds.some(({ id }) => id === value);
  return (
    <select
      tabIndex={-1}
      // It reads as words among words; its sign would make a row of them a row of buttons.
      className="ml-1.5 max-w-full cursor-pointer appearance-none bg-transparent text-sm text-quiet hover:underline"
      style={{ fieldSizing: 'content' } as object}
      aria-label={label}
      value={isKnown ? value! : ''}
      onChange={({ target }) => onChange(target.value || null)}
      onKeyDown={(event) => {
        if (event.key !== 'Escape' && event.key !== 'Enter' && event.key !== 'Tab') return;
        event.preventDefault();
        event.stopPropagation();
        onBack();
      }}
    >
      {!isKnown && <option value="">no kind</option>}
      {kinds.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}
