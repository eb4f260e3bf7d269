import type { TopicMap } from '@ichnograph/core';
import { Unreadable } from '../format.js';
import type { FormatName, Reading } from '../format.js';
import { readFile } from '../reading-and-writing.js';
import { FORMATS } from '../registry.js';

/** What a file says, in the words of a test. */
export interface Told {
  map: TopicMap;
  topics: string[];
  links: string[];
  said: string[];
}

const bytesOf = (content: string | Uint8Array): Uint8Array =>
  typeof content === 'string' ? new TextEncoder().encode(content) : content;

export async function reading(name: FormatName, content: string | Uint8Array, how: Reading = {}): Promise<Told> {
  const format = FORMATS.find((one) => one.name === name)!;
  const { map, said } = await readFile(format, bytesOf(content), how);
  const textOf = new Map(map.topics.map(({ id, text }) => [id, text]));
  return {
    map,
    topics: map.topics.map(({ text }) => text),
    links: map.links.map(
      ({ from, phrase, to, arrow }) =>
        `${textOf.get(from)} -${phrase}${arrow === undefined ? '' : `(${arrow})`}-> ${textOf.get(to)}`,
    ),
    said: said.map(({ about, reason }) => `${about}: ${reason}`),
  };
}

/** Why a file was refused; null where it was read. */
export async function refusal(name: FormatName, content: string | Uint8Array): Promise<string | null> {
  try {
    await reading(name, content);
    return null;
  } catch (error) {
    if (error instanceof Unreadable) return error.message;
    throw error;
  }
}
