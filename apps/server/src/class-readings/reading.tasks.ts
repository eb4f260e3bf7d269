import { readClass } from '@ichnograph/core';
import type { Assignment, ClassReading, TopicMap } from '@ichnograph/core';
import { unpacked } from '../workers/thread.js';

export const together = unpacked(({ maps, assignment }: { maps: TopicMap[]; assignment: Assignment }): ClassReading =>
  readClass(maps, assignment),
);
