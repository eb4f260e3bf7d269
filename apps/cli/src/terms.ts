#!/usr/bin/env node
import { outlineSentence, readOutline } from '@ichnograph/core';
import { asJson, parsed, read, runTool } from './tool.js';

runTool((args) => {
  const { values, words } = parsed(args, 'terms OUTLINE.txt [--kinds a,b]', {
    words: 1,
    options: { kinds: { type: 'string' } },
  });
  const { terms, messages } = readOutline(
    read(words[0]!, (text) => ({ value: text, messages: [] })),
    (values.kinds ?? '').split(',').filter((kind) => kind !== ''),
  );
  return asJson({
    terms,
    messages: messages.map((message) => ({ line: message.line, message: outlineSentence(message) })),
  });
});
