import type { LiveMessage } from '@ichnograph/contract';
import * as Y from 'yjs';
import { Connection } from './connection';

/** What is told of a room one is in. */
export interface RoomEvents {
  hear: (message: LiveMessage) => void;
  /** the way is open, or is not: what was said meanwhile was missed */
  onOpen: (isOpen: boolean) => void;
  /** one is let in no more */
  onEnd: () => void;
}

/** Stays in a room of the server's, where things are said and nothing is drawn. @returns goes out again */
export function openRoom(name: string, { hear, onOpen, onEnd }: RoomEvents): () => void {
  const doc = new Y.Doc();
  let before = false;
  const connection: Connection = new Connection(doc, name, {
    onChange: () => {
      const { open, ended } = connection.state;
      if (open !== before) onOpen((before = open));
      if (ended) onEnd();
    },
    onMessage: hear,
    onDoubt: onEnd,
  });
  return () => {
    connection.destroy();
    doc.destroy();
  };
}
