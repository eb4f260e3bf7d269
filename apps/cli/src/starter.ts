#!/usr/bin/env node
import { readAssignmentText, starterFrom, writeMap } from '@ichnograph/core';
import { asJson, frameOf, parsed, read, runTool } from './tool.js';

runTool((args) => {
  const { values, words } = parsed(args, 'starter ASSIGNMENT.json [--frame WxH]', {
    words: 1,
    options: { frame: { type: 'string' } },
  });
  return asJson(writeMap(starterFrom(read(words[0]!, readAssignmentText), frameOf(values.frame))));
});
