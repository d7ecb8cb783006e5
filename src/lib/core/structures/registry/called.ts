import type { Kind } from '../kinds.ts';

/** What a kind of structure is called on the screen, one and many. */
const CALLED: { readonly [K in Kind]: readonly [one: string, many: string] } = {
	stack: ['column', 'columns'],
	run: ['garland', 'garlands'],
	weave: ['woven panel', 'woven panels'],
	bunch: ['bunch', 'bunches'],
	form: ['form', 'forms'],
	frame: ['frame', 'frames'],
	applied: ['piece put on', 'pieces put on'],
	extras: ['line of extras', 'lines of extras'],
	design: ['design inside another', 'designs inside others']
};

/** @param kind as it was kept: one that is gone is called a piece */
export function kindCalled(kind: string, many: number): string {
	const own = Object.entries(CALLED).find(([k]) => k === kind)?.[1] ?? ['piece', 'pieces'];
	return own[many === 1 ? 0 : 1];
}
