#!/usr/bin/env node
import { isWay, mend, readAssignmentText, readMapText, seeded, spoil, WAYS, writeMap } from '@ichnograph/core';
import { asJson, read, Refusal, runTool, words } from './tool.js';

runTool((args) => {
  const given = words(args, 'spoil ASSIGNMENT.json MAP.json WAY SEED', ['assignment', 'map', 'way', 'seed']);
  const { way, seed } = given;
  if (!isWay(way)) throw new Refusal(`“${way}” is no way to spoil a map; there are ${Object.keys(WAYS).join(', ')}`);
  if (!/^-?\d{1,9}$/.test(seed)) throw new Refusal(`the seed must be a whole number, not “${seed}”`);
  const assignment = read(given.assignment, readAssignmentText);
  const { map } = mend(read(given.map, readMapText));
  return asJson(writeMap(spoil(map, assignment, way, seeded(Number(seed)))));
});
