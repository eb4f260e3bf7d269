import { randomUUID } from 'node:crypto';
import { deserialize, serialize } from 'node:v8';
import type { Assignment } from '@ichnograph/core';

/** An assignment as threads share it: many tasks name the same one, and it is written once, and read once in each thread. */
interface Shared {
  key: string;
  /** over memory that all threads see */
  bytes: Uint8Array;
}

/** More a thread does not keep: about what is marked in an evening. */
const KEPT = 16;

const shared = new WeakMap<Assignment, Shared>();
const opened = new Map<string, Assignment>();

function share(assignment: Assignment): Shared {
  const known = shared.get(assignment);
  if (known) return known;
  const content = serialize(assignment);
  const bytes = new Uint8Array(new SharedArrayBuffer(content.byteLength));
  bytes.set(content);
  const made = { key: randomUUID(), bytes };
  shared.set(assignment, made);
  return made;
}

function open({ key, bytes }: Shared): Assignment {
  const known = opened.get(key);
  if (known) return known;
  // Bytes that others see cannot be read in place.
  const assignment = deserialize(Uint8Array.from(bytes)) as Assignment;
  opened.set(key, assignment);
  if (opened.size > KEPT) opened.delete(opened.keys().next().value!);
  return assignment;
}

type Task = Readonly<Record<string, unknown>> & { assignment?: Assignment };

/** A task as it goes to a thread. */
export const packed = (task: object): object => {
  const { assignment, ...rest } = task as Task;
  return assignment ? { ...rest, shared: share(assignment) } : task;
};

/** What does a task in a thread, whose assignment comes as it was packed. */
export const unpacked =
  <T extends { assignment: Assignment }, R>(work: (task: T) => R) =>
  (task: T): R => {
    const { shared: bytes, ...rest } = task as unknown as { shared: Shared };
    return work({ ...rest, assignment: open(bytes) } as unknown as T);
  };
