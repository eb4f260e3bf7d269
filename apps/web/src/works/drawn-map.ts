import type { WorkDetail } from '@ichnograph/contract';

/** What the map page needs of any map: a student's work, a map of an assignment's sheet, or one outside any assignment. */
export type DrawnMap = Pick<
  WorkDetail,
  'id' | 'title' | 'className' | 'mayEdit' | 'members' | 'revision' | 'assignment'
>;
