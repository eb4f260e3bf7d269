#!/usr/bin/env node
import { readAssignmentText, starterFrom, writeMap } from '@ichnograph/core';
import { asJson, read, runTool, words } from './tool.js';

runTool((args) => {
  const { assignment } = words(args, 'starter ASSIGNMENT.json', ['assignment']);
  return asJson(writeMap(starterFrom(read(assignment, readAssignmentText))));
});
