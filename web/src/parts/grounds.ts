/** The grounds that a section can stand on, in the order in which they are shown. */
export const SECTION_GROUNDS = ['paper', 'tint', 'brand', 'accent', 'deep'] as const;
/** All grounds; navigation and footer have their own. */
export const GROUNDS = [...SECTION_GROUNDS, 'navigation', 'footer'] as const;
