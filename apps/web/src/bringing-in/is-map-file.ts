/** Endings that say a file is a map, not a picture or a page: known without all that reads them. */
const ENDINGS = /\.(?:json|opml|md|markdown|txt|csv|xlsx|graphml|dot|gv|xtm)$/i;

export const isMapFile = ({ name }: { name: string }): boolean => ENDINGS.test(name);
