import { randomUUID } from 'node:crypto';
import { addTopic, readAssignment, understood } from '@ichnograph/core';
import type {
  AccountRow,
  AssignmentDetail,
  ClassPropositions,
  ClassRow,
  CommentRow,
  ExportState,
  GatheringDetail,
  Pile,
  ReviewTask,
  SharedPageRow,
  ShareRow,
  SheetDetail,
  SubmissionDetail,
  VersionRow,
  WorkDetail,
} from '@ichnograph/contract';
import { until } from './client.js';
import { OWN_PASSWORD, Person } from './client.js';

/** Everybody who may come to a route's door: two in a class, its staff, a colleague who shares the assignment alone. */
export const WHO = ['nobody', 'member', 'classmate', 'teacher', 'assistant', 'colleague', 'stranger', 'head'] as const;
export type Who = (typeof WHO)[number];

const FIRST = 'a long first one';

/** An account of its own, with a password of its own. */
async function person(role: 'student' | 'teacher' | 'administrator', name: string): Promise<Person & { id: string }> {
  const halina = await Person.signedIn('halina');
  const wanted = { role, givenName: name, familyName: 'Rights', name: `rights-${name}`, password: FIRST };
  const { body } = await halina.post<AccountRow>('accounts', wanted);
  const made = await Person.signedIn(wanted.name);
  await made.post('password', { current: FIRST, next: OWN_PASSWORD });
  return Object.assign(made, { id: body.id });
}

export type RightsSchool = Awaited<ReturnType<typeof rightsSchool>>;

