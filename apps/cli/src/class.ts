#!/usr/bin/env node
import { mend, readAssignmentText, readMapText, togetherOf } from '@ichnograph/core';
import { asJson, parsed, read, runTool } from './tool.js';

runTool((args) => {
  const { words } = parsed(args, 'class ASSIGNMENT.json MAP.json MAP.json …', { words: { least: 2 }, options: {} });
  const [assignment, ...maps] = words;
  return asJson(
    togetherOf(
      maps.map((file) => mend(read(file, readMapText)).map),
      read(assignment!, readAssignmentText),
    ),
  );
});
