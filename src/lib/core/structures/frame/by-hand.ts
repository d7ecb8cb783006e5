import { GROUNDS } from '../../document/ground.ts';
import { feet, inches, um } from '../../units/length.ts';
import { handForm, type HandFacet } from '../facets/by-hand.ts';
import { canBeFramed } from '../kit/letter-lines.ts';
import { COVERS, JOININGS_OF_TUBE, type Frame, type FrameShape, type TubeJoining } from './document.ts';
import { FARTHEST, MOST_BARS, MOST_GUYS, MOST_STICKS, MOST_USES } from './limits.ts';
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
const telescope = handForm({
	id: 'telescope',
	title: 'a telescopic pole, or two with a bar',
	fields: {
		closed: long('Pushed in', 4),
		open: long('Pulled out', 8),
		height: long('How high it stands', 7),
		bar: { kind: 'length', label: 'Bar between two of them', min: um(0), max: feet(20), start: um(0), hint: '0 is one pole by itself' }
	},
	conflicts: ({ closed, open, height, bar }) => ({
		...(bar > 0 && bar < inches(3) ? { bar: 'A bar is 3 in or more. Type 0 for one pole by itself.' } : {}),
		...(closed > open ? { open: 'Pulled out it is no shorter than pushed in.' } : {}),
		...(closed <= open && (height > open || height < closed) ? { height: 'It stands between pushed in and pulled out.' } : {})
	}),
	said: ({ bar, ...v }) => shaped({ of: 'telescope', ...v, bar: bar === 0 ? 0 : bar }),
	now(s: Frame) {
		const shape = own(s, 'telescope');
		return shape && { ...shape, bar: shape.bar === 0 ? um(0) : shape.bar };
	}
}); // prettier-ignore
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
	conflicts: ({ height, at }) => (at > height ? { at: 'The tree is no higher than its mast.' } : {}),
	said: (v) => shaped({ of: 'cross', ...v }),
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
const letter = handForm({
	id: 'letter',
	title: 'a letter or number of tube',
	fields: {
		sign: { kind: 'text', label: 'Letter or number', most: 1, start: '5' },
		height: long('How tall', 4),
		feet: { ...long('Feet, front to back', 2), hint: 'they keep it from falling over' }
	},
	conflicts: ({ sign }) =>
		canBeFramed(sign.toUpperCase())
			? {}
			: { sign: `“${sign}” has no square frame here. Numbers do, and all letters but K, Q, V and X.` },
	said: ({ sign, height, feet }) => shaped({ of: 'letter', sign: sign.toUpperCase(), height, feet }),
	now(s: Frame) {
		const shape = own(s, 'letter');
		return shape && shape.feet > 0 ? { sign: shape.sign, height: shape.height, feet: shape.feet as typeof shape.height } : undefined; // prettier-ignore
	}
});
const box = handForm({
	id: 'box',
	title: 'sticks in cups in a box',
	fields: {
		sticks: { kind: 'count', label: 'Sticks', min: 1, max: MOST_STICKS, start: 3 },
		height: long('How high', 4),
		apart: { kind: 'length', label: 'How far apart', min: inches(2), max: feet(4), start: inches(8) }
	},
	said: (v) => shaped({ of: 'box', ...v }),
	now: (s: Frame) => own(s, 'box')
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
const BASE = {
	material: {
		kind: 'thing',
		label: 'Base',
		kinds: ['base', 'weight'],
		takes: 'base',
		none: 'a plate, not chosen yet'
	},
	across: { kind: 'length', label: 'Its width', min: inches(3), max: feet(6), start: inches(12) }
} as const;
const base = handForm({
	id: 'base',
	title: 'what it stands on',
	fields: BASE,
	said: ({ material, across }) => [frame({ set: 'base', base: { material, across } })],
	now: ({ base: now }: Frame) => now ?? undefined
}); // prettier-ignore
const taken = handForm({
	id: 'apart',
	title: 'its joints, one by one',
	fields: {},
	said: () => [frame({ set: 'apart' })]
});
const side = { min: um(-FARTHEST), max: um(FARTHEST) } as const;
const up = { min: um(0), max: um(FARTHEST) } as const;
const one = handForm({
	id: 'one tube',
	title: 'one more tube',
	fields: {
		x: { kind: 'length', label: 'From, to the right of the middle', ...side, start: um(0) },
		z: { kind: 'length', label: 'From, over the floor', ...up, start: um(0) },
		x2: { kind: 'length', label: 'To, to the right of the middle', ...side, start: um(0) },
		z2: { kind: 'length', label: 'To, over the floor', ...up, start: feet(3) }
	},
	conflicts: ({ x, z, x2, z2 }) =>
		x === x2 && z === z2 ? { z2: 'A tube goes from one point to another: these are the same.' } : {},
	said: ({ x, z, x2, z2 }) => [frame({ set: 'part', part: { from: [x, z, 0], to: [x2, z2, 0] } })]
});
const onGround = handForm({
	id: 'ground',
	title: 'another base on one ground',
	fields: {
		ground: { kind: 'choice', label: 'Where', options: GROUNDS.map((g) => [g, g] as const), start: 'grass' },
		material: BASE.material,
		across: BASE.across
	},
	said: ({ ground, material, across }) => [
		frame({ set: 'ground', ground: GROUNDS.find((g) => g === ground) ?? 'grass', base: { material, across } })
	],
	now: ({ grounds: [first] }: Frame) => (first?.base ? { ground: first.ground, ...first.base } : undefined)
});
const guys = handForm({
	id: 'guys',
	title: 'guy lines to stakes',
	fields: {
		count: { kind: 'count', label: 'Lines', min: 2, max: MOST_GUYS, start: 3 },
		at: long('Tied how high', 5),
		reach: long('Stakes how far out', 4)
	},
	said: (v) => [frame({ set: 'guys', guys: v })],
	now: ({ guys: now }: Frame) => now ?? undefined
});
const NONE = 'none';
const cover = handForm({
	id: 'cover',
	title: 'what hides the tube',
	fields: {
		cover: {
			kind: 'choice',
			label: 'Covered in',
			options: [[NONE, 'nothing'], ['tissue', 'tissue'], ['fabric', 'fabric'], ['paint', 'paint'], ['balloon', 'balloons drawn over it']],
			start: 'tissue'
		},
		mesh: { kind: 'choice', label: 'Mesh over its outline', options: [[NONE, 'none'], ['mesh', 'mesh to tie on']], start: NONE }
	},
	said: (v) => [
		frame(
			{ set: 'cover', cover: COVERS.find((c) => c === v.cover) ?? null },
			{ set: 'mesh', mesh: v.mesh === NONE ? null : { material: null } }
		)
	],
	now: ({ cover: now, mesh }: Frame) => ({ cover: now ?? NONE, mesh: mesh ? 'mesh' : NONE })
}); // prettier-ignore

export const byHand: HandFacet<Frame> = {
	forms: [
		post,
		telescope,
		door,
		back,
		cross,
		hoop,
		arc,
		bent,
		letter,
		box,
		taken,
		one,
		tube,
		base,
		onGround,
		guys,
		cover
	]
};
