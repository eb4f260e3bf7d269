import type { NextFunction, Request, RequestHandler, Response } from 'express';
import express from 'express';
import { MOST_BYTES } from '@ichnograph/contract';
import { Problem, signedOut } from './problem.js';

/** Levels of a request's body; an assignment file has 20 of its own. Deeper ones break whoever walks them. */
const DEEPEST = 40;
const KB = 1024;
const MB = 1024 * KB;

/** What a route may be sent: bytes, and of JSON how many values. */
interface Room {
  bytes: number;
  values: number;
}
/** Somebody who is not signed in has a name and a password to say. */
const STRANGER: Room = { bytes: 4 * KB, values: 50 };
/** By the beginning of the address, the first that fits. */
const ROOMS: readonly (readonly [address: string, room: Room | 'a file'])[] = [
  ['/files/sketches', { bytes: 4 * MB, values: 800_000 }],
  ['/files', 'a file'],
  // An assignment file holds maps.
  ['/assignments', { bytes: 8 * MB, values: 800_000 }],
  // A map as large as a map may be.
  ['/drawings', { bytes: 8 * MB, values: 800_000 }],
  // The maps of a class.
  ['/brought-in', { bytes: 8 * MB, values: 800_000 }],
  ['/own-maps', { bytes: 8 * MB, values: 800_000 }],
  ['', { bytes: MB, values: 20_000 }],
];

const json = ({ bytes, values }: Room, tooMuch: () => Problem): RequestHandler =>
  express.json({
    limit: bytes,
    // What is small when it comes and large when it is unpacked is not taken at all.
    inflate: false,
    verify: (_request, _response, body) => insistPlain(body, values, tooMuch),
  });
const tooMany = (): Problem =>
  new Problem(413, 'Refused', 'That is too much at once to be taken. Send it in smaller parts.');
const raw = express.raw({ type: 'application/octet-stream', limit: MOST_BYTES, inflate: false });
// Whoever sends more than a name and a password has something else in mind, and is asked who they are.
const ofStranger = json(STRANGER, signedOut);
const rooms = ROOMS.map(([address, room]) => [address, room === 'a file' ? raw : json(room, tooMany)] as const);

/** Reads the body of a request to the API, as far as who asks and what is asked for has room for it. */
export function bodies(request: Request & { signedIn?: unknown }, response: Response, next: NextFunction): void {
  if (!request.signedIn) {
    // Nothing large is kept for somebody unknown: it runs past, so that they hear that they are signed out.
    if (Number(request.headers['content-length'] ?? 0) > STRANGER.bytes) {
      request.resume();
      return next(signedOut());
    }
    void ofStranger(request, response, next);
    return;
  }
  const [, read] = rooms.find(([address]) => request.path.startsWith(address))!;
  void read(request, response, next);
}

const QUOTE = 0x22;
const BACKSLASH = 0x5c;
const [OPEN, CLOSE] = [new Set([0x7b, 0x5b]), new Set([0x7d, 0x5d])];
const COMMA = 0x2c;

/**
 * Looks at JSON before anybody parses it: one walk over the bytes, without recursion, that counts levels and values.
 * @throws where it is nested deeper, or holds more values, than anything here needs
 */
export function insistPlain(body: Uint8Array, most: number, tooMuch: () => Problem): void {
  let [depth, values, inString] = [0, 1, false];
  for (let i = 0; i < body.length; i++) {
    const byte = body[i]!;
    if (inString) {
      if (byte === BACKSLASH) i += 1;
      else if (byte === QUOTE) inString = false;
    } else if (byte === QUOTE) inString = true;
    else if (OPEN.has(byte)) {
      values += 1;
      if (++depth > DEEPEST) throw new Problem(400, 'Refused', 'That is nested too deep to be taken.');
    } else if (CLOSE.has(byte)) depth -= 1;
    else if (byte === COMMA && ++values > most) throw tooMuch();
  }
}
