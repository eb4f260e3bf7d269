/** What other folders may use of this one. */
export { Comment } from './comment.entity.js';
export { commentCounts } from './comments.js';
export { MarkingModule } from './marking.module.js';
export { MarkingService } from './marking.service.js';
export { PileService } from './pile.service.js';
