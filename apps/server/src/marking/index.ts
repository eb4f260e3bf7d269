/** What other folders may use of this one. */
export { CommentAnswer } from './comment-answer.entity.js';
export { Comment } from './comment.entity.js';
export { commentCounts } from './comments.js';
export { judgementOf } from './judgement-of.js';
export { JudgementEntry } from './judgement.entity.js';
export { JudgingService } from './judging.service.js';
export { MarkChange } from './mark-change.entity.js';
export { MarkingModule } from './marking.module.js';
export { MarkingService } from './marking.service.js';
export { PileService } from './pile.service.js';
