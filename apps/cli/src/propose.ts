#!/usr/bin/env node
import { mend, propose, readAssignmentText, readMapText, requirementSentence } from '@ichnograph/core';
import { asJson, read, runTool, words } from './tool.js';

runTool((args) => {
  const files = words(args, 'propose ASSIGNMENT.json MAP.json', ['assignment', 'map']);
  const assignment = read(files.assignment, readAssignmentText);
  const { map } = mend(read(files.map, readMapText));
  return asJson(
    propose(map, assignment).map((requirement) => ({
      ...requirement,
      sentence: requirementSentence(requirement, assignment),
    })),
  );
});
