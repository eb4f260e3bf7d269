/**
 * How much is left of what a chosen requirement does not concern: it steps back, and its words are still read (WCAG 2.2, 1.4.3).
 */
export const DIMMED = 0.68;
