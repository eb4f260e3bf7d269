import { matchText } from '../../map/terms.js';
import type { Assignment, Requirement, Topic, TopicKind } from '../../map/types.js';
import { withDefaults } from '../../requirements/params.js';
import { requirementTypeOf } from '../../requirements/registry.js';
import type { ParamsFor, RequirementId } from '../../requirements/registry.js';
import type { RequirementType } from '../../requirements/types.js';
import { requirementSentence } from '../../wording/say.js';
import { isStructural } from '../../map/kinds.js';

/** What cannot work in an assignment's requirements: a code, whose requirements it is, and a sentence for the teacher. */
export interface Finding {
  code: string;
  requirements: string[];
  sentence: string;
}

export interface Asked<P = Record<string, unknown>> {
  id: string;
  requirement: Requirement;
  type: RequirementType & { id: RequirementId };
  /** with the defaults in place */
  params: P;
  sentence: string;
}

export type AskedOf<I extends RequirementId> = Asked<ParamsFor<I>>;

/** A rule looks at the whole sheet and says what cannot work. */
export type Rule = (sheet: Sheet) => Finding[];

/** An assignment made ready to be looked over. */
export class Sheet {
  readonly asked: readonly Asked[];

  constructor(readonly assignment: Assignment) {
    this.asked = assignment.requirements.flatMap((requirement): Asked[] => {
      const type = requirementTypeOf(requirement.type);
      if (!type) return [];
      const params = withDefaults(type, requirement.params);
      return [
        { id: requirement.id, requirement, type, params, sentence: requirementSentence(requirement, assignment) },
      ];
    });
  }

  /** The requirements of one type, their parameters typed by it: readers of files refused any other. */
  of<I extends RequirementId>(type: I): AskedOf<I>[] {
    return this.asked.filter((one): one is AskedOf<I> => one.type.id === type);
  }

  kind(id: string | null | undefined): TopicKind | undefined {
    return this.assignment.legend.topicKinds.find((kind) => kind.id === id);
  }

  /** Whether what has this kind belongs to the structure; no kind does. */
  isStructural = (id: string | null | undefined): boolean => isStructural(this.kind(id));

  /** The kind that a text will have on the map, from its term or else from the maps; undefined: nobody can tell. */
  kindOfText(text: string): string | undefined {
    const { terms, language } = this.assignment;
    const term = terms.find((one) => matchText(text, terms, [asTopic(one.text)], language) !== null);
    return term?.kind ?? undefined;
  }

  /** Whether some term, or some topic of the starter or the reference, has this text. */
  knows(text: string): boolean {
    const { terms, starter, reference, language } = this.assignment;
    const wordings = terms.flatMap(({ text: own, accept = [] }) => [own, ...accept]).map(asTopic);
    return [wordings, starter?.topics ?? [], reference?.topics ?? []].some(
      (topics) => matchText(text, terms, topics, language) !== null,
    );
  }

  /** Whether there is anything that texts could be looked for in. */
  get hasTexts(): boolean {
    const { terms, starter, reference } = this.assignment;
    return terms.length > 0 || (starter?.topics.length ?? 0) > 0 || (reference?.topics.length ?? 0) > 0;
  }
}

const asTopic = (text: string, i = 0): Topic => ({
  id: `text-${i}`,
  text,
  kind: null,
  x: 0,
  y: 0,
  width: 1,
  height: 1,
});

export const finding = (code: string, asked: readonly { id: string }[], sentence: string): Finding => ({
  code,
  requirements: [...new Set(asked.map(({ id }) => id))],
  sentence,
});
