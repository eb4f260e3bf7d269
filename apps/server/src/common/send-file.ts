import type { Response } from 'express';

/** Sends what was made as a file to save, under a name in any script (RFC 6266). */
export function sendFile(
  response: Response,
  { name, type, content }: { name: string; type: string; content: Uint8Array | string },
): void {
  const plain = name.replace(/[^\x20-\x7e]|["\\%]/g, '_');
  response.set({
    'Content-Type': type,
    'Cache-Control': 'private, no-store',
    'X-Content-Type-Options': 'nosniff',
    'Content-Disposition': `attachment; filename="${plain}"; filename*=UTF-8''${encodeURIComponent(name)}`,
  });
  response.end(typeof content === 'string' ? content : Buffer.from(content));
}
