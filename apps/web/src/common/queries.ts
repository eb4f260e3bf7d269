import { MOST_AT_ONCE } from '@ichnograph/contract';
import type { MarkDetail } from '@ichnograph/core';
import { QueryClient, useQuery } from '@tanstack/react-query';
import type {
  AccountRow,
  AssignmentDetail,
  AssignmentRow,
  ClassInsight,
  ClassName,
  ClassPropositions,
  ClassRow,
  ClassWeights,
  CommentRow,
  DemoPerson,
  FileRow,
  GatheringDetail,
  GatheringRow,
  Gradebook,
  Growth,
  Groups,
  JudgementRow,
  KeptOfPerson,
  KnownNames,
  MapProposition,
  MarkChangeRow,
  Me,
  NewStudent,
  OwnMapDetail,
  OwnMapRow,
  Person,
  Pile,
  ReadyMadeRow,
  RemarkRow,
  ReviewDetail,
  ReviewRounds,
  ReviewRow,
  ReviewTask,
  RosterEntry,
  SecondMarking,
  SecondMarkRow,
  SharedMapDetail,
  SharedPages,
  SharedWithMe,
  Shares,
  ShareTargets,
  SheetDetail,
  SheetNow,
  ShowingDetail,
  ShowingRow,
  StaysHard,
  StudentTask,
  SubmissionDetail,
  TaskOnMap,
  TeacherTask,
  TrialMapDetail,
  Welcome,
  VersionRow,
  WorkComments,
  WorkDetail,
} from '@ichnograph/contract';
import { api, ApiError, whenSignedOut } from './api';

/** Trouble that goes by: no connection, or a server that is not well. */
export const isPassing = (error: unknown): boolean =>
  error instanceof ApiError && (error.status === 0 || error.status >= 500);

/** A page that could not load, or that shows what is old, asks again soon by itself; else after so long, or not. */
const askingAgain =
  (every: number | false) =>
  ({ state: { status, error } }: { state: { status: string; error: Error | null } }): number | false =>
    status === 'error' && isPassing(error) ? 3000 : every;

export const queries = new QueryClient({
  defaultOptions: {
    queries: {
      // Without a network the question fails, and that is said: it does not wait in silence for one.
      networkMode: 'always',
      retry: (count, error) => isPassing(error) && count < 2,
      refetchInterval: askingAgain(false),
    },
  },
});

// The door is shown as soon as any answer says that the session is over.
whenSignedOut(() => void queries.invalidateQueries({ queryKey: ['welcome'] }));

const read = <T>(path: string, enabled = true) => ({ queryKey: [path], queryFn: () => api.get<T>(path), enabled });

export const useWelcome = () => useQuery({ ...read<Welcome>('welcome'), staleTime: 60_000 });
export const useDemoPeople = (demo: boolean) => useQuery(read<DemoPerson[]>('demo/people', demo));
export const useStudentTasks = () => useQuery(read<StudentTask[]>('today/student'));
export const useTeacherTasks = () => useQuery(read<TeacherTask[]>('today/teacher'));
export const useAssignments = () => useQuery(read<AssignmentRow[]>('assignments'));
export const useAssignment = (id: string) => useQuery(read<AssignmentDetail>(`assignments/${id}`));
/** Whether a sheet asks for something else than the newest revision; never where one may not change it. */
export const useAhead = (id: string) => useQuery(read<Pick<SheetNow, 'ahead'>>(`assignments/${id}/ahead`));
/** What one brought oneself, newest first. */
export const useMyFiles = () => useQuery(read<FileRow[]>('files'));
/** Maps outside any assignment. */
export const useOwnMaps = () => useQuery({ ...read<OwnMapRow[]>('own-maps'), refetchOnMount: 'always' });
export const useOwnMap = (id: string) => useQuery(read<OwnMapDetail>(`own-maps/${id}`));
/** Links by which others read a map. @param path the map's, below the API */
export const useSharedPages = (path: string) => useQuery(read<SharedPages>(`${path}/pages`));
/** With whom a map is shared. @param path the map's, below the API */
export const useShares = (path: string) => useQuery(read<Shares>(`${path}/shares`));
export const useShareTargets = () => useQuery(read<ShareTargets>('shares/targets'));
/** What others share with one. */
export const useSharedWithMe = () => useQuery({ ...read<SharedWithMe[]>('shares'), refetchOnMount: 'always' });
export const useSharedMap = (id: string) =>
  useQuery({ ...read<SharedMapDetail>(`shares/${id}`), refetchOnMount: 'always' });
