/** What other folders may use of this one. */
export { WorkMember } from './work-member.entity.js';
export { GroupMember } from './group-member.entity.js';
export { GroupsService } from './groups.service.js';
export { Work } from './work.entity.js';
export { WorksModule } from './works.module.js';
export type { Seen } from './works.service.js';
export { isOpen, lockWork, membersOf, nameOf, WorksService } from './works.service.js';
export { WorksKeeper } from './works.keeper.js';
