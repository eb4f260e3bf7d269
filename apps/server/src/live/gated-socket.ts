import { MessageType } from '@hocuspocus/server';
import { HERE_LIMITS } from '@ichnograph/contract';
import * as decoding from 'lib0/decoding';
import { WebSocket } from 'ws';
import { readDocumentName } from './document-names.js';

/** More documents than anyone has open in one tab. */
const MOST_DOCUMENTS = 8;
/** Bytes that may come before the documents they speak of are open. */
const MOST_KEPT = 24 * 1024 * 1024;
const REFUSED = { code: 1008, reason: 'not for a live connection' };

/**
 * What a client may say on a live connection: who it is, the steps of synchronising, where the person before it points, and
 * good-bye. Everything else of the protocol is the server's to say (what peers are aware of, say, which a client could use to
 * tell them lies).
 * @returns the document the message is about, and whether it would change it
 * @throws for everything else
 */
export function spokenOf(data: Uint8Array): { name: string; changes: boolean } {
  const decoder = decoding.createDecoder(data);
  const name = decoding.readVarString(decoder);
  if (!readDocumentName(name)) throw new Error('no name of a document');
  const type = decoding.readVarUint(decoder) as MessageType;
  switch (type) {
    case MessageType.Auth:
      if (decoding.readVarUint(decoder) !== 0) throw new Error('no word of who it is');
      if (decoding.readVarString(decoder).length > 100) throw new Error('too long a token');
      return { name, changes: false };
    case MessageType.Sync: {
      const step = decoding.readVarUint(decoder);
      if (step > 2) throw new Error('no step of synchronising');
      decoding.readVarUint8Array(decoder);
      return { name, changes: step > 0 };
    }
    case MessageType.Stateless:
      // What it may say is looked at where it is passed on.
      if (decoding.readVarString(decoder).length > HERE_LIMITS.characters) throw new Error('too much of oneself');
      return { name, changes: false };
    case MessageType.CLOSE:
      return { name, changes: false };
    default:
      throw new Error(`type ${type} is not for clients`);
  }
}

/**
 * A WebSocket that lets only fit messages through to whoever listens, and none once it is closing: what is still on the
 * way then was sent by someone who has been shown out.
 */
export class GatedSocket extends WebSocket {
  /** why no change may come in just now, if there is a reason; asked before each */
  refusesChange: (documentName: string) => { code: number; reason: string } | null = () => null;
  /** documents that are open here; what comes for another one is kept by the library until it is */
  readonly open = new Set<string>();
  /** when the other side was heard last, an answer to a ping included; a moment of `performance.now()` */
  heard = performance.now();
  private readonly spokenOf = new Set<string>();
  private kept = 0;

  override emit(event: string | symbol, ...args: unknown[]): boolean {
    if (event === 'message' || event === 'pong') this.heard = performance.now();
    if (event !== 'message') return super.emit(event, ...args);
    return this.readyState === WebSocket.OPEN && this.lets(args[0]) && super.emit(event, ...args);
  }

  /** Closes it, and cuts it off soon after when the other side does not answer. */
  showOut({ code, reason }: { code: number; reason: string }): void {
    this.close(code, reason);
    setTimeout(() => this.terminate(), 1000).unref();
  }

  private lets(data: unknown): boolean {
    try {
      if (!(data instanceof Uint8Array)) throw new Error('no bytes');
      const { name, changes } = spokenOf(data);
      this.spokenOf.add(name);
      if (this.spokenOf.size > MOST_DOCUMENTS) throw new Error('too many documents');
      if (!this.open.has(name)) this.kept += data.length;
      if (this.kept > MOST_KEPT) throw new Error('too much before a document is open');
      const refusal = changes ? this.refusesChange(name) : null;
      if (refusal) this.showOut(refusal);
      return !refusal;
    } catch {
      this.showOut(REFUSED);
      return false;
    }
  }
}
