import { feet, inches } from '../../units/length.ts';
import { handForm, type HandFacet } from '../facets/by-hand.ts';
import { JOININGS_OF_TUBE, type Frame, type FrameShape, type TubeJoining } from './document.ts';
import { MOST_BARS, MOST_USES } from './limits.ts';
import type { FrameSaid, SaidFrame } from './said.ts';

const frame = (...said: SaidFrame[]): FrameSaid => ({ kind: 'frame', said });
const long = (label: string, start: number, min = 0.5) =>
	({ kind: 'length', label, min: feet(min), max: feet(40), start: feet(start) }) as const;
type Shape<K extends FrameShape['of']> = Extract<FrameShape, { readonly of: K }>;
/** What the fields of one outline start with, where the frame has it. */
const own = <K extends FrameShape['of']>({ shape }: Frame, of: K): Shape<K> | undefined =>
	shape.of === of ? (shape as Shape<K>) : undefined;
const shaped = (shape: FrameShape): readonly FrameSaid[] => [frame({ set: 'shape', shape })];
const FEET = { ...long('Feet, front to back', 3), hint: 'they keep it from falling over' } as const;

const post = handForm({
	id: 'post',
	title: 'a post on a plate',
	fields: { height: long('How high', 5) },
	said: ({ height }) => shaped({ of: 'post', height }),
	now: (s: Frame) => own(s, 'post') && { height: own(s, 'post')!.height }
});
const door = handForm({
	id: 'door',
	title: 'a door frame',
	fields: { width: long('How wide', 8), height: long('How high', 7), feet: FEET },
	said: (v) => shaped({ of: 'door', ...v }),
	now(s: Frame) {
		const shape = own(s, 'door');
		return shape && shape.feet > 0 ? { width: shape.width, height: shape.height, feet: shape.feet as typeof shape.width } : undefined; // prettier-ignore
	}
});
const back = handForm({
	id: 'back',
	title: 'a back frame with feet',
	fields: {
		width: long('How wide', 6),
		height: long('How high', 7),
		feet: FEET,
		bars: { kind: 'count', label: 'Bars between', min: 0, max: MOST_BARS, start: 1 }
	},
	said: (v) => shaped({ of: 'back', ...v }),
	now(s: Frame) {
		const shape = own(s, 'back');
		return shape && shape.feet > 0 ? { width: shape.width, height: shape.height, feet: shape.feet as typeof shape.width, bars: shape.bars } : undefined; // prettier-ignore
	}
});
const cross = handForm({
	id: 'cross',
	title: 'a mast with a tree',
	fields: { height: long('Mast', 7), arm: long('Tree, end to end', 4), at: long('How high the tree is', 5) },
	said: ({ height, arm, at }) => shaped({ of: 'cross', height, arm, at: Math.min(at, height) as typeof at }),
	now: (s: Frame) => own(s, 'cross')
});
const hoop = handForm({
	id: 'hoop',
	title: 'a hoop on a stand',
	fields: { across: long('How wide', 5), foot: long('How high it begins', 2) },
	said: (v) => shaped({ of: 'hoop', ...v }),
	now(s: Frame) {
		const shape = own(s, 'hoop');
		return shape && shape.foot > 0 ? { across: shape.across, foot: shape.foot as typeof shape.across } : undefined; // prettier-ignore
	}
});
const arc = handForm({
	id: 'arc',
	title: 'an arch of tube',
	fields: { span: long('How wide', 8), rise: long('How high', 7) },
	said: (v) => shaped({ of: 'arc', ...v }),
	now: (s: Frame) => own(s, 'arc')
});
const bent = handForm({
	id: 'bent',
	title: 'a stick bent to a foot',
	fields: {
		stick: long('The stick', 10, 3),
		side: { kind: 'length', label: 'From bend to bend', min: inches(3), max: feet(4), start: inches(13) },
		last: {
			kind: 'length',
			label: 'The last, before it goes up',
			min: inches(1),
			max: feet(4),
			start: inches(9)
		}
	},
	said: ({ stick, side, last }) => shaped({ of: 'bent', stick, bends: [side, side, side, last] }),
	now(s: Frame) {
		const shape = own(s, 'bent');
		const [a, b, c, last, ...more] = shape?.bends ?? [];
		return shape && last !== undefined && more.length === 0 && a === b && b === c ? { stick: shape.stick, side: a!, last } : undefined; // prettier-ignore
	}
});
const tube = handForm({
	id: 'tube',
	title: 'what it is of',
	fields: {
		material: { kind: 'thing', label: 'Tube', kinds: ['pipe'], takes: 'pipe', none: 'not chosen yet' },
		across: { kind: 'length', label: 'Its width', min: inches(0.25), max: inches(6), start: inches(1) },
		stick: long('How long it comes', 10, 1),
		joined: {
			kind: 'choice',
			label: 'Joined',
			options: [
				['dry', 'pushed together, not glued'],
				['glued', 'glued'],
				['screwed', 'screwed']
			],
			start: 'dry'
		},
		uses: { kind: 'count', label: 'Made for how many uses', min: 1, max: MOST_USES, start: 1 }
	},
	said: ({ material, across, stick, joined, uses }) => [
		frame(
			{ set: 'tube', tube: { material, across, stick } },
			{ set: 'joined', joined: JOININGS_OF_TUBE.find((j) => j === joined) ?? ('dry' satisfies TubeJoining) },
			{ set: 'uses', uses }
		)
	],
	now: ({ tube: { material, across, stick }, joined, uses }: Frame) => ({ material, across, stick, joined, uses }) // prettier-ignore
});
const base = handForm({
	id: 'base',
	title: 'what it stands on',
	fields: {
		material: { kind: 'thing', label: 'Base', kinds: ['base', 'weight'], takes: 'base', none: 'a plate, not chosen yet' },
		across: { kind: 'length', label: 'Its width', min: inches(3), max: feet(6), start: inches(12) }
	},
	said: ({ material, across }) => [frame({ set: 'base', base: { material, across } })],
	now: ({ base: now }: Frame) => now ?? undefined
}); // prettier-ignore

export const byHand: HandFacet<Frame> = { forms: [post, door, back, cross, hoop, arc, bent, tube, base] };