/** A class with an assignment, a map handed in and drawn further, and what can be asked about all of it. */
export async function rightsSchool() {
  const [teacher, assistant, colleague, stranger] = await Promise.all(
    ['Tea', 'Asa', 'Cole', 'Stran'].map((name) => person('teacher', name.toLowerCase())),
  );
  const [member, classmate] = await Promise.all(['mem', 'mate'].map((name) => person('student', name)));
  const head = await person('administrator', 'head');
  const people = {
    nobody: Object.assign(new Person(), { id: '' }),
    member: member!,
    classmate: classmate!,
    teacher: teacher!,
    assistant: assistant!,
    colleague: colleague!,
    stranger: stranger!,
    head,
  };
  const boss = people.teacher;
  const room = (await boss.post<ClassRow>('classes', { name: 'Rights' })).body.id;
  const elsewhere = (await boss.post<ClassRow>('classes', { name: 'Rights elsewhere' })).body.id;
  await head.post(`classes/${room}/people`, { accountId: people.assistant.id, part: 'assistant' });
  for (const { id: accountId } of [people.member, people.classmate])
    await head.post(`classes/${room}/people`, { accountId, part: 'student' });
  const { body: sheet } = await boss.post<SheetDetail>('assignments/sheets', { readyMade: 'timeline' });
  const given = (await boss.post<AssignmentDetail>(`assignments/${sheet.id}/publications`, { classId: room })).body;
  const publication = given.publications[0]!.id;
  await boss.post(`assignments/${sheet.id}/collaborators`, { accountId: people.colleague.id });

  const work = (await people.member.post<WorkDetail>(`publications/${publication}/work`)).body;
  const client = people.member.live(work.id);
  await client.opened();
  const { legend, criteria, requirements } = understood(readAssignment(work.assignment));
  const kind = legend.topicKinds.find(({ givenBy }) => givenBy === 'student')!.id;
  const outcome = addTopic(
    client.live.snapshot,
    { text: 'The bell rings', kind, at: { x: 0, y: 900 } },
    { newId: () => 'bell', by: '' },
    legend,
  );
  if (outcome.ok) client.live.apply(outcome.changes);
  const first = client.live.snapshot.topics.find(({ id }) => id !== 'bell')!.id;
  client.live.apply([
    { do: 'add', to: 'links', item: { id: 'rings', from: first, to: 'bell', phrase: 'is followed by', kind: null } },
  ]);
  await client.saved();

  /** The map handed in once more; whatever became of it before, it is drawn on again first. */
  const handedIn = async (): Promise<string> => {
    const { state } = (await people.member.get<WorkDetail>(`works/${work.id}`)).body;
    if (state === 'being marked') await boss.post(`submissions/${await newest()}/let-go`);
    if (state === 'returned') await people.member.post(`works/${work.id}/revise`);
    const sent = { client: client.client, count: client.live.made };
    return (await people.member.post<SubmissionDetail>(`works/${work.id}/hand-in`, sent)).body.id;
  };
  const newest = async (): Promise<string> => {
    const { entries } = (await boss.get<Pile>(`publications/${publication}/pile`)).body;
    return entries.find(({ workId }) => workId === work.id)!.submission!.id;
  };
  const returned = async (): Promise<string> => {
    const id = await handedIn();
    await boss.post(`submissions/${id}/return`, { unjudged: true });
    return id;
  };
  const comment = async (): Promise<string> => {
    const said = { anchor: 'map', text: 'Look again.' };
    return (await boss.post<CommentRow>(`submissions/${await handedIn()}/comments`, said)).body.id;
  };
  const remark = async (): Promise<string> =>
    (await boss.post<{ id: string }>('remarks', { text: `Mind your arrows, ${randomUUID()}` })).body.id;
  const made = async (role: 'student' | 'teacher' = 'student', part: string | null = null): Promise<string> => {
    const name = `rights-${randomUUID().slice(0, 8)}`;
    const wanted = { role, givenName: 'New', familyName: 'Comer', name, password: FIRST };
    const { id } = (await head.post<AccountRow>('accounts', wanted)).body;
    if (part) await head.post(`classes/${room}/people`, { accountId: id, part });
    return id;
  };
  const key = async (): Promise<string> =>
    (await boss.get<ClassPropositions>(`publications/${publication}/propositions`)).body.propositions[0]!.key;
  const trial = async (): Promise<string> =>
    (await boss.post<{ id: string }>(`assignments/${sheet.id}/trials`, { name: 'A tangle' })).body.id;
  const ownMap = async (): Promise<string> =>
    (await people.member.post<{ id: string }>('own-maps', { title: 'Mine' })).body.id;
  const sharedPage = async (): Promise<SharedPageRow> => {
    const wanted = { endsAt: new Date(Date.now() + 86_400_000).toISOString(), showsNames: false };
    return (await people.member.post<SharedPageRow>(`works/${work.id}/pages`, wanted)).body;
  };
  const share = async (): Promise<string> => {
    const wanted = {
      accountId: people.classmate.id,
      mayEdit: false,
      endsAt: new Date(Date.now() + 86_400_000).toISOString(),
    };
    return (await people.member.post<ShareRow>(`own-maps/${await ownMap()}/shares`, wanted)).body.id;
  };
  const gathering = async (): Promise<string> => {
    const wanted = { classId: room, question: 'What do you know already?', anonymous: true };
    return (await boss.post<{ id: string }>('gatherings', wanted)).body.id;
  };
  /** The class's two maps handed out; what was handed out before is taken back, where nothing was sent. */
  const reviews = async (): Promise<string> => {
    await handedIn();
    const other = (await people.classmate.post<WorkDetail>(`publications/${publication}/work`)).body;
    if (other.submissions.length === 0) {
      const drawn = people.classmate.live(other.id);
      await drawn.opened();
      await people.classmate.post(`works/${other.id}/hand-in`, { client: drawn.client, count: drawn.live.made });
      drawn.close();
    }
    await boss.call('DELETE', `publications/${publication}/reviews`);
    const plan = { each: 1, criteria: false, sentences: true, notes: false, share: 0, apart: [] };
    await boss.post(`publications/${publication}/reviews`, plan);
    return (await people.member.get<ReviewTask[]>('reviews')).body[0]!.id;
  };
  /** The member's map, shown to the class by the member. */
  const showing = async (): Promise<string> =>
    (await people.member.post<{ id: string }>('showings', { classId: room, workId: work.id })).body.id;
  /** A question with one idea, sent by the member. */
  const idea = async () => {
    const id = await gathering();
    const sent = (await people.member.post<{ id: string }>(`gatherings/${id}/ideas`, { text: 'Arches' })).body.id;
    const [first] = (await boss.get<GatheringDetail>(`gatherings/${id}`)).body.ideas;
    return { gathering: id, idea: first!.id, sent };
  };
  const readyMade = async (): Promise<string> =>
    (await boss.post<{ id: string }>('ready-made', { assignmentId: sheet.id, guidance: '' })).body.id;
  const newSheet = async (): Promise<string> =>
    (await boss.post<SheetDetail>('assignments/sheets', { readyMade: 'timeline' })).body.id;
  const export_ = async (ready = false): Promise<string> => {
    const { id } = (await boss.post<ExportState>(`publications/${publication}/exports`, { as: 'pdf' })).body;
    const done = async () => (await boss.get<ExportState>(`exports/${id}`)).body.state !== 'running';
    if (ready) await until('the export', done);
    return id;
  };
  const file = async (): Promise<string> => {
    const response = await fetch(`${people.member.url}/api/files?name=words`, {
      method: 'POST',
      headers: { connection: 'close', cookie: people.member.cookie, 'content-type': 'application/octet-stream' },
      body: `Words, ${randomUUID()}`,
    });
    return ((await response.json()) as { src: string }).src;
  };
  await handedIn();
  const version = (await people.member.post<VersionRow>(`works/${work.id}/versions`, { name: 'First' })).body.id;
  const sheetNow = async () => (await boss.get<SheetDetail>(`assignments/${sheet.id}/sheet`)).body.parts;
  const rules = async (): Promise<string> =>
    (await boss.post<{ assignmentId: string }>(`classes/${room}/standing-rules`)).body.assignmentId;
  return {
    people,
    room,
    elsewhere,
    assignment: sheet.id,
    publication,
    work: work.id,
    version,
    criterion: criteria[0]?.id,
    requirement: requirements[0]!.id,
    client,
    handedIn,
    newest,
    returned,
    comment,
    remark,
    made,
    key,
    trial,
    ownMap,
    sharedPage,
    share,
    gathering,
    idea,
    showing,
    reviews,
    readyMade,
    newSheet,
    export: export_,
    file,
    sheetNow,
    rules,
  };
}
