/** Injection tokens for what has no class of its own. */
export const SETTINGS = Symbol('settings');
export const LOGGER = Symbol('logger');
