/** Why a command will not do what was asked, by code: ICU messages in English. */
export const REASONS = {
  topicGone: 'That topic is gone.',
  linkGone: 'That link is gone.',
  endGone: 'One of the two topics is gone.',
  parentGone: 'The topic it was to grow from is gone.',
  topicTooLong: 'A topic has room for {most, number} characters. Put the rest into a note, or make two topics.',
  phraseTooLong: 'A link has room for {most, number} characters.',
  titleTooLong: 'A title has room for {most, number} characters.',
  questionTooLong: 'A focus question has room for {most, number} characters.',
  termTooLong: 'A term has room for {most, number} characters.',
  topicsFull: 'A map holds {most, number} topics, and this one is full.',
  linksFull: 'A map holds {most, number} links, and this one is full.',
  noRoom: 'There is no room for that many topics on one map.',
  noWords: 'A topic needs words. Press Delete if you do not want it.',
  toItself: 'A link joins two topics. “{text}” cannot be linked to itself.',
  linkedAlready:
    '“{from}” is already linked to “{to}”. Add to the words on that link, or link them the other way round.',
  otherWayThere: 'There is a link the other way round already. Delete one of the two.',
  looksFixed: 'In this assignment the kind alone decides the looks. Choose another kind instead.',
  noSuchKind: 'The legend has no such kind.',
  noSuchLinkKind: 'The legend has no such kind of link.',
  noTerm: 'Type a term first.',
  termOnMap: '“{text}” is on the map already.',
  termInBank: '“{text}” waits in the bank already.',
} as const;

export type ReasonCode = keyof typeof REASONS;
