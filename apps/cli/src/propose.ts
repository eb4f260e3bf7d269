#!/usr/bin/env node
import {
  filled,
  mend,
  propose,
  readAssignmentText,
  readMapText,
  requirementTypeOf,
  withDefaults,
} from '@ichnograph/core';
import { asJson, read, runTool, words } from './tool.js';

runTool((args) => {
  const files = words(args, 'propose ASSIGNMENT.json MAP.json', ['assignment', 'map']);
  const assignment = read(files.assignment, readAssignmentText);
  const { map } = mend(read(files.map, readMapText));
  return asJson(
    propose(map, assignment).map((requirement) => {
      const type = requirementTypeOf(requirement.type)!;
      return { ...requirement, sentence: filled(type.sentence(withDefaults(type, requirement.params), assignment)) };
    }),
  );
});
