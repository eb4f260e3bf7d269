import { starterFrom } from '@ichnograph/core';
import type { Assignment, Legend } from '@ichnograph/core';

const legend: Legend = {
  topicKinds: [
    {
      id: 'crossing',
      name: 'Crossing',
      purpose: 'What is to be decided',
      givenBy: 'teacher',
      shape: 'capsule',
      fill: '#cfe0dc',
      outline: '#2f5d55',
      root: true,
    },
    {
      id: 'need',
      name: 'Need',
      purpose: 'Who or what it has to serve',
      givenBy: 'teacher',
      shape: 'rectangle',
      fill: '#d7e7ec',
      outline: '#35596a',
    },
    {
      id: 'idea',
      name: 'Idea',
      purpose: 'A way across that you weigh',
      givenBy: 'student',
      shape: 'parallelogram',
      fill: '#f6dcd2',
      outline: '#9a5138',
    },
    {
      id: 'reason',
      name: 'Reason',
      purpose: 'A fact or a figure for or against it',
      givenBy: 'student',
      shape: 'note',
      fill: '#f5eeb8',
      outline: '#7a6c3a',
    },
    {
      id: 'proposal',
      name: 'Proposal',
      purpose: 'What your group would build',
      givenBy: 'student',
      shape: 'hexagon',
      fill: '#e3ddf2',
      outline: '#5a4b86',
    },
  ],
  linkKinds: [
    { id: 'says', name: 'says' },
    { id: 'against', name: 'speaks against', dash: 'dashed', colour: '#8b3a2f', width: 2 },
  ],
};

const given: Assignment = {
  title: 'A crossing for Mill Lane',
  focusQuestion: 'What should cross the stream at Mill Lane, and for whom?',
  brief: `Your group advises the parish. One map for the three of you: draw on it at the same time, each from where you sit.

1. Say how each **need** meets the ideas you weigh. At least three **ideas**.
2. Give every idea its **reasons**: a fact, a figure, something you measured. What speaks against it hangs on a dashed link.
3. End in one **proposal**.
4. Lead a stranger through it in a **tour** of four stops or more.

Each of you makes a fair share of it.`,
  language: 'en',
  styleMode: 'guided',
  legend,
  root: 'A crossing for Mill Lane',
  terms: [
    { text: 'A crossing for Mill Lane', kind: 'crossing', under: null, place: 'map' },
    { text: 'Pedestrians', kind: 'need', under: 'A crossing for Mill Lane', place: 'map' },
    { text: 'Cyclists', kind: 'need', under: 'A crossing for Mill Lane', place: 'map' },
    { text: 'Farm traffic', kind: 'need', under: 'A crossing for Mill Lane', place: 'map' },
    { text: 'High water', kind: 'need', place: 'bank' },
    { text: 'Cost', kind: 'need', place: 'bank' },
    { text: 'Upkeep', kind: 'need', place: 'bank' },
  ],
  starter: null,
  reference: null,
  requirements: [
    { id: 'r1', type: 'all-terms-present', params: {}, level: 'must', points: 3 },
    { id: 'r2', type: 'kind-count', params: { kind: 'idea', min: 3 }, level: 'must', points: 4 },
    { id: 'r3', type: 'kind-count', params: { kind: 'reason', min: 5 }, level: 'must', points: 4 },
    { id: 'r4', type: 'kind-count', params: { kind: 'proposal', min: 1, max: 1 }, level: 'must', points: 2 },
    { id: 'r5', type: 'all-connected', params: {}, level: 'must', points: 3 },
    { id: 'r6', type: 'sits-under', params: { kinds: ['reason'], parents: ['idea'] }, level: 'must', points: 3 },
    { id: 'r7', type: 'cross-links', params: { min: 3 }, level: 'should', points: 3 },
    { id: 'r8', type: 'links-labelled', params: {}, level: 'must', points: 3 },
    { id: 'r9', type: 'precise-phrases', params: {}, level: 'should', points: 2 },
    { id: 'r10', type: 'few-crossings', params: { max: 2 }, level: 'should', points: 2 },
    { id: 'r11', type: 'tour', params: { minStops: 4 }, level: 'should', points: 3 },
    { id: 'r12', type: 'group-share', params: { minShare: 0.2 }, level: 'should', points: 3 },
  ],
  criteria: [
    {
      id: 'c1',
      name: 'Weighing',
      levels: [
        { name: 'names', points: 0, description: 'Ideas stand side by side.' },
        { name: 'weighs', points: 3, description: 'Reasons speak for and against each.' },
        {
          name: 'decides',
          points: 6,
          description: 'The proposal follows from the reasons, and says what it gives up.',
        },
      ],
    },
  ],
};

/** Assignment 4 of the made-up school: one map for three. */
export const crossing: Assignment = { ...given, starter: starterFrom(given) };
