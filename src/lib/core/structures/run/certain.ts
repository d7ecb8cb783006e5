import type { Run } from './document.ts';

/** How many of a mix go on a foot is an estimate; its clusters are as many as they are. */
export const certainInRun = (run: Run): Run => (run.mix.length === 0 ? run : { ...run, mix: [] });