/** Questions to classes: what one leads, and what waits for one's ideas. */
export const useGatherings = () =>
  useQuery({ ...read<GatheringRow[]>('gatherings'), refetchOnMount: 'always', refetchInterval: askingAgain(20_000) });
/** @param asks whether it is asked for again and again, where nothing is told */
export const useGatheringDetail = (id: string, asks: boolean) =>
  useQuery({ ...read<GatheringDetail>(`gatherings/${id}`), refetchInterval: askingAgain(asks ? 5000 : false) });
/**
 * What is shown now to the classes one is in.
 * @param asks whether it is asked for again and again; what one shows oneself always is, for others may end it
 */
export const useShowings = (asks: boolean) =>
  useQuery({
    ...read<ShowingRow[]>('showings'),
    refetchOnMount: 'always',
    refetchInterval: (query) => askingAgain(asks || query.state.data?.some(({ mine }) => mine) ? 10_000 : false)(query),
  });
/** @param asks whether it is asked for again and again, where nothing is told */
export const useShowing = (id: string, asks: boolean) =>
  useQuery({ ...read<ShowingDetail>(`showings/${id}`), refetchInterval: askingAgain(asks ? 3000 : false) });
/** What is still to be done on maps one draws with others. */
export const useTasksOnMaps = () => useQuery({ ...read<TaskOnMap[]>('today/tasks'), refetchOnMount: 'always' });
/** Maps of others that were given to one to look at. */
export const useReviewTasks = () => useQuery({ ...read<ReviewTask[]>('reviews'), refetchOnMount: 'always' });
/** Asked for once: what is being given must not be replaced by an answer. */
export const useReview = (id: string) =>
  useQuery({ ...read<ReviewDetail>(`reviews/${id}`), gcTime: 0, staleTime: Infinity, refetchOnMount: 'always' });
export const useReviewRounds = (publicationId: string) =>
  useQuery(read<ReviewRounds>(`publications/${publicationId}/reviews`));
/** What others said of a map that was handed in. */
export const useReviewsOf = (submissionId: string) =>
  useQuery(read<ReviewRow[]>(`submissions/${submissionId}/reviews`));
export const useReadyMade = () => useQuery(read<ReadyMadeRow[]>('ready-made'));
/** The classes one teaches in which standing rules are in force. */
export const useRulesInForce = () => useQuery(read<ClassName[]>('standing-rules'));
export const useTrials = (id: string) => useQuery(read<TrialMapDetail[]>(`assignments/${id}/trials`));
/**
 * Asked for once: what is being written must not be replaced by an answer. What another page asked for is not fresh enough
 * to begin from: see `isFetchedAfterMount`.
 */
export const useSheetDetail = (id: string) =>
  useQuery({
    ...read<SheetDetail>(`assignments/${id}/sheet`),
    gcTime: 0,
    staleTime: Infinity,
    refetchOnMount: 'always',
  });
export const useClasses = () => useQuery(read<ClassRow[]>('classes'));
export const useRoster = (classId: string | null) =>
  useQuery(read<RosterEntry[]>(`classes/${classId}/people`, classId !== null));
export const useAccounts = (enabled = true) => useQuery(read<AccountRow[]>('accounts', enabled));
export const useKept = (id: string) => useQuery(read<KeptOfPerson>(`accounts/${id}/kept`));
/** Which of these names the school knows already, as positions. */
export const useKnownNames = (classId: string, people: readonly NewStudent[]) =>
  useQuery({
    queryKey: ['known names', classId, people],
    queryFn: () => api.post<KnownNames>(`classes/${classId}/known-names`, { people }),
    enabled: people.length > 0 && people.length <= MOST_AT_ONCE,
    staleTime: 30_000,
  });
export const useGroups = (publicationId: string | null) =>
  useQuery({ ...read<Groups>(`publications/${publicationId}/groups`, publicationId !== null), gcTime: 0 });
export const useColleagues = () => useQuery(read<Person[]>('classes/colleagues'));
export const useWork = (id: string) => useQuery(read<WorkDetail>(`works/${id}`));
export const usePile = (id: string) => useQuery(read<Pile>(`publications/${id}/pile`));
export const useSubmission = (id: string | null) => useQuery(read<SubmissionDetail>(`submissions/${id}`, id !== null));

export const useComments = (submissionId: string | null) =>
  useQuery(read<CommentRow[]>(`submissions/${submissionId}/comments`, submissionId !== null));

