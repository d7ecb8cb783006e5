import { ONE, ZERO } from '../../units/rational.ts';

/** What is built and placed as one thing, with nothing on it that is counted by itself. */
export const ONE_THING = { pieces: () => ZERO, placed: () => ONE } as const;
