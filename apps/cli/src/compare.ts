#!/usr/bin/env node
import { differenceOf, mend, readAssignmentText, readMapText } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { asJson, parsed, read, runTool } from './tool.js';

const mapIn = (file: string): TopicMap => mend(read(file, readMapText)).map;

runTool((args) => {
  const { values, words } = parsed(args, 'compare BEFORE.json AFTER.json [--assignment ASSIGNMENT.json]', {
    words: 2,
    options: { assignment: { type: 'string' } },
  });
  const [before, after] = words;
  const assignment = values.assignment === undefined ? undefined : read(values.assignment, readAssignmentText);
  return asJson(differenceOf(mapIn(before!), mapIn(after!), assignment));
});