/** The threads on a map that is drawn. */
export const useWorkComments = (workId: string | null) =>
  useQuery({
    ...read<WorkComments>(`works/${workId}/comments`, workId !== null),
    refetchInterval: askingAgain(20_000),
  });

/** @param path of the work or own map, below the API */
export const useVersions = (path: string) => useQuery(read<VersionRow[]>(`${path}/versions`));
export const useVersion = (id: string | null) =>
  useQuery(read<{ map: Record<string, unknown> }>(`versions/${id}`, id !== null));
export const useReference = (submissionId: string | null) =>
  useQuery(read<{ map: Record<string, unknown> }>(`submissions/${submissionId}/reference`, submissionId !== null));
export const useJudgements = (submissionId: string | null) =>
  useQuery(read<JudgementRow[]>(`submissions/${submissionId}/judgements`, submissionId !== null));
/** The mark of a submission, as the server sums it; null where who asks may not see one. */
export const useMark = (submissionId: string | null) =>
  useQuery(read<{ mark: MarkDetail | null }>(`submissions/${submissionId}/mark`, submissionId !== null));
export const useTrail = (submissionId: string | null) =>
  useQuery(read<MarkChangeRow[]>(`submissions/${submissionId}/trail`, submissionId !== null));

export const useMapPropositions = (submissionId: string | null) =>
  useQuery(read<MapProposition[]>(`submissions/${submissionId}/verdicts`, submissionId !== null));
/** All that the maps of a class say, each once. */
export const useClassPropositions = (publicationId: string) =>
  useQuery(read<ClassPropositions>(`publications/${publicationId}/propositions`));

/** The marks of a class, student by assignment. */
export const useGradebook = (classId: string | null) =>
  useQuery(read<Gradebook>(`classes/${classId}/gradebook`, classId !== null));
export const useSecondMarking = (publicationId: string) =>
  useQuery(read<SecondMarking>(`publications/${publicationId}/second-marking`));
/** What one gave as a second marker. */
export const useSecondMarks = (submissionId: string | null) =>
  useQuery(read<SecondMarkRow[]>(`submissions/${submissionId}/second-marks`, submissionId !== null));
/** Remarks kept for use again. */
export const useRemarks = (publicationId: string) =>
  useQuery(read<RemarkRow[]>(`publications/${publicationId}/remarks`));
/** What the maps of a class come to, side by side and laid into one. */
export const useClassInsight = (publicationId: string) =>
  useQuery({ ...read<ClassInsight>(`publications/${publicationId}/insight`), staleTime: 30_000 });
/** This assignment beside an earlier one, by student. */
export const useSince = (publicationId: string, earlier: string | null) =>
  useQuery(read<Growth[]>(`publications/${publicationId}/since/${earlier}`, earlier !== null));
export const useStaysHard = (classId: string | null) =>
  useQuery(read<StaysHard>(`classes/${classId}/stays-hard`, classId !== null));
export const useClassWeights = (publicationId: string) =>
  useQuery(read<ClassWeights>(`publications/${publicationId}/weights`));
export const useGrowth = (publicationId: string) => useQuery(read<Growth[]>(`publications/${publicationId}/growth`));

/** The signed-in person. The shell shows nothing of the pages that use this until there is one. */
export function useMe(): Me {
  const me = useWelcome().data?.me;
  if (!me) throw new Error('this page is shown to signed-in people only');
  return me;
}

export const useTimeZone = (): string => useWelcome().data?.timeZone ?? 'UTC';

/** Paths whose answers an act changed, with all that lie below them. */
export type Changed = readonly string[] | 'everything';

const isBelow = (path: unknown, among: readonly string[]): boolean =>
  typeof path === 'string' && among.some((one) => path === one || path.startsWith(`${one}/`));

/** Asks again for what lies at a path or below it, as far as a page shows it. */
export const askAgain = (path: string): Promise<void> =>
  queries.invalidateQueries({ predicate: ({ queryKey: [known] }) => isBelow(known, [path]) });

/** Asks again now for what was changed and is on the screen; all else is asked again when it is next shown. */
export async function refresh(changed: Changed = 'everything'): Promise<void> {
  if (changed === 'everything') return queries.invalidateQueries();
  await queries.invalidateQueries({
    refetchType: 'none',
    predicate: ({ queryKey: [path] }) => !isBelow(path, changed),
  });
  await queries.invalidateQueries({ predicate: ({ queryKey: [path] }) => isBelow(path, changed) });
}
