#!/usr/bin/env node
import { applyChanges, mend, readMapText, TIDY_WAYS, tidyMap, writeMap } from '@ichnograph/core';
import type { TidyWay } from '@ichnograph/core';
import { asJson, frameOf, parsed, read, Refusal, runTool } from './tool.js';

const USAGE = `tidy MAP.json --way ${TIDY_WAYS.join('|')} [--topics ID,ID] [--frame WxH]`;
const isWay = (word: string | undefined): word is TidyWay => TIDY_WAYS.some((way) => way === word);

runTool((args) => {
  const { values, words } = parsed(args, USAGE, {
    words: 1,
    options: { way: { type: 'string' }, topics: { type: 'string' }, frame: { type: 'string' } },
  });
  const { way } = values;
  if (!isWay(way)) throw new Refusal(`usage: ${USAGE}`);
  const { map } = mend(read(words[0]!, readMapText));
  const topicIds = values.topics?.split(',').map((id) => id.trim());
  const missing = topicIds?.find((id) => !map.topics.some((topic) => topic.id === id));
  if (missing !== undefined) throw new Refusal(`${words[0]}: no topic has the id “${missing}”`);
  const frame = frameOf(values.frame);
  const wanted = { way, ...(topicIds && { topicIds }), ...(frame && { frame }) };
  return asJson(writeMap(applyChanges(map, tidyMap(map, wanted))));
});
