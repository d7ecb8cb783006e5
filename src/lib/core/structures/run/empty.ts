import { SQUASH } from '../../geometry/heights.ts';
import { feet } from '../../units/length.ts';
import type { Run } from './document.ts';

/** A run along ten feet, everything of it still to be said: a line at the height of a doorway. */
export const emptyRun = (): Run => ({
	kind: 'run',
	path: { kind: 'line', length: feet(10) },
	height: feet(7),
	branches: [],
	rows: [],
	joining: 'twisted on',
	squash: SQUASH.usual,
	corner: null,
	mix: [],
	organic: {
		seen: 'all round',
		fullness: '1',
		thicker: 'even',
		by: 'clusters',
		clusters: null,
		taught: null,
		packed: null,
		seed: 1
	},
	infill: [],
	spine: null,
	hung: null,
	spare: 0
});
