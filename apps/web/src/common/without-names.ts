import type { CommentRow, Person, Pile, RemarkPlace, SubmissionDetail } from '@ichnograph/contract';

const CODE = 4;

/** What a work is called where names are hidden: the same each time, and in no order of names. */
const nobody = (workId: string, { id }: Person): Person => ({
  id,
  givenName: `Map ${workId.slice(0, CODE).toUpperCase()}`,
  familyName: '',
});

const inPlaceOf = (workId: string, members: readonly Person[]): Person[] =>
  members.slice(0, 1).map((one) => nobody(workId, one));

/** Works whose makers have codes for names. */
export const worksWithoutNames = <T extends { workId: string; members: Person[] }>(works: readonly T[]): T[] =>
  works.map((work) => ({ ...work, members: inPlaceOf(work.workId, work.members) }));

/** What a remark says on maps, addressed to nobody by name: it is filled for each when it is written. */
export const placesWithoutNames = (places: readonly RemarkPlace[]): RemarkPlace[] =>
  worksWithoutNames(places).map((place, i) => ({
    ...place,
    text: places[i]!.members.reduce((text, { givenName }) => text.replaceAll(givenName, '{name}'), place.text),
  }));

/** Files are called after who made them. */
const unnamed = ({ broughtFrom }: { broughtFrom: string | null }): string | null => (broughtFrom === null ? null : '');

/** A pile whose works have codes for names, in the order of the codes. */
export const pileWithoutNames = (pile: Pile): Pile => ({
  ...pile,
  entries: pile.entries
    .map((entry) =>
      entry.workId
        ? {
            ...entry,
            members: inPlaceOf(entry.workId, entry.members),
            submission: entry.submission && { ...entry.submission, broughtFrom: unnamed(entry.submission) },
          }
        : entry,
    )
    .toSorted((a, b) => (a.workId ?? '').localeCompare(b.workId ?? '')),
});

/** A submission without the names of those who made it, on its title block too. */
export const detailWithoutNames = (detail: SubmissionDetail): SubmissionDetail => ({
  ...detail,
  members: inPlaceOf(detail.workId, detail.members),
  broughtFrom: unnamed(detail),
  map: { ...detail.map, author: '' },
});

/** Comments whose answers by its students bear no names. */
export const commentsWithoutNames = (comments: readonly CommentRow[], { members }: SubmissionDetail): CommentRow[] =>
  comments.map((comment) => ({
    ...comment,
    answers: comment.answers.map((answer) =>
      members.some(({ id }) => id === answer.by.id)
        ? { ...answer, by: { ...answer.by, givenName: 'The student', familyName: '' } }
        : answer,
    ),
  }));
