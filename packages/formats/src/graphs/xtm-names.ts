export const XTM = 'http://www.topicmaps.org/xtm/';
/** What an association is called whose link says nothing. */
export const BLANK_PHRASE = 'is linked to';
/** Before an id of ours that XML does not allow. */
export const ID_BEFORE = '#id:';
