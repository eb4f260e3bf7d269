#!/usr/bin/env node
import { readAssignmentText, reviewRequirements } from '@ichnograph/core';
import { asJson, read, runTool, words } from './tool.js';

runTool((args) => {
  const { assignment } = words(args, 'review ASSIGNMENT.json', ['assignment']);
  return asJson(reviewRequirements(read(assignment, readAssignmentText)));
});
