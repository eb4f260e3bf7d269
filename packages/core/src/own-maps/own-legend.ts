import type { Assignment, Legend } from '../map/types.js';

/** The legend of a map that belongs to no assignment, until it is drawn with another one. */
export const OWN_LEGEND: Legend = {
  topicKinds: [
    {
      id: 'idea',
      name: 'Idea',
      purpose: '',
      givenBy: 'student',
      shape: 'rounded',
      fill: '#ffffff',
      outline: '#4d5867',
    },
    {
      id: 'heading',
      name: 'Heading',
      purpose: 'What holds others together',
      givenBy: 'student',
      shape: 'capsule',
      fill: '#cfe0dc',
      outline: '#35645b',
    },
    {
      id: 'example',
      name: 'Example',
      purpose: 'Something seen, heard or read',
      givenBy: 'student',
      shape: 'note',
      fill: '#ebe7d6',
      outline: '#7a6c3a',
    },
    {
      id: 'question',
      name: 'Question',
      purpose: 'What is not known yet',
      givenBy: 'student',
      shape: 'hexagon',
      fill: '#e3ddf2',
      outline: '#5a4b86',
    },
    {
      id: 'private',
      name: 'Private note',
      purpose: 'For oneself; stands beside the structure',
      givenBy: 'student',
      shape: 'plain',
      fill: 'none',
      outline: '#4d5867',
      structural: false,
    },
  ],
  linkKinds: [
    { id: 'says', name: 'says' },
    { id: 'leads', name: 'leads to', width: 2.5, colour: '#35645b' },
  ],
};

/** What a map of one's own is drawn under: a legend, and nothing that is asked for. */
export const ownAssignment = (title: string, legend: Legend): Assignment => ({
  title: title || 'Own map',
  focusQuestion: '',
  brief: '',
  language: 'en',
  styleMode: 'guided',
  looks: 'open',
  legend,
  terms: [],
  starter: null,
  reference: null,
  requirements: [],
  criteria: [],
});
