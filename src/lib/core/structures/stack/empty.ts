import { SQUASH } from '../../geometry/heights.ts';
import { inches } from '../../units/length.ts';
import type { Stack } from './document.ts';

export const emptyStack = (): Stack => ({
	kind: 'stack',
	layers: [],
	upright: { kind: 'none', length: null, material: null, tie: inches(2) },
	joining: 'twisted on',
	squash: SQUASH.usual,
	onFloor: true
});
