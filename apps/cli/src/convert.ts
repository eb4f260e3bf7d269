#!/usr/bin/env node
import path from 'node:path';
import { readAssignmentText } from '@ichnograph/core';
import { Unreadable, writeFile } from '@ichnograph/formats';
import type { Format, Said } from '@ichnograph/formats';
import { anyFormatOf } from '@ichnograph/formats/node';
import { contentOf, isSameFile, keep, mayBeWritten } from './converting/files.js';
import { asked, columnsOf, wishesOf } from './converting/options.js';
import { understood } from './converting/understood.js';
import { read, Refusal } from './tool.js';

try {
  const said = await convert(process.argv.slice(2));
  for (const { about, reason } of said) process.stderr.write(`${oneLine(`${about}: ${reason}`)}\n`);
} catch (error) {
  if (!(error instanceof Refusal)) throw error;
  process.stderr.write(`${oneLine(error.message)}\n`);
  process.exitCode = 2;
}

function oneLine(text: string): string {
  return text.replace(/\s+/g, ' ').trim();
}

/** Reads one file and writes it as another. @returns what was understood otherwise than it stands, or left out */
async function convert(args: string[]): Promise<readonly Said[]> {
  const { input, output, options } = asked(args);
  const [from, to] = [formatFor(input, 'read'), formatFor(output, 'write')];
  if (isSameFile(input, output)) throw new Refusal(`${output}: is the file that is read`);
  mayBeWritten(output);
  const [columns, wishes] = [columnsOf(options, from, input), wishesOf(options, to, output)];
  const assignment = options.assignment === undefined ? undefined : read(options.assignment, readAssignmentText);
  const question = { format: from.name, content: contentOf(input), legend: assignment?.legend, columns };
  const { map, said } = await understood(input, question);
  const writing = { ...wishes, legend: assignment?.legend ?? map.legend, at: new Date() };
  try {
    const written = await writeFile(to, map, writing);
    keep(output, written.content);
    return [...said, ...written.said];
  } catch (error) {
    if (error instanceof Unreadable) throw new Refusal(`${output}: ${error.message}`);
    throw error;
  }
}

function formatFor(file: string, what: 'read' | 'write'): Format {
  const format = anyFormatOf(file);
  if (format?.[what]) return format;
  const ending = path.extname(file);
  throw new Refusal(`${file}: no file that ends in “${ending}” can be ${what === 'read' ? 'read' : 'written'}`);
}
