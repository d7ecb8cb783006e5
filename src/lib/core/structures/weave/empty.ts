import { inches } from '../../units/length.ts';
import type { Weave } from './document.ts';

/** A panel of 10-inch links, its rows still to be said; held by duplets along its boundaries, a handle by quads. */
export const emptyWeave = (): Weave => ({
	kind: 'weave',
	shape: 'panel',
	woven: { kind: 'latex-link', nominal: inches(10), size: { kind: 'unknown' }, method: null },
	rows: [],
	base: null,
	joiner: null,
	joints: { edge: 'duplet', inner: 'duplet', base: 'duplet', handle: 'quad', foot: 'quad', ends: 'none' },
	take: 1,
	of: 2,
	stagger: 1,
	chord: null,
	handle: null,
	hung: null
});
