#!/usr/bin/env node
import { parseArgs } from 'node:util';
import { outlineSentence, readOutline } from '@ichnograph/core';
import { asJson, read, Refusal, runTool } from './tool.js';

const USAGE = 'terms OUTLINE.txt [--kinds a,b]';

function parseArguments(args: string[]): { file: string; kinds: string[] } {
  try {
    const { values, positionals } = parseArgs({ args, allowPositionals: true, options: { kinds: { type: 'string' } } });
    const [file, ...others] = positionals;
    if (file === undefined || others.length > 0) throw new Refusal(`usage: ${USAGE}`);
    return { file, kinds: (values.kinds ?? '').split(',').filter((kind) => kind !== '') };
  } catch (error) {
    if (!(error instanceof TypeError)) throw error;
    throw new Refusal(`usage: ${USAGE}`);
  }
}

runTool((args) => {
  const { file, kinds } = parseArguments(args);
  const { terms, messages } = readOutline(
    read(file, (text) => ({ value: text, messages: [] })),
    kinds,
  );
  return asJson({
    terms,
    messages: messages.map((message) => ({ line: message.line, message: outlineSentence(message) })),
  });
});
