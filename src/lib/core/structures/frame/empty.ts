import { feet, inches } from '../../units/length.ts';
import type { Frame } from './document.ts';

/** A post of inch tube on a plate, in sticks of ten feet: what a frame is before anything is said of it. */
export const emptyFrame = (): Frame => ({
	kind: 'frame',
	shape: { of: 'post', height: feet(6) },
	tube: { material: null, across: inches(1), stick: feet(10) },
	base: { material: null, across: inches(12) },
	grounds: [],
	guys: null,
	mesh: null,
	cover: null,
	joined: 'dry',
	uses: 1
});
