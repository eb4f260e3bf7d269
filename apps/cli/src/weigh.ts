#!/usr/bin/env node
import { CannotWeigh, learnWeights, mend, readAssignmentText, readMapText, readMarksText } from '@ichnograph/core';
import { asJson, parsed, read, Refusal, runTool } from './tool.js';

runTool((args) => {
  const { words } = parsed(args, 'weigh ASSIGNMENT.json MARKS.json MAP.json …', { words: { least: 3 }, options: {} });
  const [assignment, marks, ...maps] = words;
  const marked = read(marks!, readMarksText);
  try {
    return asJson(
      learnWeights(
        maps.map((file) => mend(read(file, readMapText)).map),
        marked,
        read(assignment!, readAssignmentText),
      ),
    );
  } catch (error) {
    if (error instanceof CannotWeigh) throw new Refusal(error.message);
    throw error;
  }
});
