import { PALETTES } from './palettes.js';
import type { Sheet } from './sheet.js';

/** A sheet to begin on: the four kinds that most assignments tell apart, everything else still to be said. */
export function emptySheet(language = 'en'): Sheet {
  const looks = PALETTES[0]!.looks;
  return {
    task: { title: '', focusQuestion: '', brief: '', language },
    legend: {
      styleMode: 'guided',
      looks: 'open',
      legend: {
        topicKinds: [
          {
            id: 'main',
            name: 'Main idea',
            purpose: 'What the map is about',
            givenBy: 'teacher',
            root: true,
            ...looks[0]!,
          },
          { id: 'term', name: 'Term', purpose: 'Handed out; keep its words', givenBy: 'teacher', ...looks[1]! },
          { id: 'heading', name: 'Heading', purpose: 'A heading of your own', givenBy: 'student', ...looks[3]! },
          { id: 'own', name: 'Own idea', purpose: 'What you add from yourself', givenBy: 'student', ...looks[4]! },
        ],
        linkKinds: [{ id: 'says', name: 'says' }],
      },
    },
    terms: { terms: [] },
    requirements: { requirements: [] },
    criteria: { criteria: [] },
    marks: {},
  };
}
