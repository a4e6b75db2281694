/** The grounds, in the order in which they are shown. */
export const GROUNDS = ['paper', 'tint', 'brand', 'accent', 'deep'] as const;
