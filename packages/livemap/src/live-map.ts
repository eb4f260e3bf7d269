import type { Change, TopicMap } from '@ichnograph/core';
import * as Y from 'yjs';
import { setCounter, SnapshotReader, undoScope, writeChanges } from './document.js';

/** What this tab did; only that is undone here. */
const OWN = Symbol('own gesture');
const COUNT = Symbol('counter');
const FOLLOWED = Symbol('followed');

/**
 * A live map as one client has it: applies gestures, keeps the snapshot, counts its own transactions, undoes its own
 * gestures one by one. Nothing is merged by time, and other people's changes stay.
 */
export class LiveMap {
  private readonly reader: SnapshotReader;
  private readonly undoManager: Y.UndoManager;
  private readonly listeners = new Set<() => void>();
  /** read when it is asked for; null: something came since */
  private current: TopicMap | null = null;
  private count = 0;

  /** @param client this tab's own key among the document's counters */
  constructor(
    readonly doc: Y.Doc,
    readonly client: string,
  ) {
    this.reader = new SnapshotReader(doc);
    this.undoManager = new Y.UndoManager(undoScope(doc), { trackedOrigins: new Set([OWN]), captureTimeout: 0 });
    doc.on('afterTransaction', this.refresh);
    this.undoManager.on('stack-cleared', this.tell);
  }

  get snapshot(): TopicMap {
    this.current ??= this.reader.read().map;
    return this.current;
  }

  /** How many transactions this tab has made: all of them are saved once the server has stored this count. */
  get made(): number {
    return this.count;
  }

  get canUndo(): boolean {
    return this.undoManager.canUndo();
  }

  get canRedo(): boolean {
    return this.undoManager.canRedo();
  }

  /** One gesture: one transaction and one undo step. */
  apply(changes: readonly Change[]): void {
    if (changes.length === 0) return;
    this.doc.transact(() => {
      writeChanges(this.doc, changes);
      this.raise();
    }, OWN);
  }

  /** What follows from others' changes and one's own together: no gesture, so that no undo comes upon it. */
  follow(changes: readonly Change[]): void {
    if (changes.length === 0) return;
    this.doc.transact(() => {
      writeChanges(this.doc, changes);
      this.raise();
    }, FOLLOWED);
  }

  undo(): void {
    if (!this.undoManager.undo()) return;
    this.doc.transact(() => this.raise(), COUNT);
  }

  redo(): void {
    if (!this.undoManager.redo()) return;
    this.doc.transact(() => this.raise(), COUNT);
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  destroy(): void {
    this.doc.off('afterTransaction', this.refresh);
    this.undoManager.destroy();
    this.listeners.clear();
  }

  private raise(): void {
    this.count += 1;
    setCounter(this.doc, this.client, this.count);
  }

  private readonly refresh = (): void => {
    this.current = null;
    this.tell();
  };

  private readonly tell = (): void => {
    for (const listener of this.listeners) listener();
  };
}
