import {
  asItsKind,
  chooseBy,
  clearMarks,
  colourBranch,
  colourBranches,
  copyLooks,
  cutLoose,
  done,
  hangFrom,
  headsOf,
  isFixed,
  lineUp,
  linkAll,
  makeGroup,
  makeMove,
  makeRoom,
  moveClear,
  moveMarks,
  putBetween,
  reasonOf,
  bendLink,
  reattach,
  refused,
  sameSize,
  setInRow,
  setLayer,
  setLooks,
  stretchRow,
  toggleFold,
  uncross,
  foldToLevel,
  unfoldAll,
  ungroup,
} from '@ichnograph/core';
import type {
  Along,
  Change,
  Choice,
  Edge,
  Frame,
  Layer,
  LinkLooks,
  Move,
  SafeHelp,
  TidyWay,
  TopicLooks,
} from '@ichnograph/core';
import { announce } from '../../common/announcer';
import { startTidying } from '../../map';
import type { TidyQuestion } from '../../map';
import { addedId } from './hand';
import type { Hand } from './hand';
import type { Spot } from './state';

/** How much wider or closer at a time, canvas units between two. */
const SPACING = 12;

/** What moves, orders, hangs and chooses several things at once. */
export function arrangeActions({
  assignment,
  legend,
  maker,
  get,
  set,
  run,
  draw,
  refuse,
  selectedTopics,
  selectedLinks,
}: Hand) {
  let looks: (TopicLooks & LinkLooks) | null = null;
  const several = (): string[] => selectedTopics();
  /** What lays the map out anew, worked out in a worker; null where that was ended, failed, or is on its way already. */
  const laidOut = async (wanted: Extract<TidyQuestion['wanted'], { way: unknown }>): Promise<Change[] | null> => {
    if (get().tidying) return null;
    const job = startTidying({ map: get().map, wanted, legend });
    set({ tidying: job.cancel });
    const how = await job.done;
    set({ tidying: null });
    if (how === 'cancelled') announce('Tidying was ended. Nothing is changed.');
    else if (how === 'failed') refuse(reasonOf({ code: 'tidyFailed' }));
    else return how;
    return null;
  };
  return {
    setInRow: (along: Along): void => void run(setInRow(get().map, several(), along)),
    /** Spaces a row or stack wider or closer: its beginning stays. */
    space: (by: 1 | -1): void => {
      const topics = get().map.topics.filter(({ id }) => get().selection.includes(id));
      const ends = (along: Along): [number, number] => {
        const size = along === 'x' ? 'width' : 'height';
        return [
          Math.min(...topics.map((topic) => topic[along] - topic[size] / 2)),
          Math.max(...topics.map((topic) => topic[along] + topic[size] / 2)),
        ];
      };
      const [wide, high] = [ends('x'), ends('y')];
      const along: Along = wide[1] - wide[0] >= high[1] - high[0] ? 'x' : 'y';
      const end = along === 'x' ? wide[1] : high[1];
      void run(stretchRow(get().map, several(), along, end + by * SPACING * (topics.length - 1)));
    },
    lineUp: (edge: Edge): void => void run(lineUp(get().map, several(), edge)),
    sameSize: (of: 'width' | 'height' | 'both'): void => void run(sameSize(get().map, several(), of, legend)),
    setLayer: (to: Layer): void => void run(setLayer(get().map, get().selection, to, legend)),
    moveClear: (): void => void run(moveClear(get().map, several())),
    uncross: (): void => void run(uncross(get().map, legend)),
    showMoves: (moves: boolean): void => set({ moves }),
    takeMove: (move: Move): void => void run(makeMove(move)),
    /** Pushes what stands beyond the selected topics aside, to make room behind them. */
    makeRoom: (along: Along): void => {
      const topics = get().map.topics.filter(({ id }) => get().selection.includes(id));
      const size = along === 'x' ? 'width' : 'height';
      const edge = Math.max(...topics.map((topic) => topic[along] + topic[size] / 2));
      void run(makeRoom(get().map, along, edge, along === 'x' ? 160 : 90));
    },
    colourBranches: (how?: { fills: readonly string[]; lines: boolean }): boolean =>
      run(colourBranches(get().map, assignment, how)) !== false,
    /** Takes all looks given by hand off the whole map. */
    allAsTheirKind: (): boolean => {
      const { map } = get();
      return (
        run(
          asItsKind(
            map,
            [...map.topics, ...map.links].map(({ id }) => id),
            assignment,
          ),
        ) !== false
      );
    },
    colourBranch: (fill: string, lines: boolean): void =>
      void run(colourBranch(get().map, selectedTopics(), { fill, lines }, assignment)),
    /** Spaces the selected row or stack anew: its end is taken elsewhere. */
    stretch: (along: Along, to: number): void => void run(stretchRow(get().map, several(), along, to)),
    /** Shows the line beyond which everything is pushed aside, below or to the right of what is selected. */
    askRoom: (along: Along): void => {
      const [first] = get().map.topics.filter(({ id }) => get().selection.includes(id));
      if (first) set({ room: { along, at: first[along] + (along === 'x' ? first.width : first.height) / 2 + 12 } });
    },
    closeRoom: (): void => set({ room: null }),
    /** Does for a student what gives nothing away. */
    help: ({ outcome }: SafeHelp): void => void run(outcome()),
    pushFrom: (along: Along, line: number, by: number): void => void run(makeRoom(get().map, along, line, by)),
    /** Topics have come to where they were laid. */
    glided: (): void => set({ glide: null }),
    /**
     * Lays out what is selected, if that are several topics, else the whole map to be read in a frame. One step to take back.
     * @returns what has been laid out; null where nothing has
     */
    tidy: async (way: TidyWay, frame: Frame): Promise<'all' | 'some' | null> => {
      const chosen = selectedTopics();
      const isSome = chosen.length > 1;
      const changes = await laidOut({
        way,
        frame,
        keepRoutes: isFixed(assignment),
        ...(isSome && { topicIds: chosen }),
      });
      if (!changes) return null;
      set({ glide: new Map(get().map.topics.map(({ id, x, y }) => [id, { x, y }])) });
      run(done(...changes));
      announce(isSome ? `${chosen.length} topics are tidied.` : 'The map is tidied.');
      return isSome ? 'some' : 'all';
    },
    /** Arranges the map as it was laid out elsewhere. One step to take back. */
    takeOver: (changes: readonly Change[]): boolean => {
      set({ glide: new Map(get().map.topics.map(({ id, x, y }) => [id, { x, y }])) });
      return run(done(...changes)) !== false;
    },
    /** Pulls links and their words from what they run through; topics stay. */
    pullApart: async (): Promise<void> => {
      const wanted = { way: 'links', keepRoutes: isFixed(assignment), topicIds: [...get().selection] } as const;
      const changes = await laidOut(wanted);
      if (!changes) return;
      run(done(...changes));
      announce(changes.length === 1 ? 'One link is pulled aside.' : `${changes.length} links are pulled aside.`);
    },
    choose: (choice: Choice): void => set({ selection: chooseBy(get().map, get().selection, choice, assignment) }),
    chooseFlagged: (): void => {
      const { report, requirement, map } = get();
      const result = report?.results.find(({ id }) => id === requirement);
      const ids = new Set(result?.evidence.flatMap((one) => (one.flag === false ? [] : [...one.topics, ...one.links])));
      if (ids.size === 0) return void refuse(reasonOf({ code: 'nothingFlagged' }));
      set({ selection: [...map.topics, ...map.links].flatMap(({ id }) => (ids.has(id) ? [id] : [])) });
    },
    hang: (ids: readonly string[], from: string): void => {
      set({ asking: null });
      const { map, next } = get();
      if (!draw(hangFrom(map, { ids, from, linkKind: next.linkKind }, maker, legend))) return;
      const heads = headsOf(map, ids);
      const textOf = (id: string): string => map.topics.find((one) => one.id === id)?.text ?? '';
      announce(
        heads.length === 1
          ? `${textOf(heads[0]!)} hangs from ${textOf(from)}.`
          : `${heads.length} topics hang from ${textOf(from)}.`,
      );
    },
    /** Puts a topic that was dropped on a link in the middle of it, and asks for the words that lead on. */
    putBetween: (id: string, link: string, step: Spot): void => {
      const { map } = get();
      const put = putBetween(map, { id, link }, maker);
      const moved = moveMarks(map, [id], step);
      const made = run(put, ...(moved.ok ? moved.changes : []));
      const on = addedId(made, 'links');
      if (on) set({ selection: [on], typing: { what: 'phrase', id: on }, words: '' });
    },
    /** Whether what hangs from a topic goes along when it is dragged. */
    takeBranch: (withBranch: boolean): void => {
      set({ withBranch });
      announce(withBranch ? 'A drag takes along what hangs from a topic.' : 'A drag takes a topic alone.');
    },
    /** Chooses what hangs from what is chosen along with it, for what is done next. */
    chooseBranch: (): void => set({ selection: chooseBy(get().map, get().selection, 'branch', assignment) }),
    cutLoose: (): void => void run(cutLoose(get().map, selectedTopics())),
    reattach: (id: string, end: 'from' | 'to', topic: string): void => {
      set({ asking: null });
      run(reattach(get().map, id, end, topic));
    },
    bend: (id: string, to: { bend?: number; phraseAt?: number }): void =>
      void run(bendLink(get().map, id, to, assignment)),
    /** Joins the selected topics with the one selected last. */
    linkAll: (way: 'to one' | 'from one'): void => {
      const { selection, map, next } = get();
      const ids = selection.filter((id) => map.topics.some((topic) => topic.id === id));
      const one = ids.at(-1)!;
      const made = run(linkAll(map, { ids, one, way, kind: next.linkKind }, maker));
      const links = made ? made.flatMap((change) => (change.do === 'add' ? [change.item.id] : [])) : [];
      const [id, ...also] = links;
      // Their words are asked for once; each can be given its own after.
      if (id !== undefined) set({ selection: links, typing: { what: 'phrase', id, also }, words: '' });
    },
    fold: (): void => void run(toggleFold(get().map, selectedTopics())),
    foldToLevel: (level: number): void => void run(foldToLevel(get().map, level)),
    unfoldAll: (): void => void run(unfoldAll(get().map)),
    group: (): void => void run(makeGroup(get().map, selectedTopics(), maker)),
    ungroup: (): void => void run(ungroup(get().map, selectedTopics())),
    copyLooks: (): void => {
      const [id] = get().selection;
      if (id === undefined) return;
      looks = copyLooks(get().map, id, assignment);
      announce('The looks are copied.');
    },
    giveLooks: (): void => {
      const ids = [...selectedTopics(), ...selectedLinks()];
      run(looks ? setLooks(get().map, ids, looks, assignment) : refused('nothingChosen'));
    },
    clearMarks: (): void => void run(clearMarks(get().map, selectedTopics())),
    lead: (leading: boolean): void => set({ leading }),
  };
}
