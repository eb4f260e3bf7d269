export * from './acts.js';
export * from './accounts.js';
export * from './assignments.js';
export * from './classes.js';
export * from './live.js';
export * from './problem.js';
export * from './submissions.js';
export * from './works.js';
