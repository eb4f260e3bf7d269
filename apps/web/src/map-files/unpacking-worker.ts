import { formatOf, unzipped, Unreadable } from '@ichnograph/formats';

/** The files of an archive that can be read as maps, or why it cannot be unpacked. */
export type UnpackingAnswer = { files: { name: string; content: Uint8Array }[] } | { refused: string };

/** What programs put into archives for themselves. */
const isOwn = (name: string): boolean => /(^|\/)(__MACOSX\/|\._|\.DS_Store)/.test(name);

/** Unpacks one archive beside the page, and is ended after it. */
self.onmessage = ({ data }: MessageEvent<Uint8Array>) => {
  self.postMessage(answerTo(data));
};

function answerTo(content: Uint8Array): UnpackingAnswer {
  try {
    const files = unzipped(content, (name) => !isOwn(name) && formatOf(name)?.read !== undefined);
    return { files: [...files].map(([name, bytes]) => ({ name, content: bytes })) };
  } catch (error) {
    if (error instanceof Unreadable) return { refused: error.message };
    throw error;
  }
}
