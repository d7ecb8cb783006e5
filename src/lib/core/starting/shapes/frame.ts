import { emptyFrame } from '../../structures/frame/empty.ts';
import type { FrameShape } from '../../structures/frame/document.ts';
import type { FrameSaid, SaidFrame } from '../../structures/frame/said.ts';
import { feet, inches, um, type Micrometres } from '../../units/length.ts';
import { section } from '../say.ts';
import { startingShape } from '../shape.ts';

const said = (...all: SaidFrame[]): FrameSaid => ({ kind: 'frame', said: all });
type Measures = { readonly width: Micrometres; readonly height: Micrometres };
/** Feet of a frame that would fall over, front to back. */
const FEET = feet(3);
const OUTLINES: Readonly<Record<string, (m: Measures) => FrameShape>> = {
	post: ({ height }) => ({ of: 'post', height }),
	door: ({ width, height }) => ({ of: 'door', width, height, feet: FEET }),
	back: ({ width, height }) => ({ of: 'back', width, height, feet: FEET, bars: 1 }),
	cross: ({ width, height }) => ({ of: 'cross', height, arm: width, at: um(Math.round(height * 0.75)) }),
	hoop: ({ width, height }) => ({
		of: 'hoop',
		across: width,
		foot: height > width ? um(height - width) : 0
	}),
	arc: ({ width, height }) => ({ of: 'arc', span: width, rise: height }),
	box: ({ width, height }) => ({
		of: 'box',
		sticks: 3,
		height,
		apart: um(Math.max(50_800, Math.round(width / 2)))
	})
};

/** What balloons are built on: tube, joints, a base. */
export const frame = startingShape({
	id: 'frame',
	title: 'Frame or stand',
	says: 'tube, joints and a base, for what is built on it',
	fields: {
		outline: {
			kind: 'choice',
			label: 'It is',
			options: [
				['post', 'a post on a plate'],
				['door', 'a door frame with feet'],
				['back', 'a back frame with feet'],
				['cross', 'a mast with a tree'],
				['hoop', 'a hoop on a stand'],
				['arc', 'an arch of tube'],
				['box', 'sticks in cups in a box']
			],
			start: 'post'
		},
		height: { kind: 'length', label: 'How high', min: feet(1), max: feet(30), start: feet(6) },
		width: {
			kind: 'length',
			label: 'How wide',
			hint: 'a post has no width',
			min: inches(6),
			max: feet(40),
			start: feet(4)
		},
		tube: { kind: 'thing', label: 'Tube', kinds: ['pipe'], takes: 'pipe', none: 'not chosen yet' },
		base: { kind: 'thing', label: 'Base', kinds: ['base'], takes: 'base', none: 'a plate, not chosen yet' }
	},
	entries: ({ outline, height, width, tube, base }) => [
		section('frame', emptyFrame()),
		said(
			{ set: 'shape', shape: (OUTLINES[outline] ?? OUTLINES.post!)({ width, height }) },
			{ set: 'tube', tube: { material: tube } },
			{ set: 'base', base: { material: base, across: inches(12) } }
		)
	]
});
