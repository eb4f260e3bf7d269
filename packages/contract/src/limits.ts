/** How many people a class takes in one go. Apart from what checks it: pages that say it need none of that. */
export const MOST_AT_ONCE = 400;
