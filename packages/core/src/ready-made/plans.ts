import type { Plan, PlannedKind } from './plan.js';

const root = (name: string, purpose: string): PlannedKind => ({
  id: 'root',
  name,
  purpose,
  givenBy: 'teacher',
  root: true,
});
const given = (id: string, name: string, purpose: string): PlannedKind => ({ id, name, purpose, givenBy: 'teacher' });
const own = (id: string, name: string, purpose: string): PlannedKind => ({ id, name, purpose, givenBy: 'student' });

const DEPTH: Plan['criteria'][number] = [
  'Depth of thought',
  [
    ['on the surface', 0, 'Names things without saying how they belong together.'],
    ['in parts', 3, 'Some ties say something that could be right or wrong.'],
    ['throughout', 6, 'The ties explain; a stranger could learn from the map.'],
  ],
];
const CLARITY: Plan['criteria'][number] = [
  'Clarity for a reader',
  [
    ['hard to follow', 0, 'One has to ask the author.'],
    ['with some effort', 2, 'Most of it can be followed.'],
    ['at a glance', 4, 'The order of the map is the order of the thought.'],
  ],
];

/** Ten assignments to begin from, each in our own words and legend. */
export const PLANS: readonly Plan[] = [
  {
    id: 'chapter-outline',
    title: 'Concept outline of a chapter',
    focusQuestion: 'What does this chapter say, and how does it hang together?',
    brief:
      'Read the chapter. Then:\n\n1. Put its **headings** under the chapter’s name.\n2. Hang each **key term** from the heading it belongs to.\n3. Tie ideas from different headings where the one explains the other.\n\nRead every link aloud along its arrow: is it a sentence, and is it true?',
    guidance:
      'Serves any textbook chapter. First replace the three prompts by the chapter’s own headings (paste its outline under Terms), then put its key terms into the bank.',
    palette: 'sluice',
    kinds: [
      root('Chapter', 'The chapter’s name'),
      given('heading', 'Heading', 'A heading of the chapter'),
      own('term', 'Key term', 'A term that the chapter explains'),
      own('example', 'Example', 'A case of your own, outside the book'),
    ],
    outline: 'The chapter\n  First part: …\n  Second part: …\n  Third part: …',
    levels: ['root', 'heading'],
    requirements: [
      ['prompts-answered', { minWords: 1 }, 'must', 2],
      ['kind-count', { kind: 'term', min: 8 }, 'must', 4],
      ['kind-count', { kind: 'example', min: 2 }, 'should', 2],
      ['all-connected', {}, 'must', 3],
      ['links-labelled', {}, 'must', 3],
      ['cross-links', { min: 2 }, 'should', 4, 'Where does one part of the chapter need another?'],
      ['precise-phrases', {}, 'should', 3],
      ['no-overlaps', {}, 'should', 1],
    ],
    criteria: [DEPTH],
  },
  {
    id: 'story-analysis',
    title: 'Story analysis',
    focusQuestion: 'Who wants what, what is in the way, and how does it end?',
    brief:
      'Continue the four prompts, then build on them: **people** and what they want, the **place** and its mood, the **trouble**, and the **way out**. Tie each event to the one it leads to, and quote one line of the text on at least two topics.',
    guidance:
      'For a short story or a chapter of a novel. Free as it is; for a first time with a class, put the people’s names into the bank.',
    palette: 'heather',
    kinds: [
      root('Story', 'The story’s title'),
      given('question', 'Question', 'What every story answers'),
      own('person', 'Person', 'Somebody in the story'),
      own('event', 'Event', 'Something that happens'),
      own('sign', 'Sign', 'A thing or word that stands for more'),
    ],
    outline: 'The story\n  The people are …\n  The place is …\n  The trouble is …\n  The way out is …',
    levels: ['root', 'question'],
    requirements: [
      ['prompts-answered', { minWords: 2 }, 'must', 4],
      ['kind-count', { kind: 'person', min: 3 }, 'must', 3],
      ['kind-count', { kind: 'event', min: 5 }, 'must', 3],
      ['sits-under', { kinds: ['event'], parents: ['event', 'question', 'person'], min: 1 }, 'must', 3],
      ['kind-count', { kind: 'sign', min: 1 }, 'extra', 2],
      ['all-connected', {}, 'must', 3],
      ['links-labelled', {}, 'must', 3],
      ['phrase-variety', { maxShare: 0.4 }, 'should', 2],
      ['supporting-material', { what: 'note', min: 2 }, 'should', 2, 'A line of the text belongs here.'],
    ],
    criteria: [DEPTH],
  },
  {
    id: 'comparison',
    title: 'Comparison of two things',
    focusQuestion: 'In what are they alike, and in what do they differ?',
    brief:
      'Name the two things. Find **what both share** and tie it to both; find **what only one has** and tie it to that one. At the end write a judgement: which would you choose, and for what?',
    guidance: 'Two bridges, two poems, two cells. Put the two names in place of the prompts before you publish.',
    palette: 'quarry',
    kinds: [
      root('Comparison', 'What is compared, and for what'),
      given('side', 'Side', 'One of the two things'),
      own('shared', 'Shared', 'True of both'),
      own('single', 'Only here', 'True of one alone'),
      own('judgement', 'Judgement', 'What follows from it'),
    ],
    outline: 'Two things compared\n  The one: …\n  The other: …',
    levels: ['root', 'side'],
    requirements: [
      ['prompts-answered', { minWords: 1 }, 'must', 2],
      ['links-per-topic', { kinds: ['shared'], min: 2 }, 'must', 4, 'What both share is tied to both.'],
      ['kind-count', { kind: 'shared', min: 3 }, 'must', 3],
      ['kind-count', { kind: 'single', min: 4 }, 'must', 3],
      ['sits-under', { kinds: ['single'], parents: ['side'], min: 1 }, 'must', 3],
      ['kind-count', { kind: 'judgement', min: 1, max: 2 }, 'should', 2],
      ['all-connected', {}, 'must', 2],
      ['links-labelled', {}, 'should', 2],
    ],
    criteria: [DEPTH],
  },
  {
    id: 'timeline',
    title: 'Timeline',
    focusQuestion: 'What came first, what followed, and what made the difference?',
    brief:
      'Place at least eight **events** from left to right and give each its year or step. Link each to the one it led to, and say in the link’s words how. Mark **turning points** as such.',
    guidance:
      'For history, biographies and lab diaries. The numbers of topics carry the order; years before our era are negative.',
    palette: 'orchard',
    kinds: [
      root('Span of time', 'What the timeline is about'),
      own('event', 'Event', 'Something that happened'),
      own('turn', 'Turning point', 'After it, nothing was as before'),
      own('background', 'Background', 'What made it possible'),
    ],
    outline: 'The time from … to …',
    levels: ['root'],
    requirements: [
      ['prompts-answered', { minWords: 1 }, 'must', 1],
      ['kind-count', { kind: 'event', min: 8 }, 'must', 4],
      ['kind-count', { kind: 'turn', min: 1, max: 3 }, 'must', 2],
      ['in-sequence', { axis: 'right' }, 'must', 4],
      ['all-connected', {}, 'must', 3],
      ['links-labelled', {}, 'must', 3],
      ['kind-count', { kind: 'background', min: 2 }, 'should', 2],
      ['no-overlaps', {}, 'should', 1],
    ],
    criteria: [DEPTH],
  },
  {
    id: 'process',
    title: 'Process or cycle',
    focusQuestion: 'What happens step by step, and what starts it again?',
    brief:
      'Draw the **steps** so that the arrows can be followed round, back to where they began. Add to each step what goes **in** and what comes **out**.',
    guidance:
      'For what comes round again: rain and rivers, the strokes of an engine, a year on a farm. Where it ends for good, take the requirement of the round out.',
    palette: 'brick',
    kinds: [
      root('Process', 'The process as a whole'),
      own('step', 'Step', 'Something that happens'),
      own('input', 'Goes in', 'What a step needs'),
      own('output', 'Comes out', 'What a step gives'),
    ],
    outline: 'The process',
    levels: ['root'],
    requirements: [
      ['kind-count', { kind: 'step', min: 5 }, 'must', 4],
      ['forms-cycle', { kinds: ['step'], min: 4 }, 'must', 5, 'Follow the arrows: do you come back?'],
      ['kind-count', { kind: 'input', min: 2 }, 'must', 2],
      ['kind-count', { kind: 'output', min: 2 }, 'must', 2],
      ['arrowed-links', {}, 'must', 2],
      ['links-labelled', {}, 'must', 3],
      ['all-connected', {}, 'must', 2],
      ['few-crossings', { max: 1 }, 'should', 2],
    ],
    criteria: [CLARITY],
  },
  {
    id: 'cause-and-effect',
    title: 'Cause and effect',
    focusQuestion: 'What brought it about, and what came of it?',
    brief:
      'Set the **event** in the middle. To one side collect its **causes**, to the other its **effects**. Ask of each cause what caused it in turn. Every link must read as “… leads to …” in your own, more precise words.',
    guidance: 'For an accident, a war, an experiment’s result. Name the event before you publish.',
    palette: 'sluice',
    kinds: [
      root('Event', 'What is to be explained'),
      own('cause', 'Cause', 'It made the event more likely'),
      own('effect', 'Effect', 'It followed from the event'),
      own('evidence', 'Evidence', 'How one knows, with its source'),
    ],
    outline: 'What happened: …',
    levels: ['root'],
    requirements: [
      ['prompts-answered', { minWords: 2 }, 'must', 1],
      ['kind-count', { kind: 'cause', min: 4 }, 'must', 3],
      ['kind-count', { kind: 'effect', min: 4 }, 'must', 3],
      ['depth', { min: 2 }, 'should', 3, 'Behind a cause stands another cause.'],
      ['arrowed-links', {}, 'must', 2],
      ['precise-phrases', {}, 'must', 4],
      ['all-connected', {}, 'must', 2],
      ['kind-count', { kind: 'evidence', min: 2 }, 'should', 2],
      ['no-cycles', {}, 'should', 2],
    ],
    criteria: [DEPTH],
  },
  {
    id: 'essay-plan',
    title: 'Essay plan with word counts',
    focusQuestion: 'What do you claim, and what carries it?',
    brief:
      'Write your **claim**. Under it the three or four **points** that carry it, under each a **proof**, and one **objection** with your answer. Write the paragraph itself into the note of each point: 40 to 120 words.',
    guidance: 'The notes are the draft: read as an outline, the map is the essay in its order.',
    palette: 'heather',
    kinds: [
      root('Claim', 'What the essay wants to show'),
      own('point', 'Point', 'A paragraph’s idea'),
      own('proof', 'Proof', 'An example, a figure, a quotation'),
      own('objection', 'Objection', 'What speaks against it'),
    ],
    outline: 'I claim that …',
    levels: ['root'],
    requirements: [
      ['prompts-answered', { minWords: 4 }, 'must', 2],
      ['kind-count', { kind: 'point', min: 3, max: 4 }, 'must', 3],
      ['sits-under', { kinds: ['proof'], parents: ['point'], min: 1 }, 'must', 3],
      ['kind-count', { kind: 'proof', min: 3 }, 'must', 3],
      ['kind-count', { kind: 'objection', min: 1 }, 'must', 2],
      ['note-length', { kinds: ['point'], minWords: 40, maxWords: 120 }, 'must', 6],
      ['all-connected', {}, 'must', 2],
      ['arrangement', {}, 'should', 2],
    ],
    criteria: [DEPTH, CLARITY],
  },
  {
    id: 'argument',
    title: 'Argument for and against',
    focusQuestion: 'What speaks for it, what against it, and what weighs more?',
    brief:
      'Put the **question** in the middle. Collect reasons **for** and reasons **against**, and tie at least two of them directly to each other: which answers which? End with a **verdict** that names the reason that weighed most.',
    guidance: 'For a debate: each side can be given to one half of a group.',
    palette: 'brick',
    kinds: [
      root('Question', 'What is to be decided'),
      own('pro', 'For', 'A reason to do it'),
      own('contra', 'Against', 'A reason not to'),
      own('verdict', 'Verdict', 'What you decide, and why'),
    ],
    outline: 'Should we …',
    levels: ['root'],
    requirements: [
      ['prompts-answered', { minWords: 3 }, 'must', 1],
      ['kind-count', { kind: 'pro', min: 3 }, 'must', 3],
      ['kind-count', { kind: 'contra', min: 3 }, 'must', 3],
      ['kind-count', { kind: 'verdict', min: 1, max: 1 }, 'must', 2],
      ['cross-links', { min: 2 }, 'must', 4, 'A reason that answers another is tied to it.'],
      ['links-labelled', {}, 'must', 3],
      ['precise-phrases', {}, 'should', 3],
      ['all-connected', {}, 'must', 2],
    ],
    criteria: [DEPTH],
  },
  {
    id: 'blanks',
    title: 'Map with blanks',
    focusQuestion: 'Which word belongs where?',
    brief:
      'The map is drawn already; some of its words wait in the word bank. Put each where it belongs, and link what is still loose.',
    guidance:
      'Draw your own map as the reference, then take those terms off the starter that are to be found again: they wait in the bank. This one, about a river’s way, shows how.',
    palette: 'quarry',
    kinds: [
      root('River', 'What the map is about'),
      given('part', 'Part', 'A part of a river’s way'),
      given('work', 'Work', 'What flowing water does'),
    ],
    outline: 'A river\n  source\n  upper course\n  lower course',
    levels: ['root', 'part'],
    bank: [
      ['mouth', 'part'],
      ['meander', 'part'],
      ['waterfall', 'part'],
      ['carries away', 'work'],
      ['drops', 'work'],
    ],
    requirements: [
      ['all-terms-present', {}, 'must', 8],
      ['terms-unchanged', {}, 'must', 2],
      ['right-kind', {}, 'should', 1],
      ['kind-count', { kind: 'work', min: 2 }, 'must', 3],
      ['all-connected', {}, 'must', 2],
      ['links-labelled', {}, 'must', 6],
      ['no-overlaps', {}, 'should', 1],
    ],
    criteria: [],
  },
  {
    id: 'what-we-know',
    title: 'What do we know already?',
    focusQuestion: 'What do we know, what do we guess, and what do we want to find out?',
    brief:
      'Before we begin: write down all that you **know** about it, what you **think** is so, and what you **wonder**. There are no wrong answers here. Tie together what belongs together.',
    guidance:
      'For the first lesson of a topic, ten minutes. Hand it back unmarked, and let them revise it at the end: the difference is what they learned.',
    palette: 'orchard',
    kinds: [
      root('Topic', 'What we are going to learn about'),
      own('known', 'I know', 'You could explain it'),
      own('guess', 'I think', 'You are not sure'),
      own('wonder', 'I wonder', 'A question of yours'),
    ],
    outline: 'Our topic: …',
    levels: ['root'],
    requirements: [
      ['kind-count', { kind: 'known', min: 4 }, 'must', 2],
      ['kind-count', { kind: 'guess', min: 2 }, 'should', 2],
      ['kind-count', { kind: 'wonder', min: 2 }, 'must', 2],
      ['all-connected', {}, 'should', 2],
      ['no-duplicate-topics', {}, 'should', 1],
    ],
    criteria: [],
  },
];
