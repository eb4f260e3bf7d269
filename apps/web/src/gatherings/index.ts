/** What other folders may use of this one. */
export { AskClass } from './ask-dialog';
export { CodeOnTheBoard, OpenQuestions } from './open-questions';
