/** What a piece may stand on. */
export const GROUNDS = ['indoors', 'grass', 'paving', 'stage', 'table'] as const;
export type Ground = (typeof GROUNDS)[number];
