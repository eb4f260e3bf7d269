import { readOutline } from '../outline/outline.js';
import { starterFrom } from '../outline/starter.js';
import type { Assignment, Criterion, Level, LinkKind, Term, TopicKind, TopicMap } from '../map/types.js';
import { PALETTES } from '../sheet/palettes.js';
import { assignmentOf } from '../sheet/sheet.js';
import type { Sheet } from '../sheet/sheet.js';

/** A kind as a plan says it; its looks come from the plan's palette, in order. */
export interface PlannedKind extends Pick<TopicKind, 'id' | 'name' | 'purpose' | 'givenBy'> {
  root?: true;
  structural?: false;
}

type PlannedRequirement = [type: string, params: Record<string, unknown>, level: Level, points: number, hint?: string];

/** A ready-made assignment, said as shortly as it can be. */
export interface Plan {
  id: string;
  title: string;
  focusQuestion: string;
  brief: string;
  /** for the teacher: when it serves, and what to change first */
  guidance: string;
  palette: string;
  kinds: readonly PlannedKind[];
  linkKinds?: readonly LinkKind[];
  /** what is on the map at the start, as an outline; a line that ends in “…” is a prompt */
  outline: string;
  /** kinds of the outline's levels */
  levels: readonly string[];
  /** terms that wait in the bank, each with its kind */
  bank?: readonly [text: string, kind: string][];
  requirements: readonly PlannedRequirement[];
  criteria: readonly [name: string, levels: readonly [name: string, points: number, description: string][]][];
}

export interface ReadyMade {
  id: string;
  sheet: Sheet;
  starter: TopicMap;
}

export function readyMadeOf(plan: Plan): ReadyMade {
  const { id, title, focusQuestion, brief, guidance } = plan;
  const looks = PALETTES.find((one) => one.id === plan.palette)!.looks;
  const { terms } = readOutline(plan.outline, plan.levels);
  const onMap = terms.map(({ text, under, kind }): Term => ({ text, under, kind, place: 'map' }));
  const inBank = (plan.bank ?? []).map(([text, kind]): Term => ({ text, kind, place: 'bank' }));
  const sheet: Sheet = {
    task: { title, focusQuestion, brief, language: 'en', guidance },
    legend: {
      styleMode: 'guided',
      looks: 'open',
      legend: {
        topicKinds: plan.kinds.map((kind, i) => ({ ...kind, ...looks[i]! })),
        linkKinds: [...(plan.linkKinds ?? [{ id: 'says', name: 'says' }])],
      },
    },
    // A prompt is continued, so its words are no term to be found again.
    terms: { terms: [...onMap.filter(({ text }) => !isPrompt(text)), ...inBank] },
    requirements: {
      requirements: plan.requirements.map(([type, params, level, points, hint], i) => ({
        id: `r${i + 1}`,
        type,
        params,
        level,
        points,
        ...(hint !== undefined && { hint }),
      })),
    },
    criteria: {
      criteria: plan.criteria.map(([name, levels], i): Criterion => ({
        id: `c${i + 1}`,
        name,
        levels: levels.map(([level, points, description]) => ({ name: level, points, description })),
      })),
    },
    marks: {},
  };
  const drawn = starterFrom({ ...assignmentOf(sheet, NO_MAPS), terms: onMap });
  const starter = {
    ...drawn,
    topics: drawn.topics.map((topic) => (isPrompt(topic.text) ? { ...topic, toComplete: true } : topic)),
  };
  return { id, sheet, starter };
}

const NO_MAPS = { starter: null, reference: null };
const isPrompt = (text: string): boolean => text.endsWith('…');

/** The same as one assignment. */
export const assignmentOfReadyMade = ({ sheet, starter }: ReadyMade): Assignment =>
  assignmentOf(sheet, { starter, reference: null });
