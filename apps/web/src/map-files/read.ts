import { formatOf, FORMATS } from '@ichnograph/formats';
import type { Columns } from '@ichnograph/formats';
import { SaidError } from '../common/api';
import { askBeside, insistSmall } from './beside';
import type { ReadingAnswer, ReadingQuestion } from './reading-worker';
import type { UnpackingAnswer } from './unpacking-worker';

/** Endings of the files that can be read, as a file chooser takes them. */
export const READABLE = FORMATS.filter(({ read }) => read)
  .flatMap(({ endings }) => endings.map((ending) => `.${ending}`))
  .join(',');

/** A file's name and what is in it. */
export interface NamedContent {
  name: string;
  content: Uint8Array;
}

/**
 * Reads a file in a worker that is ended when it takes too long.
 * @throws SaidError where it is of no format that can be read, or takes too long
 */
export async function readBeside(
  file: File | NamedContent,
  columns?: Columns,
  newWorker = () => new Worker(new URL('./reading-worker.ts', import.meta.url), { type: 'module' }),
): Promise<ReadingAnswer> {
  const { name } = file;
  const format = formatOf(name);
  if (!format?.read) throw new SaidError(`“${name}” is of no kind of file that can be read here.`);
  const content = file instanceof File ? await contentOf(file) : file.content;
  return askBeside<ReadingQuestion, ReadingAnswer>(newWorker(), { as: format.name, content, columns }, name);
}

async function contentOf(file: File): Promise<Uint8Array> {
  insistSmall(file);
  return new Uint8Array(await file.arrayBuffer());
}

/**
 * What may be maps among many files: archives are unpacked beside the page; what is of no format that can be read is left out.
 * @throws SaidError
 */
export async function filesIn(
  files: readonly File[],
  newWorker = () => new Worker(new URL('./unpacking-worker.ts', import.meta.url), { type: 'module' }),
): Promise<NamedContent[]> {
  const found: NamedContent[] = [];
  for (const file of files) {
    const content = await contentOf(file);
    if (!/\.zip$/i.test(file.name)) {
      found.push({ name: file.name, content });
      continue;
    }
    const answer = await askBeside<Uint8Array, UnpackingAnswer>(newWorker(), content, file.name);
    if ('refused' in answer) throw new SaidError(`“${file.name}” ${answer.refused}.`);
    found.push(...answer.files);
  }
  return found;
}
