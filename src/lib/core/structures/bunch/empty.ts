import type { Bunch } from './document.ts';

export const emptyBunch = (): Bunch => ({ kind: 'bunch', arrangement: 'bunch', items: [], weight: null });
