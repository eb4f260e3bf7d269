/** What other folders may use of this one. */
export { CommentAnswer } from './comment-answer.entity.js';
export { Comment } from './comment.entity.js';
export { Comments } from './comments.service.js';
export { commentCounts } from './comment-rows.js';
export { JudgementEntry } from './judgement.entity.js';
export { JudgingService } from './judging.service.js';
export { Markable } from './markable.service.js';
export { MarkChange } from './mark-change.entity.js';
export { MarkingModule } from './marking.module.js';
export { PileService } from './pile.service.js';
export { Returning } from './returning.service.js';
export { Remark } from './remark.entity.js';
export { Remarks } from './remarks.service.js';
export { Sums } from './sums.service.js';
export { SecondMark } from './second-mark.entity.js';
export { ClassVerdict, MapVerdict } from './verdict.entities.js';
export { Verdicts } from './verdicts.service.js';
export { MarkingKeeper } from './marking.keeper.js';
