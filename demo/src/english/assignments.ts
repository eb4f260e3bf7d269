import { fitTopic, readyMade } from '@ichnograph/core';
import type { Assignment, Legend, TopicMap } from '@ichnograph/core';
import { assignmentOf } from '@ichnograph/core';

/** Tobias begins from ready-made assignments and writes his own words into them, as any teacher would. */
function begunFrom(id: string, change: (assignment: Assignment) => Assignment): Assignment {
  const made = readyMade(id);
  if (!made) throw new Error(`there is no ready-made assignment ${id}`);
  return change(assignmentOf(made.sheet, { starter: made.starter, reference: null }));
}

/** Words put in the place of others; topics are as large as these need. */
const reworded = (map: TopicMap | null, legend: Legend, words: Readonly<Record<string, string>>): TopicMap => ({
  ...map!,
  topics: map!.topics.map((topic) => {
    const said = { ...topic, text: words[topic.text] ?? topic.text };
    return { ...said, ...fitTopic(said, legend) };
  }),
});

/** In free style the outline alone says what a topic is: each kind has one of its own. */
const OUTLINES: Readonly<Record<string, string>> = {
  root: '#333333',
  question: '#35596a',
  person: '#9a5138',
  event: '#5a4b86',
  sign: '#7a6c3a',
};

export const ferryman = begunFrom('story-analysis', (made) => {
  const legend: Legend = {
    ...made.legend,
    readBy: ['outline'],
    topicKinds: made.legend.topicKinds.map((kind) => ({ ...kind, outline: OUTLINES[kind.id]! })),
  };
  return {
    ...made,
    title: 'The Ferryman’s Bell: story analysis',
    focusQuestion: 'Why does nobody ring the bell, and what changes that?',
    brief:
      'We read *The Ferryman’s Bell*: a ferryman waits at a flooded landing for a bell that nobody rings, until a girl comes with a lantern.\n\nContinue the four prompts, then build on them. Draw as you like; only the **colour of the outline** says what a topic is. Two of your topics need a **picture**, and two a line of the text in their **note**. If you like, draw a region round what belongs together, and sketch the landing.',
    styleMode: 'free',
    legend,
    starter: reworded(made.starter, made.legend, { 'The story': 'The Ferryman’s Bell' }),
    terms: [
      { text: 'The Ferryman’s Bell', kind: 'root', place: 'map' },
      { text: 'Ferryman', kind: 'person' },
      { text: 'Girl with a lantern', kind: 'person' },
      { text: 'Flooded landing', kind: 'event' },
      { text: 'Bell', kind: 'sign', accept: ['the bell'] },
    ],
    root: 'The Ferryman’s Bell',
    requirements: [
      ...made.requirements,
      {
        id: 'r10',
        type: 'supporting-material',
        params: { what: 'picture', min: 2 },
        level: 'should',
        points: 2,
        hint: 'From the library, your own, or drawn on the sketch pad.',
      },
      { id: 'r11', type: 'cross-links', params: { min: 2 }, level: 'should', points: 3 },
    ],
    drawing: {
      mostOwnTopics: 20,
      gatheringHint:
        'Who is in it? Where are we? What goes wrong? What do you see and hear? Write a word for each, one a line.',
    },
  };
});

export const footbridge = begunFrom('essay-plan', (made) => ({
  ...made,
  title: 'Should the town rebuild the footbridge?: essay plan',
  focusQuestion: 'Should the town rebuild the footbridge?',
  brief:
    'The footbridge over the mill stream was closed in spring. Write what the town should do.\n\n1. Your **claim** first.\n2. Three or four **points**, each with a **proof**, and in its note the paragraph itself: 40 to 120 words.\n3. One **objection**, and your answer to it.',
}));

/** Still being written. */
export const rivers = begunFrom('what-we-know', (made) => ({
  ...made,
  title: 'What do we know about rivers?',
  starter: reworded(made.starter, made.legend, { 'Our topic: …': 'Rivers' }),
}));

/** Last term's. */
export const lighthouses = begunFrom('what-we-know', (made) => ({
  ...made,
  title: 'What do we know about lighthouses?',
  focusQuestion: 'What do we know, what do we guess, and what do we want to find out?',
  starter: reworded(made.starter, made.legend, { 'Our topic: …': 'Lighthouses' }),
  requirements: made.requirements.filter(({ type }) => type !== 'prompts-answered'),
}));
