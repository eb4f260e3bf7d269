/** What other folders may use of this one. */
export { Gathering } from './gathering.entity.js';
export { GatheringsKeeper } from './gatherings.keeper.js';
export { GatheringsModule } from './gatherings.module.js';
export { GatheringsService } from './gatherings.service.js';
export { IdeaEntry } from './idea.entity.js';
export { Ideas } from './ideas.service.js';
export { SentIdea } from './sent-idea.entity.js';
